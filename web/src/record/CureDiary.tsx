import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Felt, LookedBack } from "../api/client";
import { later } from "../ui/later";
import { Sheet } from "../ui/Sheet";
import { FELT } from "../words/felt";
import { cavityName } from "../words/places";

const FeltKeys = later(() => import("../pour/FeltKeys").then((m) => m.FeltKeys));

interface Props {
  looked: LookedBack;
  at: (seconds: number) => string;
  onFelt: (of: string, word: Felt["word"]) => Promise<void>;
}

/** How cups and pieces were when somebody touched them. */
export function CureDiary({ looked, at, onFelt }: Props) {
  const [asks, setAsks] = useState(false);
  const { asRun, plan } = looked;
  const pieces = asRun.pieces.filter((p) => p.poured > 0 && !p.givenUp);
  const things = [
    ...asRun.cups
      .filter((c) => c.filledG > 0)
      .map((c) => ({ of: `CUP/${c.cupId}`, name: `cup ${c.colourName}`, swatch: c.swatch })),
    ...pieces.map((p) => ({
      of: `PIECE/${p.piece}`,
      name: cavityName(plan, p.line, p.cavity),
      swatch: plan.pieces[p.line]?.layers.at(-1)?.swatch ?? "transparent",
    })),
  ];
  const name = (felt: Felt) => {
    const of = felt.cup === undefined ? `PIECE/${felt.piece}` : `CUP/${felt.cup}`;
    return things.find((t) => t.of === of)?.name ?? "a piece";
  };
  if (things.length === 0) {
    return null;
  }
  return (
    <Sheet title="Cure diary" aside="how it was when you touched it">
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {asRun.felt.map((felt) => (
          <Box component="li" key={felt.eventId} sx={{ display: "flex", gap: 1.5, py: 0.25 }}>
            <Box sx={{ color: "text.secondary", flexShrink: 0 }}>{at(felt.atSeconds)}</Box>
            <span>
              {name(felt)}: <b>{FELT[felt.word]}</b>
            </span>
          </Box>
        ))}
        {asRun.felt.length === 0 && (
          <Box component="li" sx={{ color: "text.secondary" }}>
            Nothing yet. From three evenings on your resin’s own clock can be planned with.
          </Box>
        )}
      </Box>
      <Button
        variant="outlined"
        onClick={() => setAsks(true)}
        sx={{ minHeight: 56, mt: 1, "@media print": { display: "none" } }}
      >
        Note how it is now
      </Button>
      {asks && (
        <FeltKeys
          things={things}
          onFelt={(of, word) => {
            void onFelt(of, word);
            setAsks(false);
          }}
          onClose={() => setAsks(false)}
        />
      )}
    </Sheet>
  );
}
