import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import { useParams } from "react-router";
import type { JournalPiecePage } from "../api/client";
import { useJournalPiece } from "../api/queries";
import { MouldSection } from "../drawing/MouldSection";
import { boardScale } from "../drawing/boardScale";
import { Fetched } from "../ui/Fetched";
import { Sheet } from "../ui/Sheet";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { doseWords } from "../words/doses";
import { ordinal } from "../words/numbers";
import { faultWords, VERDICTS } from "../words/record";
import { clockTime, dayAndTime } from "../words/time";
import { GradeMark } from "./GradeMark";
import { Suspects } from "./Suspects";

const LARGE = { widest: 260, tallest: 220, flattest: 60 };

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
              <MouldSection piece={view} scale={boardScale([view], LARGE)} />
            )}
            {page.pictured && (
              <Box
                component="img"
                alt={name}
                src={`/api/runs/${page.runId}/pieces/${piece.piece}/photo`}
                sx={{ maxWidth: 220, maxHeight: 220, borderRadius: 1 }}
              />
            )}
          </Box>
          <Box sx={{ display: "flex", gap: 1, alignItems: "center", mt: 1, fontWeight: 700 }}>
            <GradeMark grade={look?.verdict} />
            {look ? VERDICTS[look.verdict] : "not looked at yet"}
          </Box>
          {look && look.faults.length > 0 && (
            <Box sx={{ color: "error.main" }}>{look.faults.map(faultWords).join(", ")}</Box>
          )}
          {look?.text && <Box>“{look.text}”</Box>}
          <Box sx={{ color: "text.secondary" }}>
            The {ordinal(page.castNumber)} piece out of this mould in the journal
          </Box>
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
          <Box sx={{ mt: 0.75, color: "text.secondary" }}>
            Room as planned: {showWith(units.TEMPERATURE, page.roomC)}
            {page.humidityPercent !== undefined && `, ${page.humidityPercent} % humidity`}
          </Box>
        </Sheet>
      </Box>
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
          Say what is wrong with it under “Look again” in the{" "}
          <Link href={`/pour/${page.runId}/record`}>record</Link>, and its causes stand here.
        </Box>
      )}
    </Box>
  );
}
