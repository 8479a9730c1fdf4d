import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useCounted } from "../../api/asking";
import {
  api,
  ask,
  type Colour,
  type FieldError,
  type Trouble,
  type Workshop,
} from "../../api/client";
import { newId } from "../../moulds/newMould";
import { CountedRows } from "../../shelf/CountedRows";
import { freshJar, partsOf, type Row, rowsOf, usualUnit } from "../../shelf/counted";
import { NumberField } from "../../ui/NumberField";
import { Swatch } from "../../ui/Swatch";
import { Told } from "../../ui/Told";
import { useUnits } from "../../units/UnitsProvider";

interface Props {
  shelf: Required<Workshop>;
  /** What this layer takes of its cup, g: what a colour is mostly counted for. */
  resinG: number;
  /** A colour that has just been put on the shelf. */
  onMade: (colourId: string, everywhere: boolean) => void;
  onClose: () => void;
}

function firstRow(shelf: Required<Workshop>): Row {
  const jar = shelf.colourants[0];
  return jar
    ? { jar, fresh: false, amount: null, in: usualUnit(jar.form) }
    : { jar: freshJar(), fresh: true, amount: null, in: "DROPS" };
}

/** A colour as makers count it, beside the layer that wants it: one entry for jar, recipe and look. */
export function NewColour({ shelf, resinG, onMade, onClose }: Props) {
  const units = useUnits();
  const [name, setName] = useState("");
  const [forG, setForG] = useState<number | null>(Number(resinG.toFixed(1)));
  const [rows, setRows] = useState<Row[]>(() => [firstRow(shelf)]);
  const [refused, setRefused] = useState<Trouble | null>(null);
  const [missing, setMissing] = useState(false);
  const { answer, trouble } = useCounted(forG, partsOf(rows));
  const errors: FieldError[] = [...(trouble?.errors ?? []), ...(refused?.errors ?? [])];
  // Of one jar only: it lends its name.
  const called = name.trim() || (rows.length === 1 ? (rows[0]?.jar.name.trim() ?? "") : "");
  const others = shelf.colours.filter((c) => c.recipe.length > 0);
  const make = async (everywhere: boolean) => {
    const parts = partsOf(rows);
    const unnamed = rows.some((r) => r.fresh && r.jar.name.trim() === "");
    if (!parts || forG === null || called === "" || unnamed) {
      setMissing(true);
      return;
    }
    // Who is quick presses before the answer to the last key is here.
    const told = await ask(api.POST("/api/colours/counted", { body: { resinG: forG, parts } }));
    if (told.status === "trouble") {
      return setRefused(told.trouble);
    }
    for (const row of rows.filter((r) => r.fresh)) {
      const kept = await ask(
        api.PUT("/api/colourants/{id}", { params: { path: { id: row.jar.id } }, body: row.jar }),
      );
      if (kept.status === "trouble") {
        return setRefused(kept.trouble);
      }
    }
    const colour: Colour = {
      id: newId("colour"),
      name: called,
      swatch: told.value.swatch,
      recipe: told.value.recipe,
    };
    const kept = await ask(
      api.PUT("/api/colours/{id}", { params: { path: { id: colour.id } }, body: colour }),
    );
    if (kept.status === "trouble") {
      return setRefused(kept.trouble);
    }
    onMade(colour.id, everywhere);
  };
  const nothingYet = missing && rows.some((r) => r.amount === null);
  return (
    <Box
      component="form"
      aria-label="A colour"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void make(false);
      }}
      sx={{ display: "grid", gap: 1.25, pt: 1.25, pl: 1 }}
    >
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start" }}>
        <TextField
          label="Name of the colour"
          value={name}
          onChange={(e) => setName(e.target.value)}
          placeholder={called}
          error={missing && called === ""}
          helperText={missing && called === "" ? "It needs a name." : undefined}
          sx={{ width: 200 }}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <NumberField
          label="For so much resin"
          unit={units.MASS}
          value={forG}
          width={160}
          error={errors.find((e) => e.field === "resinG")}
          onChange={setForG}
        />
        {others.length > 0 && (
          <TextField
            select
            label="Begin with that of"
            value=""
            onChange={(e) => {
              const like = others.find((c) => c.id === e.target.value);
              if (like) {
                setRows(rowsOf(like, shelf.colourants));
              }
            }}
            sx={{ width: 190 }}
          >
            {others.map((c) => (
              <MenuItem key={c.id} value={c.id}>
                <Swatch colour={c.swatch} /> {c.name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
      <CountedRows
        rows={rows}
        told={answer}
        jars={shelf.colourants}
        errors={errors}
        onChange={setRows}
      />
      {nothingYet && (
        <Box role="alert" sx={{ color: "error.main" }}>
          How much of it? Type a number, for example 8 drops.
        </Box>
      )}
      {(trouble ?? refused) && <Told trouble={trouble ?? (refused as Trouble)} />}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
        {answer && (
          <span>
            <Swatch colour={answer.swatch} /> {answer.percentOfMix.toFixed(1)} % of the mix. A guess
            of its look until a cured chip says otherwise.
          </span>
        )}
        <Button type="submit" variant="contained">
          Use it here
        </Button>
        <Button variant="outlined" onClick={() => void make(true)}>
          Use it on every layer
        </Button>
        <Button onClick={onClose}>Close</Button>
      </Box>
    </Box>
  );
}
