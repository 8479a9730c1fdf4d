import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import type { Batch, Cup, Plan } from "../api/client";
import { CupDrawing, type Level } from "../drawing/CupDrawing";
import { LoadingBar } from "../drawing/LoadingBar";
import { useWidth } from "../drawing/useWidth";
import { WrongMark } from "../frame/Told";
import { show, showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { Fig } from "./How";
import { clockTime, doseText, limitText } from "./wording";

const MIXING_COLUMN = 180;
const NARROWEST_CUP = 96;
const CUP_AREA = 114;

interface Props {
  batch: Batch;
  plan: Plan;
  startsAt: Date;
  zoneId: string;
}

/** One batch: the mixing cup with its two marks, and what runs out of it into the cups. */
export function CupsBench({ batch, plan, startsAt, zoneId }: Props) {
  const until = (cup: Cup) => clockTime(startsAt, cup.thickensSeconds, zoneId);
  const [ref, width] = useWidth<HTMLDivElement>();
  const cups = batch.split ? batch.cups : [];
  const lone = batch.split ? undefined : batch.cups[0];
  const perRow = Math.max(1, Math.floor((width - MIXING_COLUMN) / NARROWEST_CUP));
  const inOneRow = cups.length <= perRow;
  const tallest = Math.max(batch.mixingCup.heightMm, ...cups.map((c) => c.kind.heightMm));
  const widest = Math.max(...cups.map((c) => c.kind.topWidthMm), 1);
  const column = inOneRow && cups.length > 0 ? (width - MIXING_COLUMN) / cups.length : 120;
  const pxPerMm = Math.min(
    98 / tallest,
    118 / batch.mixingCup.topWidthMm,
    (Math.min(column, 140) - 16) / widest,
  );
  // Streams need room above the cups; without them the cups may stand closer.
  const room = inOneRow && cups.length > 0 ? CUP_AREA : tallest * pxPerMm + 8;
  return (
    <Box ref={ref} sx={{ position: "relative" }}>
      {inOneRow && cups.length > 0 && (
        <Streams batch={batch} column={column} pxPerMm={pxPerMm} width={width} />
      )}
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: inOneRow
            ? `${MIXING_COLUMN}px repeat(${cups.length}, minmax(0, 1fr))`
            : `repeat(auto-fill, minmax(${NARROWEST_CUP + 24}px, 1fr))`,
          rowGap: 2,
        }}
      >
        <MixingCup batch={batch} lone={lone} pxPerMm={pxPerMm} room={room} until={until} />
        {cups.map((cup) => (
          <CupColumn
            key={cup.id}
            cup={cup}
            plan={plan}
            pxPerMm={pxPerMm}
            room={room}
            until={until}
          />
        ))}
      </Box>
    </Box>
  );
}

function MixingCup({
  batch,
  lone,
  pxPerMm,
  room,
  until,
}: {
  batch: Batch;
  lone: Cup | undefined;
  pxPerMm: number;
  room: number;
  until: (cup: Cup) => string;
}) {
  const units = useUnits();
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const first = batch.firstPart;
  const second = first === "A" ? "B" : "A";
  const volume = batch.measured === "VOLUME";
  const at = `batch/${batch.number}`;
  const levels: Level[] = [
    { mm: batch.firstPartMm, fill: ink?.rubber ?? "", mark: first },
    { mm: batch.bothPartsMm, fill: lone?.swatch ?? "#dde6e4", mark: second, letter: "#22313A" },
  ];
  const part = (which: "A" | "B") => {
    const amount = which === "A" ? batch.partA : batch.partB;
    return (
      <Box sx={{ fontSize: "1.12rem", fontWeight: 700, whiteSpace: "nowrap" }}>
        {which}{" "}
        <Fig of={`${at}/part${which}/${volume ? "volumeMl" : "massG"}`} what={`Part ${which}`}>
          {volume ? showWith(units.VOLUME, amount.volumeMl) : showWith(units.MASS, amount.massG)}
        </Fig>
        <Box
          component="span"
          sx={{ fontWeight: 400, color: "text.secondary", fontSize: "0.85rem" }}
        >
          {" "}
          <Fig
            of={`${at}/part${which}/${volume ? "massG" : "volumeMl"}`}
            what={`Part ${which}, ${volume ? "by weight" : "by volume"}`}
          >
            {volume ? showWith(units.MASS, amount.massG) : showWith(units.VOLUME, amount.volumeMl)}
          </Fig>
        </Box>
      </Box>
    );
  };
  return (
    <Box aria-label={`Batch ${batch.number}, mixing`} role="group">
      <Box sx={{ height: room, display: "flex", alignItems: "flex-end" }}>
        <CupDrawing
          kind={batch.mixingCup}
          levels={levels}
          pxPerMm={pxPerMm}
          label={`${batch.mixingCup.name}: ${first} to ${batch.firstPartMm.toFixed(0)} mm, both to ${batch.bothPartsMm.toFixed(0)} mm`}
        />
      </Box>
      <Box sx={{ mt: 0.75 }}>
        {part(first)}
        {part(second)}
        <Box sx={{ color: "text.secondary", fontSize: "0.87rem", pr: 1 }}>
          {first} first, then {second} to{" "}
          <Fig of={`${at}/totalG`} what="Both parts">
            {showWith(units.MASS, batch.totalG)}
          </Fig>
          {lone && lone.colourName !== "Clear" && `. Tinted ${lone.colourName}:`}
        </Box>
        {lone && <Doses cup={lone} />}
        {lone && lone.loading.length > 0 && <Loading cup={lone} />}
        {lone && <Until cup={lone} until={until} />}
      </Box>
    </Box>
  );
}

function CupColumn({
  cup,
  plan,
  pxPerMm,
  room,
  until,
}: {
  cup: Cup;
  plan: Plan;
  pxPerMm: number;
  room: number;
  until: (cup: Cup) => string;
}) {
  const units = useUnits();
  const wrong = plan.findings.some(
    (f) =>
      f.severity === "BREACH" &&
      (f.place === `cup/${cup.id}` || cup.pours.some((p) => f.place === `pour/${p.id}`)),
  );
  return (
    <Box
      role="group"
      aria-label={`Cup ${cup.colourName}`}
      sx={{ textAlign: "center", minWidth: 0 }}
    >
      <Box sx={{ height: room, display: "flex", alignItems: "flex-end", justifyContent: "center" }}>
        <CupDrawing
          kind={cup.kind}
          levels={[{ mm: cup.levelMm, fill: cup.swatch }]}
          pxPerMm={pxPerMm}
          label={`${cup.kind.name}, filled to ${cup.levelMm.toFixed(0)} mm`}
        />
      </Box>
      <Box sx={{ fontWeight: 700, mt: 0.75, color: wrong ? "error.main" : undefined }}>
        {wrong && <WrongMark />} {cup.colourName}
      </Box>
      <Box sx={{ fontSize: "1.12rem", fontWeight: 700 }}>
        <Fig of={`cup/${cup.id}/resinG`} what={`Resin for ${cup.colourName}`}>
          {showWith(units.MASS, cup.resinG)}
        </Fig>
      </Box>
      <Doses cup={cup} />
      {cup.loading.length > 0 ? (
        <Loading cup={cup} />
      ) : (
        <Box sx={{ color: "text.secondary", fontSize: "0.87rem" }}>no tint</Box>
      )}
      <Until cup={cup} until={until} />
    </Box>
  );
}

function Until({ cup, until }: { cup: Cup; until: (cup: Cup) => string }) {
  return (
    <Box sx={{ fontSize: "0.82rem", color: "text.secondary" }}>
      <Fig of={`cup/${cup.id}/workingTimeMinutes`} what={`Working time of ${cup.colourName}`}>
        until {until(cup)}
      </Fig>
    </Box>
  );
}

function Doses({ cup }: { cup: Cup }) {
  const units = useUnits();
  const grams = Math.max(2, units.MASS.digits);
  return (
    <>
      {cup.doses.map((dose) => {
        const at = `cup/${cup.id}/dose/${dose.colourantId}`;
        const counted = doseText(dose.drops, dose.scoops);
        return (
          <Box
            key={dose.colourantId}
            sx={{ color: "text.secondary", fontSize: "0.82rem", lineHeight: 1.3 }}
          >
            <Box
              title={dose.colourantName}
              sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap", px: 0.5 }}
            >
              {dose.colourantName}
            </Box>
            <Box component="b" sx={{ color: "text.primary" }}>
              <Fig
                of={`${at}/${dose.drops === undefined ? "scoops" : "drops"}`}
                what={`${dose.colourantName} for ${cup.colourName}, counted`}
              >
                {counted}
              </Fig>
            </Box>{" "}
            <Fig of={`${at}/massG`} what={`${dose.colourantName} for ${cup.colourName}`}>
              {show(units.MASS, dose.massG, grams)} {units.MASS.symbol}
            </Fig>
          </Box>
        );
      })}
    </>
  );
}

function Loading({ cup }: { cup: Cup }) {
  const nearest = cup.loading[0];
  if (!nearest) {
    return null;
  }
  const held = cup.tintHeldAt < 1;
  return (
    <Box title={limitText(nearest)}>
      <LoadingBar share={nearest.percent / nearest.limitPercent} />
      <Box sx={{ fontSize: "0.82rem", color: held ? "error.main" : "text.secondary" }}>
        <Fig of={`cup/${cup.id}/loading/0`} what={`Loading of ${cup.colourName}`}>
          {nearest.percent.toFixed(1)} of {Number(nearest.limitPercent.toFixed(1))} %
        </Fig>
        {held && ", held back"}
      </Box>
    </Box>
  );
}

interface StreamsProps {
  batch: Batch;
  column: number;
  pxPerMm: number;
  width: number;
}

/** What runs from the mixing cup into the cups, each stream as wide as its share. */
function Streams({ batch, column, pxPerMm, width }: StreamsProps) {
  const lip = {
    x: batch.mixingCup.topWidthMm * pxPerMm + 2,
    y: CUP_AREA - batch.mixingCup.heightMm * pxPerMm - 2,
  };
  return (
    <svg
      width={width}
      height={CUP_AREA}
      style={{ position: "absolute", left: 0, top: 0, pointerEvents: "none" }}
      aria-hidden="true"
    >
      {batch.cups
        .map((cup, i) => {
          const x = MIXING_COLUMN + column * (i + 0.5);
          const y = CUP_AREA - cup.levelMm * pxPerMm - 4;
          const over = Math.max(6, lip.y - 26);
          return (
            <path
              key={cup.id}
              d={`M${lip.x} ${lip.y + 4}C${lip.x + 34} ${over} ${x - 26} ${over - 12} ${x} ${y}`}
              fill="none"
              stroke={cup.swatch}
              strokeWidth={Math.max(1.5, (cup.resinG / batch.totalG) * 22)}
              strokeLinecap="round"
              opacity={0.85}
            />
          );
        })
        .reverse()}
    </svg>
  );
}
