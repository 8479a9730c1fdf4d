import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { AsRun } from "../api/client";
import { NumberField } from "../ui/NumberField";
import { Sheet } from "../ui/Sheet";
import { Swatch } from "../ui/Swatch";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";

interface Props {
  cups: AsRun["cups"];
  onWeighed: (cupId: string, grams: number) => void;
}

/** Cups that were poured out, each with what stayed on its wall and stick once somebody weighed it. */
export function StayedInCups({ cups, onWeighed }: Props) {
  const filled = cups.filter((c) => c.filledG > 0);
  return filled.length === 0 ? null : (
    <Sheet title="What stayed in the cups" aside="weighed, without the cup itself">
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {filled.map((cup) => (
          <Cup key={cup.cupId} cup={cup} onWeighed={(grams) => onWeighed(cup.cupId, grams)} />
        ))}
      </Box>
      <Box sx={{ color: "text.secondary" }}>
        Pour out what runs. From three evenings on this is planned with, when you say so.
      </Box>
    </Sheet>
  );
}

function Cup({ cup, onWeighed }: { cup: AsRun["cups"][number]; onWeighed: (g: number) => void }) {
  const units = useUnits();
  const [grams, setGrams] = useState<number | null>(null);
  const [readable, setReadable] = useState(true);
  const most = cup.filledG;
  const wrong = grams !== null && (grams < 0 || grams > most);
  return (
    <Box
      component="li"
      sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center", py: 0.5 }}
    >
      <Swatch colour={cup.swatch} />
      <Box sx={{ minWidth: 150 }}>
        <b>{cup.colourName}</b> {showWith(units.MASS, cup.filledG)}
      </Box>
      {cup.stayedG !== undefined && <Box>{showWith(units.MASS, cup.stayedG)} stayed</Box>}
      <Box
        sx={{ display: "flex", gap: 1, alignItems: "start", "@media print": { display: "none" } }}
      >
        <NumberField
          label={`Stayed in ${cup.colourName} ${cup.cupId}`}
          unit={units.MASS}
          value={grams}
          optional
          onChange={setGrams}
          onReadable={setReadable}
          error={
            wrong
              ? {
                  field: "value",
                  code: "OUT_OF_RANGE",
                  message: `Between 0 and ${showWith(units.MASS, most)}: no more was in it.`,
                }
              : undefined
          }
          width={220}
        />
        <Button
          variant="outlined"
          disabled={grams === null || wrong || !readable}
          onClick={() => {
            if (grams !== null) {
              onWeighed(grams);
              setGrams(null);
            }
          }}
          sx={{ minHeight: 40 }}
        >
          Keep
        </Button>
      </Box>
    </Box>
  );
}
