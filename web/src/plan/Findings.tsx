import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Mend, Plan, Session } from "../api/client";
import { WrongMark } from "../frame/Told";
import { useUnits } from "../units/UnitsProvider";
import { findingText, latePours, mendText } from "./wording";

interface Props {
  plan: Plan;
  session: Session;
  onMend: (mend: Mend) => void;
}

const SHOWN = 5;

/** What is wrong or nearly so, with the changes that have been tried and would mend it. */
export function Findings({ plan, session, onMend }: Props) {
  const units = useUnits();
  const breaches = plan.findings.filter((f) => f.severity === "BREACH");
  const near = plan.findings.filter((f) => f.severity === "NEAR");
  // What is only worth knowing of a mould or a label is told last; batches and parts show themselves.
  const notes = plan.findings.filter(
    (f) =>
      f.severity === "NOTE" && (f.place.startsWith("piece/") || f.rule === "LABEL_CONTRADICTS"),
  );
  const mends = breaches.find((f) => f.mends.length > 0)?.mends ?? [];
  const late = breaches.some((f) => f.rule === "POUR_AFTER_WORKING_TIME");
  if (breaches.length + near.length + notes.length === 0) {
    return null;
  }
  // Late pours are told a cup at a time: they share their cause and their mend.
  const others = breaches.filter((f) => f.rule !== "POUR_AFTER_WORKING_TIME");
  const told = [
    ...latePours(plan).map((text) => ({ key: text, breach: true, text })),
    ...[...others, ...near, ...notes].map((finding) => ({
      key: `${finding.rule} ${finding.place}`,
      breach: finding.severity === "BREACH",
      text: findingText(finding, plan, units),
    })),
  ];
  const lines = told.slice(0, SHOWN);
  const hidden = told.length - lines.length;
  return (
    <Box
      component="section"
      aria-label="What to look at"
      sx={{ px: 1, pb: 1, display: "flex", flexWrap: "wrap", columnGap: 4, rowGap: 0.5 }}
    >
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, flex: "1 1 460px" }}>
        {lines.map((line) => (
          <Line key={line.key} breach={line.breach} text={line.text} />
        ))}
        {hidden > 0 && <Box component="li">and {hidden} more</Box>}
      </Box>
      {late && (
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
          {mends.length > 0 ? (
            <span>Any one of these mends it:</span>
          ) : (
            <span>Leave out some moulds, or take a slower resin.</span>
          )}
          {mends.map((mend) => (
            <Button key={mend.kind} variant="outlined" onClick={() => onMend(mend)}>
              {mendText(mend, session, units)}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}

function Line({ breach, text }: { breach: boolean; text: string }) {
  return (
    <Box
      component="li"
      sx={{
        display: "flex",
        gap: 0.75,
        alignItems: "center",
        color: breach ? "error.main" : "text.primary",
      }}
    >
      {breach ? <WrongMark /> : <b aria-hidden="true">·</b>}
      {text}
    </Box>
  );
}
