import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { LookOver, PieceView } from "../api/client";
import { MouldSection } from "../drawing/MouldSection";
import { boardScale } from "../drawing/boardScale";
import { faultWords, SPOTS, spotWords } from "../words/record";

type Mark = LookOver["marks"][number];

interface Props {
  view: PieceView;
  /** What a place that is pointed at is told of. */
  fault: Mark["fault"];
  marks: Mark[];
  onMarks: (marks: Mark[]) => void;
}

const LARGE = { widest: 300, tallest: 200, flattest: 60, closest: 12 };

/** Where a fault is: pointed at in the section, or said with a key. */
export function Spots({ view, fault, marks, onMarks }: Props) {
  const here = marks.filter((m) => m.fault === fault);
  const add = (acrossPercent: number, upPercent: number) =>
    onMarks([...marks, { fault, acrossPercent, upPercent }]);
  return (
    <Box
      role="group"
      aria-label={`Where: ${faultWords(fault)}`}
      sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "center" }}
    >
      <Box sx={{ maxWidth: "100%", pt: 1 }}>
        <MouldSection
          piece={view}
          scale={boardScale([view], LARGE)}
          spots={marks.map((m) => ({ ...m, words: `${faultWords(m.fault)} ${spotWords(m)}` }))}
          onSpot={add}
        />
      </Box>
      <Box>
        <Box sx={{ fontWeight: 700 }}>Where is it: {faultWords(fault)}?</Box>
        <Box sx={{ color: "text.secondary", mb: 1 }}>
          {here.length === 0 ? "Touch the drawing, or choose." : here.map(spotWords).join(", ")}
        </Box>
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", maxWidth: 420 }}>
          {SPOTS.map((s) => (
            <Button
              key={s.words}
              variant="outlined"
              onClick={() => add(s.acrossPercent, s.upPercent)}
              sx={{ minHeight: 48 }}
            >
              {s.words}
            </Button>
          ))}
          {here.length > 0 && (
            <Button
              onClick={() => onMarks(marks.filter((m) => m !== here.at(-1)))}
              sx={{ minHeight: 48 }}
            >
              Take the last one away
            </Button>
          )}
        </Box>
      </Box>
    </Box>
  );
}
