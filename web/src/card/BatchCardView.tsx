import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { useCard } from "../api/asking";
import type { Batch, BatchAtHand, BatchCard, CardStep, Cup, Session } from "../api/client";
import { CupDrawing } from "../drawing/CupDrawing";
import { EyeLevel } from "../drawing/EyeLevel";
import { Cautions } from "../ui/Cautions";
import { OneOf } from "../ui/OneOf";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { stepTitle, stepWhy } from "../words/card";
import { doseWords, stockText } from "../words/doses";
import { measured, otherwise, stepMeasure } from "../words/measured";
import { cupName } from "../words/places";
import { minutesGiven } from "../words/time";
import { Also, both, Fills, Steps } from "./CardSteps";
import { RescueForm } from "./RescueForm";
import { TallyForm } from "./TallyForm";

interface Props {
  session: Session;
  batch: number;
  startsAt: Date;
  onEdit: (session: Session) => void;
  /** What goes into a cup, to be typed as it is counted. */
  recipe: (cup: Cup) => ReactNode;
  onClose: () => void;
}

/** One batch, large enough to be read beside the scale. */
export function BatchCardView({ session, batch, startsAt, onEdit, recipe, onClose }: Props) {
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
      {answer && (
        <Card
          answer={answer}
          session={session}
          startsAt={startsAt}
          onEdit={onEdit}
          recipe={recipe}
        />
      )}
      <Cautions />
    </Box>
  );
}

function Card({
  answer,
  session,
  startsAt,
  onEdit,
  recipe,
}: {
  answer: BatchAtHand;
  session: Session;
  startsAt: Date;
  onEdit: (session: Session) => void;
  recipe: (cup: Cup) => ReactNode;
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
            recipe={recipe}
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
          <RescueForm session={session} batch={batch} />
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
  recipe,
  toZero,
  onToZero,
}: {
  step: CardStep;
  card: BatchCard;
  batch: Batch;
  session: Session;
  recipe: (cup: Cup) => ReactNode;
  toZero: boolean;
  onToZero: (toZero: boolean) => void;
}) {
  const units = useUnits();
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const [typing, setTyping] = useState(false);
  const weighing = step.kind === "WEIGH_FIRST" || step.kind === "WEIGH_SECOND";
  const volume = card.measured === "VOLUME";
  const figure = weighing
    ? volume
      ? showWith(units.VOLUME, step.kind === "WEIGH_FIRST" ? step.addMl : both(batch))
      : showWith(units.MASS, toZero ? step.addG : step.scaleShowsG)
    : step.addG > 0
      ? step.kind === "TINT"
        ? showWith(units.MASS, step.addG, 2)
        : measured(units, stepMeasure(step, batch), step.addG)
      : minutesGiven((step.endSeconds - step.startSeconds) / 60);
  const whole = batch.mixing.tintedWhole.length > 0;
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
        {step.kind === "SPLIT" && volume && (
          <Box sx={{ fontSize: "1.15rem", color: "text.secondary" }}>
            {otherwise(units, stepMeasure(step, batch), step.addG)} on a scale
          </Box>
        )}
        {step.fillsMl.length > 0 && <Fills fills={step.fillsMl} what={step.what} />}
        {weighing && volume && <EyeLevel />}
        {step.kind === "TINT" && cup && (
          <Box component="ul" sx={{ fontSize: "1.15rem", my: 0.5, pl: 2.5 }}>
            {(whole ? batch.mixing.tintedWhole : cup.tint.doses).map((d) => (
              <li key={d.colourantId}>
                {d.colourantName}: {doseWords(d, units)}
              </li>
            ))}
          </Box>
        )}
        {step.kind === "STOCK_CUP" && cup && (
          <Box component="ul" sx={{ fontSize: "1.15rem", my: 0.5, pl: 2.5 }}>
            {cup.tint.doses
              .filter((d) => d.stock)
              .map((d) => (
                <li key={d.colourantId}>{stockText(d, units)}</li>
              ))}
          </Box>
        )}
        {step.kind === "WARM" && (
          <Box sx={{ fontSize: "1.15rem" }}>
            They meet at {showWith(units.TEMPERATURE, batch.mixing.startC)}.
          </Box>
        )}
        <Box sx={{ mt: 1, maxWidth: 520 }}>{stepWhy(step)}</Box>
        {step.kind === "TINT" && cup && !whole && (
          <>
            <TallyForm session={session} cup={cup} name={cupName(batch.cups, cup)} />
            {cup.tint.doses.length > 0 && (
              <Box sx={{ mt: 1.5, "@media print": { display: "none" } }}>
                <Button
                  variant="outlined"
                  aria-expanded={typing}
                  onClick={() => setTyping(!typing)}
                >
                  {typing ? "Hide the recipe" : "Change the recipe"}
                </Button>
                {typing && <Box sx={{ mt: 1.5, maxWidth: 620 }}>{recipe(cup)}</Box>}
              </Box>
            )}
          </>
        )}
        {weighing && !volume && (
          <Box sx={{ mt: 1.5 }}>
            <OneOf
              label="How the scale is used"
              choices={[
                [false, "running total"],
                [true, "zero in between"],
              ]}
              chosen={toZero}
              onChoose={onToZero}
            />
          </Box>
        )}
      </Box>
      {weighing && (
        <CupDrawing
          kind={batch.mixing.cup}
          pxPerMm={Math.min(2.4, 210 / batch.mixing.cup.heightMm)}
          levels={
            step.kind === "WEIGH_FIRST"
              ? [{ mm: batch.mixing.firstPartMm, fill: ink?.rubber ?? "", mark: step.what }]
              : [
                  {
                    mm: batch.mixing.firstPartMm,
                    fill: ink?.rubber ?? "",
                    mark: batch.measuring.firstPart,
                  },
                  {
                    mm: batch.mixing.bothPartsMm,
                    fill: "#dde6e4",
                    mark: step.what,
                    letter: "#22313A",
                  },
                ]
          }
          label={`${batch.mixing.cup.name}: fill to ${step.levelMm.toFixed(0)} mm`}
        />
      )}
      {cup && step.kind === "SPLIT" && (
        <CupDrawing
          kind={cup.kind}
          pxPerMm={Math.min(2.4, 170 / cup.kind.heightMm)}
          levels={[{ mm: cup.amounts.levelMm, fill: cup.colour.swatch }]}
          label={`${cup.kind.name}: fill to ${cup.amounts.levelMm.toFixed(0)} mm`}
        />
      )}
    </Box>
  );
}
