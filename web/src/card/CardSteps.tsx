import { ofCup } from "../session/place";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { Batch, BatchAtHand, BatchCard, Session } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { countedText, measureText, stepTitle } from "../words/card";
import { measured, stepMeasure } from "../words/measured";
import { cupName } from "../words/places";
import { clockTime, minutesGiven } from "../words/time";

/** Each fill of the measuring cup, ticked off so that none is forgotten or poured twice. */
export function Fills({ fills, what }: { fills: number[]; what: string }) {
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

export function both(batch: Batch): number {
  return batch.measuring.partA.volumeMl + batch.measuring.partB.volumeMl;
}

export function Steps({
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
                  ? step.kind === "TINT"
                    ? showWith(units.MASS, step.addG, 2)
                    : measured(units, stepMeasure(step, batch), step.addG)
                  : minutesGiven((step.endSeconds - step.startSeconds) / 60)}
            </Box>
          </Button>
        </li>
      ))}
    </Box>
  );
}

/** What else is worth knowing of this batch. */
export function Also({
  answer,
  session,
  onEdit,
}: {
  answer: BatchAtHand;
  session: Session;
  onEdit: (session: Session) => void;
}) {
  const units = useUnits();
  const colourId = answer.batch.cups[0]?.colour.id ?? "clear";
  const { card } = answer;
  const small = card.totalG < card.surelyRightFromG;
  return (
    <>
      <Typography variant="h2" sx={{ mb: 0.75 }}>
        Accuracy and leftovers
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
          const its = answer.batch.cups.find((c) => ofCup(c.id) === left.of);
          const name = its ? cupName(answer.batch.cups, its) : "The clear kept back";
          const ways = answer.leftovers.find((l) => l.of === left.of)?.fillers ?? [];
          return (
            <li key={left.of}>
              {name} has {showWith(units.VOLUME, left.leftMl)} left over
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
