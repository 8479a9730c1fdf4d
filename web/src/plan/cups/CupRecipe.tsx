import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { useCounted } from "../../api/asking";
import {
  api,
  ask,
  type Colour,
  type Cup,
  type Session,
  type Trouble,
  type Workshop,
} from "../../api/client";
import { withRecipe, withoutRecipe } from "../../session/recipes";
import { CountedRows } from "../../shelf/CountedRows";
import { partsOf, type Row, rowsOf, usualUnit } from "../../shelf/counted";
import { Told } from "../../ui/Told";

interface Props {
  cup: Cup;
  session: Session;
  shelf: Required<Workshop>;
  onEdit: (session: Session) => void;
}

/** What is stirred into this cup, typed as it is counted: this session's recipe from then on. */
export function CupRecipe({ cup, session, shelf, onEdit }: Props) {
  const colour = shelf.colours.find((c) => c.id === cup.colour.id);
  const own = session.carried?.colours?.find((c) => c.id === cup.colour.id);
  const [rows, setRows] = useState<Row[] | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const { answer, trouble: refused } = useCounted(
    rows ? cup.amounts.resinG : null,
    rows && partsOf(rows),
  );
  const asked = rows !== null && answer !== null && refused === null;
  useEffect(() => {
    if (asked && colour && answer) {
      const next: Colour = {
        id: colour.id,
        name: colour.name,
        swatch: colour.swatch,
        recipe: answer.recipe,
      };
      if (JSON.stringify(next.recipe) !== JSON.stringify(own?.recipe ?? colour.recipe)) {
        onEdit(withRecipe(session, next));
      }
    }
    // Only an answer changes the session; the session that comes of it asks for nothing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [answer]);
  if (!colour || colour.recipe.length === 0) {
    return null;
  }
  const keep = async () => {
    if (!own) {
      return;
    }
    const kept = await ask(
      api.PUT("/api/colours/{id}", { params: { path: { id: own.id } }, body: own }),
    );
    setTrouble(kept.status === "ok" ? null : kept.trouble);
    if (kept.status === "ok") {
      onEdit(withoutRecipe(session, own.id));
    }
  };
  const shown = rows ?? counted(cup, colour, shelf);
  return (
    <Box
      component="section"
      aria-label={`What goes into ${colour.name}`}
      sx={{ display: "grid", gap: 1 }}
    >
      <CountedRows
        rows={shown}
        told={rows ? answer : null}
        jars={shelf.colourants}
        errors={refused?.errors ?? []}
        onChange={setRows}
      />
      {(refused ?? trouble) && <Told trouble={refused ?? (trouble as Trouble)} />}
      {own && (
        <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
          <span>In this session {colour.name} is mixed otherwise than on the shelf.</span>
          <Button
            variant="outlined"
            onClick={() => {
              setRows(null);
              onEdit(withoutRecipe(session, own.id));
            }}
          >
            As on the shelf
          </Button>
          <Button variant="outlined" onClick={() => void keep()}>
            Keep for every session
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** The doses of the cup as its maker counts them. */
function counted(cup: Cup, colour: Colour, shelf: Required<Workshop>): Row[] {
  return rowsOf(colour, shelf.colourants).map((row) => {
    const dose = cup.tint.doses.find((d) => d.colourantId === row.jar.id);
    const unit = usualUnit(row.jar.form);
    const amount = unit === "DROPS" ? dose?.drops : unit === "SCOOPS" ? dose?.scoops : dose?.massG;
    return amount === undefined ? row : { ...row, in: unit, amount: Number(amount.toFixed(3)) };
  });
}
