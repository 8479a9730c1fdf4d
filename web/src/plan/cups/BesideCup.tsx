import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Cup, Plan } from "../../api/client";
import { LookSwatches, lookText } from "../../drawing/LookSwatches";
import { useUnits } from "../../units/UnitsProvider";
import { doseWords } from "../../words/doses";
import { loadingText } from "../../words/loading";
import { cupName } from "../../words/places";

interface Props {
  cup: Cup;
  plan: Plan;
}

const LARGE = 76;

/** Two colours of the session beside each other: look, doses, loading. */
export function BesideCup({ cup, plan }: Props) {
  const [other, setOther] = useState("");
  const cups = plan.batches.flatMap((b) => b.cups);
  const others = cups.filter((c) => c.id !== cup.id && c.colour.id !== cup.colour.id);
  const shown = others.find((c) => c.id === other);
  if (others.length === 0) {
    return null;
  }
  return (
    <Box>
      <TextField
        select
        label="Compare with"
        value={shown ? other : ""}
        onChange={(e) => setOther(e.target.value)}
        sx={{ width: 240 }}
        slotProps={{ select: { displayEmpty: true } }}
      >
        <MenuItem value="">none</MenuItem>
        {others.map((c) => (
          <MenuItem key={c.id} value={c.id}>
            {cupName(cups, c)}
          </MenuItem>
        ))}
      </TextField>
      {shown && (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 3, mt: 1 }}>
          {[cup, shown].map((c) => (
            <Colour key={c.id} cup={c} name={cupName(cups, c)} />
          ))}
        </Box>
      )}
    </Box>
  );
}

function Colour({ cup, name }: { cup: Cup; name: string }) {
  const units = useUnits();
  const [nearest] = cup.tint.loading;
  return (
    <Box role="group" aria-label={`${name}, beside`} sx={{ minWidth: 230 }}>
      {cup.tint.look ? (
        <LookSwatches look={cup.tint.look} size={LARGE} />
      ) : (
        <Box sx={{ width: LARGE, height: LARGE, bgcolor: cup.colour.swatch }} />
      )}
      <Box sx={{ fontWeight: 700 }}>{name}</Box>
      {cup.tint.look && <Box>in its thinnest layer it {lookText(cup.tint.look)}</Box>}
      {cup.tint.doses.map((dose) => (
        <Box key={dose.colourantId}>
          {dose.colourantName}: {doseWords(dose, units)}
        </Box>
      ))}
      {nearest && <Box sx={{ color: "text.secondary" }}>{loadingText(nearest)}</Box>}
    </Box>
  );
}
