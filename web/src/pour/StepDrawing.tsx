import Box from "@mui/material/Box";
import type { PieceView, Plan, RunStep } from "../api/client";
import { type Band, CavitySection, type Disc } from "../drawing/CavitySection";
import { CupDrawing } from "../drawing/CupDrawing";
import { showWith, type Units } from "../units/units";
import { batchOf, cupOf, pourOf } from "../words/steps";

interface Props {
  step: RunStep;
  plan: Plan;
  units: Units;
  /** How wide and how high it may be, px. */
  width: number;
  height: number;
}

const MARK_ROOM = 100;

interface EmbedsProps extends Omit<Props, "plan"> {
  piece: PieceView;
}

/** Where embeds sit in their layer: on its floor, held at its surface, or where they come to rest. */
function EmbedsIn({ step, piece, units, width, height }: EmbedsProps) {
  const pxPerMm = Math.min((width - MARK_ROOM - 20) / piece.widthMm, (height - 40) / piece.depthMm);
  const discs: Disc[] = step.card.embeds.flatMap((embed) => {
    const layer = piece.layers[embed.layer];
    const across = layer?.embeds.find((e) => e.embedName === embed.name)?.acrossMm;
    if (!layer || across === undefined) {
      return [];
    }
    const out = embed.standsOutPercent / 100;
    const low = layer.fromMm + across / 2;
    const high = layer.toMm + (out - 0.5) * across;
    const stays = embed.moment === "BEFORE_POUR" && !embed.anchored;
    const atMm =
      out > 0 || embed.anchored
        ? high
        : stays || embed.tendency === "SINKS"
          ? low
          : embed.tendency === "FLOATS"
            ? high
            : (low + high) / 2;
    return [{ atMm, acrossMm: across }];
  });
  const last = Math.max(...step.card.embeds.map((e) => e.layer));
  const top = piece.layers[last]?.toMm ?? piece.depthMm;
  const words = showWith(units.LENGTH, top);
  return (
    <CavitySection
      section={piece.section}
      pxPerMm={pxPerMm}
      bands={piece.layers
        .slice(0, last + 1)
        .map((l, i) => ({ fromMm: l.fromMm, toMm: l.toMm, fill: l.swatch, apart: i > 0 }))}
      marks={[{ atMm: top, words }]}
      discs={discs}
      markSize={26}
      assumed={piece.depthAssumed}
      label={`${piece.mouldName} in section, ${step.card.embeds.map((e) => e.name).join(" and ")} in it`}
    />
  );
}

/** What a step fills, with the level to reach; nothing where nothing is filled. */
export function StepDrawing({ step, plan, units, width, height }: Props) {
  const cup = cupOf(plan, step.cupId);
  const pour = pourOf(cup, step);
  const piece = pour && plan.pieces[pour.line];
  if (cup && pour && piece) {
    const pxPerMm = Math.min(
      (width - MARK_ROOM - 20) / piece.widthMm,
      (height - 12) / piece.depthMm,
    );
    const below = piece.layers.slice(0, pour.layer);
    const floor = below.at(-1)?.toMm ?? 0;
    const bands: Band[] = [
      ...below.map((l) => ({ fromMm: l.fromMm, toMm: l.toMm, fill: l.swatch })),
      { fromMm: floor, toMm: pour.toMm, fill: cup.colour.swatch, apart: below.length > 0 },
    ];
    const line = showWith(units.LENGTH, pour.toMm);
    return (
      <CavitySection
        section={piece.section}
        pxPerMm={pxPerMm}
        bands={bands}
        marks={[{ atMm: pour.toMm, words: line }]}
        markSize={26}
        assumed={piece.depthAssumed}
        label={`${piece.mouldName} in section, ${cup.colour.name} to ${line}`}
      />
    );
  }
  const inside = step.line === undefined ? undefined : plan.pieces[step.line];
  if (inside && step.card.embeds.length > 0) {
    return <EmbedsIn step={step} piece={inside} units={units} width={width} height={height} />;
  }
  if (cup && (step.kind === "SPLIT" || step.kind === "TINT")) {
    const pxPerMm = Math.min(width / cup.kind.topWidthMm, height / cup.kind.heightMm) * 0.9;
    return (
      <CupDrawing
        kind={cup.kind}
        pxPerMm={pxPerMm}
        levels={[
          { mm: cup.amounts.levelMm, fill: step.kind === "TINT" ? cup.colour.swatch : "#C9D8D4" },
        ]}
        label={`${cup.kind.name}, filled to ${showWith(units.LENGTH, cup.amounts.levelMm)}`}
      />
    );
  }
  const batch = batchOf(plan, step);
  if (batch && (step.kind === "WEIGH_FIRST" || step.kind === "WEIGH_SECOND")) {
    const pxPerMm =
      Math.min(width / batch.mixing.cup.topWidthMm, height / batch.mixing.cup.heightMm) * 0.9;
    const second = step.kind === "WEIGH_SECOND";
    return (
      <CupDrawing
        kind={batch.mixing.cup}
        pxPerMm={pxPerMm}
        levels={[
          {
            mm: batch.mixing.firstPartMm,
            fill: "#C9D8D4",
            mark: batch.measuring.firstPart,
            letter: "#22313A",
          },
          ...(second
            ? [
                {
                  mm: batch.mixing.bothPartsMm,
                  fill: "#DDE6E3",
                  mark: batch.measuring.firstPart === "A" ? "B" : "A",
                  letter: "#22313A",
                },
              ]
            : []),
        ]}
        label={`${batch.mixing.cup.name}, to ${showWith(units.LENGTH, second ? batch.mixing.bothPartsMm : batch.mixing.firstPartMm)}`}
      />
    );
  }
  return <Box />;
}
