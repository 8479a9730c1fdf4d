import { readPlace } from "../../session/place";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import type { Finding, Mend, Plan, Session } from "../../api/client";
import { useDefaults } from "../../api/queries";
import { WrongMark } from "../../ui/Told";
import { later } from "../../ui/later";
import { useUnits } from "../../units/UnitsProvider";
import { findingText, latePours, mendText } from "../../words/findings";
import { isHeat } from "../../words/heat";

interface Props {
  plan: Plan;
  session: Session;
  startsAt: Date;
  onMend: (mend: Mend) => void;
  onAccept: (finding: Finding, reason: string) => void;
  onTakeBack: (finding: Finding) => void;
  /** Something else is open above the board: the first alone is shown unasked. */
  few: boolean;
}

const OnPurpose = later(() => import("./OnPurpose").then((m) => m.OnPurpose));

/** So many leave the board on an 800 px screen. */
const SHOWN = 3;

interface Told {
  key: string;
  breach: boolean;
  text: string;
  finding: Finding | undefined;
  mends: Mend[];
}

/** What is wrong or nearly so, each with what would mend it; the rest is one key away. */
export function Findings(props: Props) {
  const { plan, session, startsAt, onMend, few } = props;
  const units = useUnits();
  const [all, setAll] = useState(false);
  const breaches = plan.findings.filter((f) => f.severity === "BREACH");
  const near = plan.findings.filter((f) => f.severity === "NEAR");
  // What is only worth knowing of a mould or a label is told last; batches and parts show themselves.
  const notes = plan.findings.filter(
    (f) =>
      f.severity === "NOTE" &&
      (f.accepted !== undefined ||
        ["line", "layer"].includes(readPlace(f.place).of) ||
        f.rule === "BEGINS_LATER" ||
        f.rule === "RESIN_LEFT_OVER" ||
        f.rule === "LABEL_CONTRADICTS"),
  );
  if (breaches.length + near.length + notes.length === 0) {
    return null;
  }
  // Late pours are told a cup at a time: they share their cause and their mend.
  const late = breaches.filter((f) => f.rule === "POUR_AFTER_WORKING_TIME");
  const others = breaches.filter((f) => f.rule !== "POUR_AFTER_WORKING_TIME");
  const heat = plan.findings.filter(isHeat);
  const hot: Told[] = heat.map((finding) => ({
    key: `${finding.rule} ${finding.place}`,
    breach: true,
    text: `Heat: ${findingText(finding, plan, units)}`,
    finding,
    mends: finding.mends,
  }));
  // Heat first; but one line of it leaves room for pours that come too late.
  const told: Told[] = [
    ...hot.slice(0, 1),
    ...latePours(plan).map((text, i) => ({
      key: text,
      breach: true,
      text,
      finding: undefined,
      mends: i === 0 ? (late.find((f) => f.mends.length > 0)?.mends ?? []) : [],
    })),
    ...hot.slice(1),
    ...[...others, ...near, ...notes]
      .filter((f) => !isHeat(f))
      .map((finding) => ({
        key: `${finding.rule} ${finding.place}`,
        breach: finding.severity === "BREACH",
        text: findingText(finding, plan, units),
        finding,
        mends: finding.mends,
      })),
  ];
  // Of many alike the first stands for all, until all are asked for.
  const alike = (line: Told) =>
    told.filter((t) => line.finding && t.finding?.rule === line.finding.rule).length - 1;
  const firsts = told.filter(
    (line, i) =>
      !line.finding || told.findIndex((t) => t.finding?.rule === line.finding?.rule) === i,
  );
  const lines = all
    ? told
    : firsts
        .slice(0, few ? 1 : SHOWN)
        .map((line) =>
          alike(line) > 0
            ? { ...line, text: `${line.text} And ${alike(line)} more like it.` }
            : line,
        );
  const hidden = told.length - lines.length;
  return (
    <Box component="section" aria-label="What to look at" sx={{ px: 1, pb: 1 }}>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {lines.map((line) => (
          <Line
            key={line.key}
            line={line}
            mendWords={(mend) => mendText(mend, session, units, startsAt, plan)}
            onMend={onMend}
            onAccept={props.onAccept}
            onTakeBack={props.onTakeBack}
          />
        ))}
      </Box>
      {late.length > 0 && late.every((f) => f.mends.length === 0) && (
        <span>Leave out some moulds, or take a slower resin.</span>
      )}
      {(hidden > 0 || all) && (
        <Button onClick={() => setAll(!all)}>{all ? "Fewer" : `and ${hidden} more`}</Button>
      )}
    </Box>
  );
}

interface LineProps {
  line: Told;
  mendWords: (mend: Mend) => string;
  onMend: (mend: Mend) => void;
  onAccept: (finding: Finding, reason: string) => void;
  onTakeBack: (finding: Finding) => void;
}

function Line({ line, mendWords, onMend, onAccept, onTakeBack }: LineProps) {
  const [asking, setAsking] = useState(false);
  const { finding } = line;
  // What a maker may know better than the plan, as the server says.
  const acceptable = useDefaults().data?.acceptable ?? [];
  const mayAccept = finding !== undefined && acceptable.includes(finding.rule);
  return (
    <Box
      component="li"
      sx={{
        display: "flex",
        columnGap: 1,
        rowGap: 0.25,
        flexWrap: "wrap",
        alignItems: "center",
        minHeight: 30,
        color: line.breach ? "error.main" : "text.primary",
      }}
    >
      {line.breach ? <WrongMark /> : <b aria-hidden="true">·</b>}
      <Box
        component="span"
        sx={{ flex: { xs: "1 1 220px", sm: "0 1 auto" }, maxWidth: "calc(100% - 30px)" }}
      >
        {line.text}
      </Box>
      {finding?.other?.id !== undefined && (
        <Link href={`/plan/${finding.other.id}`}>Open “{finding.other.name}”</Link>
      )}
      {finding?.accepted !== undefined && (
        <>
          <Box component="span" sx={{ color: "text.secondary" }}>
            On purpose: “{finding.accepted}”
          </Box>
          <Button size="small" onClick={() => onTakeBack(finding)}>
            Take that back
          </Button>
        </>
      )}
      {line.mends.map((mend) => (
        <Button
          key={`${mend.kind} ${mend.target ?? ""}`}
          size="small"
          variant="outlined"
          sx={{ py: 0, minHeight: 30 }}
          onClick={() => onMend(mend)}
        >
          {mendWords(mend)}
        </Button>
      ))}
      {finding && finding.accepted === undefined && mayAccept && !asking && (
        <Button size="small" sx={{ py: 0, minHeight: 30 }} onClick={() => setAsking(true)}>
          Accept anyway
        </Button>
      )}
      {finding && asking && (
        <OnPurpose
          onKeep={(reason) => {
            onAccept(finding, reason);
            setAsking(false);
          }}
          onLeave={() => setAsking(false)}
        />
      )}
    </Box>
  );
}
