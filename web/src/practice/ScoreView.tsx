import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { RehearsedEvening } from "../api/client";
import { CupCurves } from "../drawing/CupCurves";
import { PourTable } from "../record/PourTable";
import { Sheet } from "../ui/Sheet";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { cavityName } from "../words/places";
import { deviationWords, VERDICTS } from "../words/record";
import { befellWords, whyWords } from "../words/rehearsal";

interface Props {
  evening: RehearsedEvening;
  at: (seconds: number) => string;
}

/** What was saved, what was lost and why, and how every cup really followed. */
export function ScoreView({ evening, at }: Props) {
  const { score, par, plan, session } = evening;
  const units = useUnits();
  const count = (verdict: string) => score.pieces.filter((p) => p.verdict === verdict).length;
  const label = Math.round(100 * (score.labelTimes - 1));
  const name = (piece: string) => {
    const [line = 1, cavity = 1] = piece.split(".").map(Number);
    return cavityName(plan, line - 1, cavity);
  };
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      <Box sx={{ bgcolor: "background.paper", borderRadius: 2, p: { xs: 2, md: 3 } }}>
        <Box
          component="h2"
          role="status"
          sx={{ typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.2rem" } }}
        >
          {count("GOOD")} of {score.pieces.length} good
          {count("SECOND") > 0 && `, ${count("SECOND")} second`}
          {count("LOST") > 0 && `, ${count("LOST")} lost`}
        </Box>
        <Box sx={{ fontSize: "1.15rem", mt: 1 }}>
          {score.points} of {score.most} points. Hands that see to everything come to {par}.
        </Box>
        <Box sx={{ color: "text.secondary", mt: 0.5 }}>
          The room was at {showWith(units.TEMPERATURE, score.roomC)} in the end, and the resin had{" "}
          {label === 0
            ? "the pot life of its label"
            : `${Math.abs(label)} % ${label > 0 ? "more" : "less"} pot life than its label says`}
          .
        </Box>
        <Button
          variant="contained"
          href={`/practice/rehearsal/${evening.exerciseId}`}
          sx={{ mt: 2, minHeight: 64, fontSize: "1.2rem", mr: 1.5 }}
        >
          Once more
        </Button>
        <Button href="/practice/rehearsal" sx={{ mt: 2, minHeight: 64, fontSize: "1.1rem" }}>
          Another exercise
        </Button>
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "repeat(2, minmax(0, 1fr))" },
          gap: 1.5,
          alignItems: "start",
        }}
      >
        <Sheet title="The pieces">
          {score.pieces.map((p) => (
            <Box key={p.piece} sx={{ py: 0.25 }}>
              <b>{name(p.piece)}</b>: {VERDICTS[p.verdict]}
              {p.why.length > 0 && ` – ${p.why.map(whyWords).join("; ")}`}
            </Box>
          ))}
        </Sheet>
        <Sheet title="What went wrong">
          {score.befell.length === 0 && "Nothing."}
          {score.befell.map((b, i) => (
            <Box key={i} sx={{ display: "flex", gap: 1.5, py: 0.25 }}>
              <Box sx={{ color: "text.secondary", flexShrink: 0 }}>{at(b.atSeconds)}</Box>
              <span>{befellWords(b, units)}</span>
            </Box>
          ))}
        </Sheet>
        <Sheet title="Otherwise than planned">
          {score.record.deviations.length === 0 && "Nothing."}
          {score.record.deviations.map((d, i) => (
            <Box key={i} sx={{ display: "flex", gap: 1.5, py: 0.25 }}>
              <Box sx={{ color: "text.secondary", flexShrink: 0 }}>{at(d.atSeconds)}</Box>
              <span>{deviationWords(d, plan, session, units)}</span>
            </Box>
          ))}
        </Sheet>
      </Box>
      <Sheet title="How the cups really followed" aside="a mark for each pour">
        <CupCurves curves={score.curves} />
      </Sheet>
      <Sheet title="Cavity by cavity">
        <PourTable pours={score.record.pours} plan={plan} at={at} />
      </Sheet>
    </Box>
  );
}
