import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import { useParams } from "react-router";
import type { JournalPiecePage, LookOver } from "../api/client";
import { useJournalPiece } from "../api/queries";
import { MouldSection } from "../drawing/MouldSection";
import { boardScale } from "../drawing/boardScale";
import { Fetched } from "../ui/Fetched";
import { later } from "../ui/later";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { doseWords } from "../words/doses";
import { ordinal } from "../words/numbers";
import { dayName } from "../words/dates";
import { joinText } from "../words/found";
import { faultWords, lookCodes, spotWords, VERDICTS } from "../words/record";
import { clockTime, dayAndTime } from "../words/time";
import { GradeMark } from "../drawing/GradeMark";
import { Suspects } from "./Suspects";
import { Pictures } from "./Pictures";
import { useTell } from "./useTell";
import { WhatBecame } from "./WhatBecame";

const LookOverKeys = later(() => import("../record/LookOverKeys").then((m) => m.LookOverKeys));

const NOT_PRINTED = { "@media print": { display: "none" } } as const;
const LARGE = { widest: 260, tallest: 220, flattest: 60, closest: 12 };

/** One piece with all that the record knows of it. */
export function PieceScreen() {
  const { id = "", piece = "" } = useParams();
  return (
    <Fetched query={useJournalPiece(id, piece)} loading="Fetching the piece…">
      {(page) => <Piece page={page} />}
    </Fetched>
  );
}

function Piece({ page }: { page: JournalPiecePage }) {
  const units = useUnits();
  const { piece, view } = page;
  const begun = new Date(page.begunAt);
  const at = (seconds: number) => clockTime(begun, seconds, page.zoneId);
  const look = piece.lookedOver;
  const name = view.count > 1 ? `${piece.mouldName}, ${ordinal(piece.cavity)}` : piece.mouldName;
  const [looking, setLooking] = useState(false);
  const { tell, trouble } = useTell(page.runId);
  const keep = async ({ text, ...seen }: LookOver) => {
    const told = await tell({
      kind: "LOOKED_OVER",
      of: piece.piece,
      codes: lookCodes(seen),
      ...(text === undefined ? {} : { text }),
    });
    if (told) {
      setLooking(false);
    }
  };
  const grams = (g: number) => showWith(units.MASS, g);
  return (
    <Box sx={{ px: 1, pt: 1.5, display: "grid", gap: 1.5, gridTemplateColumns: "minmax(0, 1fr)" }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", flexWrap: "wrap" }}>
        <Box component="h1" sx={{ typography: "h1", m: 0 }}>
          {name}
        </Box>
        <Box sx={{ color: "text.secondary" }}>
          <Link href={`/pour/${page.runId}/record`}>{page.name}</Link>,{" "}
          {dayAndTime(begun, page.zoneId)}
        </Box>
        <Box sx={{ ml: "auto" }}>
          <Link href="/journal">Journal</Link>
        </Box>
      </Box>
      <Box
        sx={{
          display: "grid",
          gap: 1.5,
          alignItems: "start",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1fr)" },
        }}
      >
        <Sheet title="The piece">
          <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", alignItems: "flex-end" }}>
            {view.section.length > 1 && (
              <MouldSection
                piece={view}
                scale={boardScale([view], LARGE)}
                spots={(look?.marks ?? []).map((m) => ({
                  ...m,
                  words: `${faultWords(m.fault)} ${spotWords(m)}`,
                }))}
              />
            )}
            <Pictures runId={page.runId} piece={piece.piece} numbers={page.pictures} name={name} />
          </Box>
          <Box sx={{ display: "flex", gap: 1, alignItems: "center", mt: 1, fontWeight: 700 }}>
            <GradeMark grade={look?.verdict} />
            {look ? VERDICTS[look.verdict] : "not looked at yet"}
          </Box>
          {look && look.faults.length > 0 && (
            <Box sx={{ color: "error.main" }}>
              {look.faults.map((f) => faultText(f, look.marks)).join(", ")}
            </Box>
          )}
          {look?.text && <Box>“{look.text}”</Box>}
          <Box sx={{ color: "text.secondary" }}>
            Piece {page.castNumber} out of this mould in the journal
          </Box>
          {page.trials.map((t) => (
            <Box key={t.trial}>
              {t.changed ? `A trial: ${t.trial}` : `As usual, beside the trial “${t.trial}”`}
            </Box>
          ))}
          <Box sx={{ display: "flex", gap: 2, alignItems: "center", mt: 1, flexWrap: "wrap" }}>
            <Button
              variant="outlined"
              onClick={() => setLooking(true)}
              sx={{ minHeight: 56, ...NOT_PRINTED }}
            >
              {look ? "Look again" : "Look over"}
            </Button>
            <Box
              component="img"
              alt=""
              src={`/api/journal/codes/${page.code}`}
              sx={{ width: 72, height: 72 }}
            />
            <Box>
              <Box sx={{ fontFamily: "monospace", fontSize: "1.2rem", letterSpacing: 1 }}>
                {page.code}
              </Box>
              <Box sx={{ color: "text.secondary", fontSize: "0.9rem" }}>
                On its tag. Type or scan it under “Find”.
              </Box>
            </Box>
          </Box>
          {trouble && <Told trouble={trouble} />}
        </Sheet>
        <Sheet title="What went in">
          {page.batches.map((b) => (
            <Box key={b.number}>
              {b.resinName}: A {grams(b.aG)} (planned {grams(b.plannedAG)}), B {grams(b.bG)} (
              {grams(b.plannedBG)})
              {b.ratioErrorPercent !== undefined &&
                (Math.abs(b.ratioErrorPercent) < 0.05
                  ? "; in the label’s ratio"
                  : `; A ${Math.abs(b.ratioErrorPercent).toFixed(1)} % too ${b.ratioErrorPercent > 0 ? "much" : "little"}`)}
              {b.mixedSeconds !== undefined && `; stirred until ${at(b.mixedSeconds)}`}
            </Box>
          ))}
          {page.lots.length > 0 && (
            <Box>
              {[
                ...new Set(
                  page.lots.map(
                    (l) => `${l.partName}, lot ${l.code}, opened ${dayName(l.openedOn)}`,
                  ),
                ),
              ].join("; ")}
            </Box>
          )}
          {page.cups.map(({ cup, doses }) => (
            <Box key={cup.cupId} sx={{ mt: 0.5 }}>
              <b>{cup.colourName}</b>{" "}
              {doses.length === 0
                ? "without colour"
                : doses.map((d) => `${d.colourantName}: ${doseWords(d, units)}`).join("; ")}
            </Box>
          ))}
          <Box component="ul" aria-label="Its pours" sx={{ m: 0, mt: 0.75, pl: 2.5 }}>
            {page.pours.map((p) => (
              <li key={p.pourId}>
                {p.colourName}{" "}
                {p.atSeconds === undefined
                  ? "was not poured"
                  : `${grams(p.grams ?? p.plannedG)}${p.weighed ? "" : " as planned"} at ${at(p.atSeconds)}`}
                {p.spareSeconds !== undefined &&
                  (p.spareSeconds < 0
                    ? `, ${Math.round(-p.spareSeconds / 60)} min after its cup was thick`
                    : `, ${Math.round(p.spareSeconds / 60)} min before its cup was thick`)}
              </li>
            ))}
          </Box>
          {page.joins.map((join) => (
            <Box key={join.layer}>{joinText(join)}</Box>
          ))}
          <Box sx={{ mt: 0.75, color: "text.secondary" }}>
            Room as planned: {showWith(units.TEMPERATURE, page.roomC)}
            {page.humidityPercent !== undefined && `, ${page.humidityPercent} % humidity`}
          </Box>
        </Sheet>
      </Box>
      <WhatBecame page={page} />
      {page.wrong.length > 0 && (
        <Sheet title="What went wrong?">
          <Box sx={{ display: "grid", gap: 2 }}>
            {page.wrong.map((w) => (
              <Suspects key={w.fault} wrong={w} />
            ))}
          </Box>
        </Sheet>
      )}
      {look?.verdict !== "GOOD" && page.wrong.length === 0 && look && (
        <Box>
          Say what is wrong with it under “Look again”, and its likely causes are shown here.
        </Box>
      )}
      {looking && (
        <LookOverKeys
          runId={page.runId}
          piece={piece}
          name={name}
          view={view}
          pictures={page.pictures}
          onLooked={(seen) => void keep(seen)}
          onClose={() => setLooking(false)}
        />
      )}
    </Box>
  );
}

/** A fault with its places, where they are known. */
function faultText(fault: LookOver["faults"][number], marks: LookOver["marks"]): string {
  const where = [...new Set(marks.filter((m) => m.fault === fault).map(spotWords))];
  return where.length === 0 ? faultWords(fault) : `${faultWords(fault)} (${where.join(", ")})`;
}
