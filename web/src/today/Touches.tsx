import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { DueLine, Felt } from "../api/client";
import { FELT } from "../words/felt";

interface Props {
  due: DueLine[];
  onFelt: (due: DueLine, of: string, word: Felt["word"]) => void;
}

const WORDS: readonly Felt["word"][] = ["TACKY", "NAIL_DENTS", "HARD"];

/** Pieces that may be hard or not: one tap teaches the resin’s clock most now. */
export function Touches({ due, onFelt }: Props) {
  const asked = due.filter((d) => d.touch !== undefined);
  if (asked.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Worth a touch now" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Worth a touch now
      </Box>
      {asked.map((line) => (
        <Box
          key={line.runId + line.taskId}
          role="group"
          aria-label={`How hard is ${line.mouldName}?`}
          sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", py: 0.75 }}
        >
          <Box sx={{ minWidth: 190 }}>
            How hard is <b>{line.mouldName}</b>?
          </Box>
          {WORDS.map((word) => (
            <Button
              key={word}
              variant="outlined"
              onClick={() => onFelt(line, `PIECE/${line.touch}`, word)}
              sx={{ minHeight: 48 }}
            >
              {FELT[word]}
            </Button>
          ))}
          <Box sx={{ color: "text.secondary" }}>A nail at its edge is enough; gloves on.</Box>
        </Box>
      ))}
    </Box>
  );
}
