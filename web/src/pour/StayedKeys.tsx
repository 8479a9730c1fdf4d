import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Cup } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { show, showWith } from "../units/units";
import { cupName } from "../words/places";
import { Keypad } from "./Keypad";
import { Over } from "./Over";
import type { Happened } from "./useRun";

interface Props {
  cups: Cup[];
  tell: (...happened: Happened[]) => void;
}

/** What stayed in cups that are poured out, weighed while they are still to hand. */
export function StayedKeys({ cups, tell }: Props) {
  const units = useUnits();
  const [weighs, setWeighs] = useState<Cup | null>(null);
  const [weighed, setWeighed] = useState<Record<string, number>>({});
  return (
    <Box component="section" aria-label="What stayed in the cups" sx={{ mt: 1 }}>
      <Box sx={{ color: "text.secondary" }}>
        Weigh what stayed in a cup, without the cup, and later plans know it.
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mt: 0.5 }}>
        {cups.map((cup) => {
          const grams = weighed[cup.id];
          return (
            <Button
              key={cup.id}
              variant="outlined"
              onClick={() => setWeighs(cup)}
              sx={{ minHeight: 64, fontSize: "1.1rem" }}
            >
              {cupName(cups, cup)}
              {grams === undefined ? "" : `, ${showWith(units.MASS, grams)}`}
            </Button>
          );
        })}
      </Box>
      {weighs && (
        <Over label="What stayed in the cup" onClose={() => setWeighs(null)}>
          <Box
            component="h2"
            sx={{ typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.4rem" } }}
          >
            {cupName(cups, weighs)}
          </Box>
          <Keypad
            what="What stayed in it"
            unit={units.MASS.symbol}
            done="That much"
            most={Number(show(units.MASS, weighs.amounts.contentG))}
            mostIs="There was no more in it than"
            onDone={(value) => {
              const grams = value * units.MASS.scale;
              tell({ kind: "STAYED", of: weighs.id, value: grams });
              setWeighed((before) => ({ ...before, [weighs.id]: grams }));
              setWeighs(null);
            }}
            onCancel={() => setWeighs(null)}
          />
        </Over>
      )}
    </Box>
  );
}
