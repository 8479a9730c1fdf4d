import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { useEffect, useRef, useState } from "react";
import type { Batch, BatchCard, BatchAtHand, CardStep, Session } from "../api/client";
import { CupDrawing } from "../drawing/CupDrawing";
import { EyeLevel } from "../drawing/EyeLevel";
import { Cautions } from "../frame/Cautions";
import { Told } from "../frame/Told";
import { clockTime, cupName, minutes } from "../plan/wording";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { RescueForm } from "./RescueForm";
import { TallyForm } from "./TallyForm";
import { useCard } from "./useCard";
import { doseWords, stockText } from "../plan/doseWords";
import { countedText, measureText, stepTitle, stepWhy } from "./wording";

interface Props {
  session: Session;
  batch: number;
  startsAt: Date;
  onEdit: (session: Session) => void;
  onClose: () => void;
}

/** One batch, large enough to be read beside the scale. */
export function BatchCardView({ session, batch, startsAt, onEdit, onClose }: Props) {
  const { answer, trouble } = useCard(session, batch);
  const here = useRef<HTMLDivElement>(null);
  useEffect(() => {
    here.current?.focus();
    const onKey = (event: KeyboardEvent) => {
      if (event.key === "Escape") {
        onClose();
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [onClose]);
  return (
    <Box
      ref={here}
      role="dialog"
      aria-modal="true"
      aria-label={`Batch ${batch}`}
      tabIndex={-1}
      sx={{
        position: "fixed",
        inset: 0,
        zIndex: "modal",
        overflowY: "auto",
        bgcolor: "background.default",
        px: { xs: 1.5, md: 4 },
        py: 2,
        "@media print": { position: "static", overflow: "visible" },
      }}
    >
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", flexWrap: "wrap", mb: 1.5 }}>
        <Typography variant="h1" component="h2">
          Batch {batch}
        </Typography>
        <Box sx={{ color: "text.secondary" }}>
          {session.name}
          {answer && ` · ${answer.card.resinName}`}
        </Box>
        <Box sx={{ ml: "auto", display: "flex", gap: 1, "@media print": { display: "none" } }}>
          <Button variant="outlined" onClick={() => window.print()}>
            Print
          </Button>
          <Button variant="contained" onClick={onClose}>
            Back to the plan
          </Button>
        </Box>
      </Box>
      {trouble && <Told trouble={trouble} />}
      {!answer && !trouble && (
        <Box role="status" sx={{ color: "text.secondary" }}>
          Writing the card…
        </Box>
      )}
      {answer && <Card answer={answer} session={session} startsAt={startsAt} onEdit={onEdit} />}
      <Cautions />
    </Box>
  );
}

function Card({
  answer,
  session,
  startsAt,
  onEdit,
}: {
  answer: BatchAtHand;
  session: Session;
  startsAt: Date;
  onEdit: (session: Session) => void;
}) {
  const { card, batch } = answer;
  const [at, setAt] = useState(0);
  const [toZero, setToZero] = useState(false);
  const now = useRef<HTMLDivElement>(null);
  const step = card.steps[at];
  return (
    <Box
      sx={{
        display: "grid",
        gap: 2,
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 7fr) minmax(0, 5fr)" },
        alignItems: "start",
      }}
    >
      <Box ref={now} sx={{ bgcolor: "background.paper", borderRadius: "10px", p: 2.5 }}>
        {step && (
          <Now
            key={at}
            step={step}
            card={card}
            batch={batch}
            session={session}
            toZero={toZero}
            onToZero={setToZero}
          />
        )}
        <Box sx={{ display: "flex", gap: 1.5, mt: 2, "@media print": { display: "none" } }}>
          <Button
            variant="contained"
            onClick={() => setAt(Math.min(card.steps.length - 1, at + 1))}
            disabled={at >= card.steps.length - 1}
            sx={{ minHeight: 64, px: 6, fontSize: "1.3rem" }}
          >
            Done
          </Button>
          <Button
            variant="outlined"
            onClick={() => setAt(Math.max(0, at - 1))}
            disabled={at === 0}
            sx={{ minHeight: 64, px: 3 }}
          >
            Back
          </Button>
        </Box>
        <Steps
          card={card}
          batch={batch}
          at={at}
          startsAt={startsAt}
          zoneId={session.zoneId}
          onChoose={(step) => {
            setAt(step);
            // On a long card the step under way would be out of sight.
            now.current?.scrollIntoView({ block: "start" });
          }}
        />
      </Box>
      <Box sx={{ display: "grid", gap: 2, "@media print": { display: "none" } }}>
        <Box sx={{ bgcolor: "background.paper", borderRadius: "10px", p: 2.5 }}>
          <RescueForm session={session} batch={card.batch} />
        </Box>
        <Box sx={{ bgcolor: "background.paper", borderRadius: "10px", p: 2.5 }}>
          <Also answer={answer} session={session} onEdit={onEdit} />
        </Box>
      </Box>
    </Box>
  );
}

/** The step under way, in the largest figures on the screen. */
function Now({
  step,
  card,
  batch,
  session,
  toZero,
  onToZero,
}: {
  step: CardStep;
  card: BatchCard;
  batch: Batch;
  session: Session;
  toZero: boolean;
  onToZero: (toZero: boolean) => void;
}) {
  const units = useUnits();
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const weighing = step.kind === "WEIGH_FIRST" || step.kind === "WEIGH_SECOND";
  const volume = card.measured === "VOLUME";
  const figure = weighing
    ? volume
      ? showWith(units.VOLUME, step.kind === "WEIGH_FIRST" ? step.addMl : both(batch))
      : showWith(units.MASS, toZero ? step.addG : step.scaleShowsG)
    : step.addG > 0
      ? showWith(units.MASS, step.addG, step.kind === "TINT" ? 2 : 1)
      : minutes((step.endSeconds - step.startSeconds) / 60);
  const whole = batch.tintedWhole.length > 0;
  const cup = batch.cups.find((c) => c.id === step.cupId) ?? (whole ? batch.cups[0] : undefined);
  return (
    <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", alignItems: "flex-end" }}>
      <Box sx={{ flex: "1 1 320px" }} aria-live="polite">
        <Box sx={{ fontSize: "1.5rem", fontWeight: 600 }}>{stepTitle(step, card, batch)}</Box>
        <Box sx={{ fontSize: { xs: "3.4rem", sm: "5.2rem" }, fontWeight: 700, lineHeight: 1.1 }}>
          {figure}
        </Box>
        {weighing && !volume && (
          <Box sx={{ fontSize: "1.15rem", color: "text.secondary" }}>
            {toZero
              ? `then the scale back to zero; ${showWith(units.MASS, step.scaleShowsG)} in all`
              : `the scale shows; that is ${showWith(units.MASS, step.addG)} of ${step.what}`}
          </Box>
        )}
        {weighing && volume && (
          <Box sx={{ fontSize: "1.15rem", color: "text.secondary" }}>
            {step.fillsMl.length > 0
              ? `${showWith(units.VOLUME, step.addMl)} of ${step.what}, more than the measuring cup holds: fill it ${step.fillsMl.length} times, and tick each off`
              : "to this mark, at eye level, the same edge of every mark"}
          </Box>
        )}
        {step.fillsMl.length > 0 && <Fills fills={step.fillsMl} what={step.what} />}
        {weighing && volume && <EyeLevel />}
        {step.kind === "TINT" && cup && (
          <Box component="ul" sx={{ fontSize: "1.15rem", my: 0.5, pl: 2.5 }}>
            {(whole ? batch.tintedWhole : cup.doses).map((d) => (
              <li key={d.colourantId}>
                {d.colourantName}: {doseWords(d, units)}
              </li>
            ))}
          </Box>
        )}
        {step.kind === "STOCK_CUP" && cup && (
          <Box component="ul" sx={{ fontSize: "1.15rem", my: 0.5, pl: 2.5 }}>
            {cup.doses
              .filter((d) => d.stock)
              .map((d) => (
                <li key={d.colourantId}>{stockText(d, units)}</li>
              ))}
          </Box>
        )}
        {step.kind === "WARM" && (
          <Box sx={{ fontSize: "1.15rem" }}>
            They meet at {showWith(units.TEMPERATURE, batch.startC)}.
          </Box>
        )}
        <Box sx={{ mt: 1, maxWidth: 520 }}>{stepWhy(step)}</Box>
        {step.kind === "TINT" && cup && !whole && (
          <TallyForm session={session} cup={cup} name={cupName(batch.cups, cup)} />
        )}
        {weighing && !volume && (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={toZero}
            onChange={(_, next: boolean | null) => next !== null && onToZero(next)}
            aria-label="How the scale is used"
            sx={{ mt: 1.5, "@media print": { display: "none" } }}
          >
            <ToggleButton value={false} sx={{ textTransform: "none" }}>
              running total
            </ToggleButton>
            <ToggleButton value sx={{ textTransform: "none" }}>
              zero in between
            </ToggleButton>
          </ToggleButtonGroup>
        )}
      </Box>
      {weighing && (
        <CupDrawing
          kind={batch.mixingCup}
          pxPerMm={Math.min(2.4, 210 / batch.mixingCup.heightMm)}
          levels={
            step.kind === "WEIGH_FIRST"
              ? [{ mm: batch.firstPartMm, fill: ink?.rubber ?? "", mark: step.what }]
              : [
                  { mm: batch.firstPartMm, fill: ink?.rubber ?? "", mark: batch.firstPart },
                  { mm: batch.bothPartsMm, fill: "#dde6e4", mark: step.what, letter: "#22313A" },
                ]
          }
          label={`${batch.mixingCup.name}: fill to ${step.levelMm.toFixed(0)} mm`}
        />
      )}
      {cup && step.kind === "SPLIT" && (
        <CupDrawing
          kind={cup.kind}
          pxPerMm={Math.min(2.4, 170 / cup.kind.heightMm)}
          levels={[{ mm: cup.levelMm, fill: cup.swatch }]}
          label={`${cup.kind.name}: fill to ${cup.levelMm.toFixed(0)} mm`}
        />
      )}
    </Box>
  );
}

/** Each fill of the measuring cup, ticked off so that none is forgotten or poured twice. */
function Fills({ fills, what }: { fills: number[]; what: string }) {
  const units = useUnits();
  const [done, setDone] = useState(0);
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", my: 1 }}>
      {fills.map((ml, i) => (
        <Button
          key={i}
          variant={i < done ? "contained" : "outlined"}
          aria-pressed={i < done}
          aria-label={`Fill ${i + 1} of ${what}, ${showWith(units.VOLUME, ml)}`}
          onClick={() => setDone(i < done ? i : i + 1)}
          sx={{ minHeight: 64, minWidth: 96, fontSize: "1.15rem" }}
        >
          {i < done ? "✓ " : ""}
          {showWith(units.VOLUME, ml)}
        </Button>
      ))}
    </Box>
  );
}

function both(batch: Batch): number {
  return batch.partA.volumeMl + batch.partB.volumeMl;
}

function Steps({
  card,
  batch,
  at,
  startsAt,
  zoneId,
  onChoose,
}: {
  card: BatchCard;
  batch: Batch;
  at: number;
  startsAt: Date;
  zoneId: string;
  onChoose: (step: number) => void;
}) {
  const units = useUnits();
  return (
    <Box
      component="ol"
      aria-label="Steps of this batch"
      sx={{ listStyle: "none", p: 0, mt: 2.5, mb: 0, display: "grid", gap: 0.25 }}
    >
      {card.steps.map((step, i) => (
        <li key={i}>
          <Button
            onClick={() => onChoose(i)}
            aria-current={i === at ? "step" : undefined}
            sx={{
              width: "100%",
              justifyContent: "flex-start",
              gap: 2,
              minHeight: 34,
              py: 0.25,
              color: i === at ? "primary.main" : "text.primary",
              fontWeight: i === at ? 700 : 400,
            }}
          >
            <Box component="span" sx={{ minWidth: 52, color: "text.secondary" }}>
              {clockTime(startsAt, step.startSeconds, zoneId)}
            </Box>
            <Box component="span" sx={{ minWidth: 18 }}>
              {i < at ? "✓" : ""}
            </Box>
            <Box component="span" sx={{ textAlign: "left" }}>
              {stepTitle(step, card, batch)}
            </Box>
            <Box component="span" sx={{ ml: "auto", whiteSpace: "nowrap" }}>
              {step.kind === "TINT" && step.addG < 0.05
                ? "from its stock"
                : step.addG > 0
                  ? showWith(units.MASS, step.addG, step.kind === "TINT" ? 2 : 1)
                  : minutes((step.endSeconds - step.startSeconds) / 60)}
            </Box>
          </Button>
        </li>
      ))}
    </Box>
  );
}

/** What else is worth knowing of this batch. */
function Also({
  answer,
  session,
  onEdit,
}: {
  answer: BatchAtHand;
  session: Session;
  onEdit: (session: Session) => void;
}) {
  const units = useUnits();
  const colourId = answer.batch.cups[0]?.colourId ?? "clear";
  const { card } = answer;
  const small = card.totalG < card.surelyRightFromG;
  return (
    <>
      <Typography variant="h2" sx={{ mb: 0.75 }}>
        Right, and what is left
      </Typography>
      <Box component="ul" sx={{ pl: 2.25, my: 0 }}>
        <li>
          Rounded to {card.division} {card.measured === "VOLUME" ? "mL" : "g"}, A to B is off by{" "}
          {Math.abs(card.ratioErrorPercent).toFixed(2)} % of at most {card.tolerancePercent} %.{" "}
          {small
            ? `Below ${showWith(units.MASS, card.surelyRightFromG)} this scale is coarse for this resin; the amounts were chosen so that it is still right.`
            : `This scale is fine enough from ${showWith(units.MASS, card.surelyRightFromG)} on.`}
        </li>
        {(session.habits?.mixing?.extraAPercent ?? 0) > 0 && (
          <li>
            A is raised by {session.habits?.mixing?.extraAPercent} %, as this workshop does it; that
            is part of the figure above.
          </li>
        )}
        {card.pumps && <li>By pump: {countedText(card.pumps, "stroke", "strokes", units)}.</li>}
        {card.kit && <li>As a kit: {countedText(card.kit, "bottle", "bottles", units)}.</li>}
        {card.leftovers.map((left) => {
          const its = answer.batch.cups.find((c) => c.id === left.cupId);
          const name = its ? cupName(answer.batch.cups, its) : "The clear kept back";
          const ways = answer.leftovers.find((l) => l.cupId === left.cupId)?.fillers ?? [];
          return (
            <li key={left.cupId}>
              {name} keeps {showWith(units.VOLUME, left.leftMl)} to pour
              {ways.length > 0
                ? `: fits ${ways
                    .slice(0, 2)
                    .map((f) => `${f.pieces} × ${f.name}${f.inTime ? "" : " (too late by then)"}`)
                    .join(", or ")}.`
                : "; no dry mould on the shelf is that small."}
            </li>
          );
        })}
      </Box>
      {answer.together.length > 0 && (
        <Box sx={{ mt: 0.5 }}>
          All that is left together, several colours in a piece:{" "}
          {answer.together
            .slice(0, 2)
            .map((f) => `${f.pieces} × ${f.name}`)
            .join(", or ")}
          .
        </Box>
      )}
      {answer.topUps.length > 0 && (
        <>
          <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
            Or top it up to a round batch
          </Typography>
          <Box component="ul" sx={{ pl: 2.25, my: 0 }}>
            {answer.topUps.map((way) => {
              const filler = way.fillers[0];
              return (
                filler && (
                  <li key={way.totalG}>
                    About {showWith(units.MASS, way.totalG, 0)} fills {filler.pieces} ×{" "}
                    {filler.name} more.{" "}
                    <Button
                      size="small"
                      aria-label={`Put ${filler.pieces} × ${filler.name} on the board`}
                      onClick={() =>
                        onEdit({
                          ...session,
                          pieces: [
                            ...(session.pieces ?? []),
                            {
                              mouldId: filler.mouldId,
                              cavityId: filler.cavityId,
                              count: filler.pieces,
                              layers: [{ colourId, join: "TOGETHER" }],
                            },
                          ],
                        })
                      }
                      sx={{ minHeight: 30, py: 0 }}
                    >
                      On the board
                    </Button>
                  </li>
                )
              );
            })}
          </Box>
        </>
      )}
      <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
        If A and B are measured in two cups
      </Typography>
      <Box component="ul" sx={{ pl: 2.25, my: 0, color: "text.secondary" }}>
        {card.measures.map((effect) => (
          <li key={effect.school}>{measureText(effect, units)}</li>
        ))}
      </Box>
    </>
  );
}
