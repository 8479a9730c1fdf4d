import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Felt } from "../api/client";
import { CUP_WORDS, FELT, PIECE_WORDS } from "../words/felt";
import { Over } from "./Over";
import { Tag } from "./Tag";

/** A cup or a piece that can be touched. */
export interface Touchable {
  /** As the diary names it. */
  of: string;
  name: string;
  swatch: string;
}

interface Props {
  things: Touchable[];
  onFelt: (of: string, word: Felt["word"]) => void;
  onClose: () => void;
}

/** A line for the cure diary: what was touched, then how it was; two taps, one where there is but one thing. */
export function FeltKeys({ things, onFelt, onClose }: Props) {
  const [chosen, setChosen] = useState<Touchable | undefined>(
    things.length === 1 ? things[0] : undefined,
  );
  const words = chosen?.of.startsWith("CUP/") ? CUP_WORDS : PIECE_WORDS;
  return (
    <Over label={chosen ? `How is ${chosen.name}?` : "What did you touch?"} onClose={onClose}>
      <Box component="h2" sx={{ typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.2rem" } }}>
        {chosen ? `How is ${chosen.name}?` : "What did you touch?"}
      </Box>
      <Box sx={{ color: "text.secondary" }}>
        With a stick, or a gloved finger at its edge. The resin’s clock learns from it.
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(4, 1fr)" },
          gap: 1,
          overflow: "auto",
        }}
      >
        {chosen
          ? words.map((word) => (
              <Button
                key={word}
                variant="outlined"
                onClick={() => onFelt(chosen.of, word)}
                sx={{ minHeight: 76, fontSize: "1.15rem", lineHeight: 1.2 }}
              >
                {FELT[word]}
              </Button>
            ))
          : things.map((thing) => (
              <Button
                key={thing.of}
                variant="outlined"
                onClick={() => setChosen(thing)}
                sx={{ minHeight: 76, fontSize: "1.15rem", lineHeight: 1.2, gap: 1.25 }}
              >
                <Tag swatch={thing.swatch} />
                {thing.name}
              </Button>
            ))}
      </Box>
      <Button onClick={onClose} sx={{ minHeight: 72, fontSize: "1.2rem" }}>
        Not now
      </Button>
    </Over>
  );
}
