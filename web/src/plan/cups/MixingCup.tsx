import { ofBatch } from "../../session/place";
import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import type { Batch, Cup } from "../../api/client";
import { CupDrawing, type Level } from "../../drawing/CupDrawing";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { measured, measureOf } from "../../words/measured";
import { Fig } from "../how/How";
import {
  Bench,
  CupHeat,
  CupLook,
  CupName,
  Doses,
  isWrong,
  Loading,
  Place,
  Portions,
  Until,
} from "./CupColumn";
import { CUP_AREA, MIXING_COLUMN } from "./sizes";

export function MixingCup({
  batch,
  lone,
  bench,
  wide,
}: {
  batch: Batch;
  lone: Cup | undefined;
  bench: Bench;
  wide: boolean;
}) {
  const { pxPerMm, room, until } = bench;
  const units = useUnits();
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const first = batch.measuring.firstPart;
  const second = first === "A" ? "B" : "A";
  const measure = measureOf(batch);
  const volume = measure.marks;
  const at = ofBatch(batch.number);
  const levels: Level[] = [
    { mm: batch.mixing.firstPartMm, fill: ink?.rubber ?? "", mark: first },
    {
      mm: batch.mixing.bothPartsMm,
      fill: lone?.colour.swatch ?? "#dde6e4",
      mark: second,
      letter: "#22313A",
    },
  ];
  const part = (which: "A" | "B") => {
    const amount = which === "A" ? batch.measuring.partA : batch.measuring.partB;
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
    <Box
      aria-label={`Batch ${batch.number}, mixing`}
      role="group"
      sx={{ gridColumn: wide ? "span 2" : undefined, minWidth: 0 }}
    >
      <Box sx={{ height: room, display: "flex", alignItems: "flex-end" }}>
        <CupDrawing
          kind={batch.mixing.cup}
          levels={levels}
          pxPerMm={pxPerMm}
          label={`${batch.mixing.cup.name}: ${first} to ${batch.mixing.firstPartMm.toFixed(0)} mm, both to ${batch.mixing.bothPartsMm.toFixed(0)} mm`}
        />
      </Box>
      <Box sx={{ mt: 0.75 }}>
        {part(first)}
        {part(second)}
        <Box sx={{ color: "text.secondary", fontSize: "0.87rem", pr: 1 }}>
          {first} first, then {second} to{" "}
          <Fig of={`${at}/totalG`} what="Both parts">
            {measured(units, measure, batch.measuring.totalG)}
          </Fig>
        </Box>
        {batch.mixing.tintedWhole.length > 0 && (
          <Box sx={{ fontSize: "0.87rem", pr: 1 }}>tinted in it, then split</Box>
        )}
        {batch.mixing.reserveG > 0 && (
          <Box sx={{ fontSize: "0.87rem", pr: 1 }}>
            {measured(units, measure, batch.mixing.reserveG)} stay in it clear, kept back
          </Box>
        )}
        <CupHeat place={at} plan={bench.plan} />
        {lone && (
          // As narrow as what stands under it, so that its bar and its moulds stand under its name.
          <Box sx={{ width: "fit-content", maxWidth: "100%", textAlign: "center" }}>
            <Place cup={lone} bench={bench}>
              <CupName cup={lone} bench={bench} wrong={isWrong(bench.plan, lone)} />
              <Doses cup={lone} />
              {lone.tint.loading.length > 0 && <Loading cup={lone} />}
              <CupLook cup={lone} />
              <Until cup={lone} until={until} />
              <Portions cup={lone} bench={bench} />
            </Place>
          </Box>
        )}
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
export function Streams({ batch, column, pxPerMm, width }: StreamsProps) {
  const lip = {
    x: batch.mixing.cup.topWidthMm * pxPerMm + 2,
    y: CUP_AREA - batch.mixing.cup.heightMm * pxPerMm - 2,
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
          const y = CUP_AREA - cup.amounts.levelMm * pxPerMm - 4;
          const over = Math.max(6, lip.y - 26);
          return (
            <path
              key={cup.id}
              d={`M${lip.x} ${lip.y + 4}C${lip.x + 34} ${over} ${x - 26} ${over - 12} ${x} ${y}`}
              fill="none"
              stroke={cup.colour.swatch}
              strokeWidth={Math.max(1.5, (cup.amounts.resinG / batch.measuring.totalG) * 22)}
              strokeLinecap="round"
              opacity={0.85}
            />
          );
        })
        .reverse()}
    </svg>
  );
}
