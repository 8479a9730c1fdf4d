import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { WeighedBeside } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { show, showWith } from "../units/units";
import { Keypad } from "./Keypad";
import { Over } from "./Over";
import type { Happened } from "./useRun";
import type { Weighable } from "./weighed";

interface Props {
  label: string;
  /** What it is good for. */
  help: string;
  things: Weighable[];
  kind: WeighedBeside["kind"];
  /** What was weighed before. */
  before: WeighedBeside[];
  tell: (...happened: Happened[]) => void;
}

/** Things that may be weighed beside the work, so that later plans know more. */
export function WeighKeys({ label, help, things, kind, before, tell }: Props) {
  const units = useUnits();
  const [weighs, setWeighs] = useState<Weighable | null>(null);
  const [weighed, setWeighed] = useState<Record<string, number>>({});
  if (things.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label={label} sx={{ mt: 1 }}>
      <Box sx={{ color: "text.secondary" }}>{help}</Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mt: 0.5 }}>
        {things.map((thing) => {
          const grams =
            weighed[thing.of] ?? before.find((w) => w.kind === kind && w.of === thing.of)?.grams;
          return (
            <Button
              key={thing.of}
              variant="outlined"
              aria-label={`Weigh ${thing.name}`}
              onClick={() => setWeighs(thing)}
              sx={{ minHeight: 56, fontSize: "1.05rem" }}
            >
              {grams === undefined
                ? `Weigh ${thing.name}`
                : `${thing.name}: ${showWith(units.MASS, grams, grams < 1 ? 2 : 1)}`}
            </Button>
          );
        })}
      </Box>
      {weighs && (
        <Over label={label} onClose={() => setWeighs(null)}>
          <Box
            component="h2"
            sx={{ typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.4rem" } }}
          >
            {weighs.name}
          </Box>
          <Keypad
            what="What the scale says"
            unit={units.MASS.symbol}
            done="That much"
            most={Number(show(units.MASS, weighs.mostG))}
            mostIs={weighs.mostIs}
            onDone={(value) => {
              const grams = value * units.MASS.scale;
              tell({ kind, of: weighs.of, value: grams });
              setWeighed((those) => ({ ...those, [weighs.of]: grams }));
              setWeighs(null);
            }}
            onCancel={() => setWeighs(null)}
          />
        </Over>
      )}
    </Box>
  );
}
