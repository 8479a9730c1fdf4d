import Box from "@mui/material/Box";
import type { Batch, LayerView, Plan, Session } from "../../api/client";
import { BenchFromAbove } from "../../drawing/BenchFromAbove";
import { CavitySection } from "../../drawing/CavitySection";
import { CupDrawing } from "../../drawing/CupDrawing";
import { boardScale } from "../../drawing/boardScale";
import { Cautions } from "../../ui/Cautions";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { findingText, latePours } from "../../words/findings";
import { isHeat } from "../../words/heat";
import { heatTexts } from "../../words/heatTexts";
import { measured, measureOf, measureOfPart, otherwise } from "../../words/measured";
import { cupName } from "../../words/places";
import { dayAndTime } from "../../words/time";

interface Props {
  session: Session;
  plan: Plan;
  startsAt: Date;
  zoneId: string;
  at: (seconds: number) => string;
}

/** px of a sheet of A4 between its margins, as browsers print. */
const PAPER = 690;
const CUPS = { tallestPx: 92, across: 132 };
const MOULDS = { widest: 120, tallest: 96, flattest: 20 };

/** The first page: what to measure, what gets hot, the cautions, the cups, the board and its moulds. */
export function PrintFront({ session, plan, startsAt, zoneId, at }: Props) {
  const units = useUnits();
  return (
    <>
      <Box component="h1" sx={{ m: 0 }}>
        {session.name}
      </Box>
      <Box component="p" sx={{ mt: 0.25, mb: 1 }}>
        {dayAndTime(startsAt, zoneId)}, room{" "}
        {showWith(units.TEMPERATURE, session.room.temperatureC)}
      </Box>
      {plan.batches.map((batch) => (
        <Box component="p" key={batch.number} sx={{ m: 0, mb: 0.5, fontSize: "1.15rem" }}>
          Batch {batch.number}, {at(batch.times.startSeconds)}: <Parts batch={batch} />
        </Box>
      ))}
      {heatTexts(plan, units).map((text) => (
        <Box component="p" key={text} sx={{ my: 0.5 }}>
          <b>Heat:</b> {text}
        </Box>
      ))}
      {[
        ...latePours(plan),
        ...plan.findings
          .filter(
            (f) =>
              f.severity === "BREACH" &&
              f.accepted === undefined &&
              f.rule !== "POUR_AFTER_WORKING_TIME" &&
              !isHeat(f),
          )
          .map((f) => findingText(f, plan, units)),
      ].map((text) => (
        <Box component="p" key={text} sx={{ my: 0.5 }}>
          <b>Wrong:</b> {text}
        </Box>
      ))}
      <Cautions />
      <Box component="h2" sx={{ mt: 1.5, mb: 0.5 }}>
        Cups
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "flex-end", gap: 1.5 }}>
        {plan.batches.map((batch) => (
          <Cups key={batch.number} batch={batch} several={plan.batches.length > 1} at={at} />
        ))}
      </Box>
      <Box component="h2" sx={{ mt: 1.5, mb: 0.5 }}>
        Moulds, each to its lines
      </Box>
      <Moulds plan={plan} session={session} />
      {plan.bench && plan.bench.length > 0 && (
        <Box sx={{ breakInside: "avoid" }}>
          <Box component="h2" sx={{ mt: 1.5, mb: 0.5 }}>
            Board, from above
          </Box>
          <BenchFromAbove plan={plan} widthPx={PAPER} />
        </Box>
      )}
    </>
  );
}

/** A and B in the order they go in, the label's measure first. */
function Parts({ batch }: { batch: Batch }) {
  const units = useUnits();
  const first = batch.measuring.firstPart;
  const part = (which: "A" | "B") => {
    const amount = which === "A" ? batch.measuring.partA : batch.measuring.partB;
    const measure = measureOfPart(batch, which);
    return (
      <>
        {which} <b>{measured(units, measure, amount.massG)}</b> (
        {otherwise(units, measure, amount.massG)})
      </>
    );
  };
  return (
    <>
      {part(first)}, then {part(first === "A" ? "B" : "A")};{" "}
      {measureOf(batch).marks ? "up to the mark" : "the scale shows"}{" "}
      <b>{measured(units, measureOf(batch), batch.measuring.totalG)}</b>
    </>
  );
}

function Cups({
  batch,
  several,
  at,
}: {
  batch: Batch;
  several: boolean;
  at: (seconds: number) => string;
}) {
  const units = useUnits();
  const kinds = [batch.mixing.cup, ...batch.cups.map((c) => c.kind)];
  const pxPerMm = Math.min(
    ...kinds.map((k) => Math.min(CUPS.tallestPx / k.heightMm, CUPS.across / k.topWidthMm)),
  );
  const caption = { fontSize: "0.85rem", lineHeight: 1.2, maxWidth: CUPS.across } as const;
  const first = batch.measuring.firstPart;
  return (
    <>
      <Box sx={{ breakInside: "avoid" }}>
        <CupDrawing
          kind={batch.mixing.cup}
          pxPerMm={pxPerMm}
          levels={[
            { mm: batch.mixing.firstPartMm, fill: "#eeeeee", mark: first },
            { mm: batch.mixing.bothPartsMm, fill: "#f7f7f7", mark: first === "A" ? "B" : "A" },
          ]}
          label={batch.mixing.cup.name}
        />
        <Box sx={caption}>
          mixing cup{several && `, batch ${batch.number}`}
          <br />
          {batch.mixing.cup.name}
        </Box>
      </Box>
      {batch.split &&
        batch.cups.map((cup) => (
          <Box key={cup.id} sx={{ breakInside: "avoid" }}>
            <CupDrawing
              kind={cup.kind}
              pxPerMm={pxPerMm}
              levels={[{ mm: cup.amounts.levelMm, fill: cup.colour.swatch }]}
              label={cup.kind.name}
            />
            <Box sx={caption}>
              <b>{cupName(batch.cups, cup)}</b>{" "}
              {measured(units, measureOf(batch), cup.amounts.resinG)}
              <br />
              until {at(cup.times.thickensSeconds)}
            </Box>
          </Box>
        ))}
    </>
  );
}

/** What of each colour one layer of a piece takes, in the order it is poured. */
function gramsOf(plan: Plan, line: number, layer: number, view: LayerView): [string, number][] {
  const grams = new Map<string, number>();
  for (const cup of plan.batches.flatMap((batch) => batch.cups)) {
    for (const pour of cup.pours) {
      if (pour.line === line && pour.layer === layer && pour.cavity === 1) {
        grams.set(cup.colour.name, (grams.get(cup.colour.name) ?? 0) + pour.massG);
      }
    }
  }
  return grams.size === 0 ? [[view.colourName, view.massG]] : [...grams];
}

/** Every kind of mould in section, with the line that each layer is poured to. */
function Moulds({ plan, session }: { plan: Plan; session: Session }) {
  const units = useUnits();
  const drawn = plan.pieces.filter((p) => p.section.length > 1);
  if (drawn.length === 0) {
    return null;
  }
  const scale = boardScale(drawn, MOULDS);
  const measure = plan.batches[0] ? measureOf(plan.batches[0]) : { marks: false, gPerMl: 1 };
  return (
    <Box
      sx={{ display: "flex", flexWrap: "wrap", alignItems: "flex-end", columnGap: 3, rowGap: 1 }}
    >
      {plan.pieces.map((piece, i) => (
        <Box key={i} sx={{ breakInside: "avoid", fontSize: "0.85rem", lineHeight: 1.25 }}>
          {piece.section.length > 1 && (
            <CavitySection
              section={piece.section}
              pxPerMm={scale.pxPerMm}
              heights={scale.heights}
              wall={4}
              assumed={piece.depthAssumed}
              bands={piece.layers.map((l) => ({ fromMm: l.fromMm, toMm: l.toMm, fill: l.swatch }))}
              marks={piece.layers.map((l) => ({
                atMm: l.toMm,
                words: showWith(units.LENGTH, l.toMm, Math.max(1, units.LENGTH.digits)),
              }))}
              label={piece.mouldName}
            />
          )}
          <Box sx={{ fontWeight: 700 }}>
            {piece.count} × {piece.mouldName}
          </Box>
          {session.pieces?.[i]?.trial !== undefined && (
            <Box sx={{ maxWidth: MOULDS.widest * 2 }}>A trial: {session.pieces[i].trial}</Box>
          )}
          {piece.layers.map((layer, n) => (
            <Box key={n} sx={{ maxWidth: MOULDS.widest * 2 }}>
              {gramsOf(plan, i, n, layer)
                .map(([colour, massG]) => `${colour} ${measured(units, measure, massG)}`)
                .join(", ")}
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}
