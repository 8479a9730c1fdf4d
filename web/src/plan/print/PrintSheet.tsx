import Box from "@mui/material/Box";
import type { Dose, PlanAnswer, Session, StepCard, Task } from "../../api/client";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { doseWords, stockText } from "../../words/doses";
import { measured, measureOf, measureOfPart, otherwise } from "../../words/measured";
import { dueText } from "../../words/moments";
import { cavityName, cupName } from "../../words/places";
import { useStepCards } from "../../api/asking";
import { cardLines } from "../../words/says";
import { taskName } from "../../words/tasks";
import { clockTime } from "../../words/time";
import { usePrinting } from "../../ui/usePrinting";
import { PrintFront } from "./PrintFront";

/** What is done for a batch beside weighing, tinting and pouring. */
const BESIDE = new Set<Task["kind"]>([
  "LAY_EMBEDS",
  "GATHER",
  "EMBED",
  "WET_WORK",
  "BUBBLE_PASS",
  "LID",
  "COVER",
  "LOAD_POT",
  "LOAD_BOX",
  "LEFTOVERS",
  "CLEAN_UP",
  "LOOK",
  "NUDGE",
]);

/** The plan on paper for the bench: no colour needed, a box to tick for every step. */
export function PrintSheet({ session, answer }: { session: Session; answer: PlanAnswer }) {
  const cards = useStepCards(session);
  return usePrinting() ? <Paper session={session} answer={answer} cards={cards} /> : null;
}

function Paper({
  session,
  answer,
  cards,
}: {
  session: Session;
  answer: PlanAnswer;
  cards: Map<string, StepCard>;
}) {
  const units = useUnits();
  const { plan, zoneId } = answer;
  const startsAt = new Date(answer.startsAt);
  const at = (seconds: number) => clockTime(startsAt, seconds, zoneId);
  const tasks = (batch: number, kind: Task["kind"]) =>
    plan.tasks.filter((t) => t.batch === batch && t.kind === kind);
  const doses = (all: Dose[]) =>
    all.map((d) => `${d.colourantName}: ${doseWords(d, units)}`).join("; ");
  const said = (task: Task) => {
    // A nudge comes five times: how the embed lies stands where it goes in.
    const card = task.kind === "NUDGE" ? undefined : cards.get(task.id);
    return card ? cardLines(card, task.kind, units, at) : [];
  };
  const begins = Math.min(...plan.batches.map((b) => b.times.startSeconds), Infinity);
  const steps = (of: Task[]) =>
    of.map((t) => (
      <p key={t.id} style={{ breakInside: "avoid", margin: "0.45em 0" }}>
        ☐{" "}
        {t.batch > 0
          ? at(t.startSeconds)
          : dueText(t.kind, new Date(startsAt.getTime() + t.startSeconds * 1000), zoneId)}{" "}
        <b>{taskName(t, plan, session)}</b>
        {said(t).map((line) => (
          <span key={line}>
            <br />
            {line}
          </span>
        ))}
      </p>
    ));
  const table = {
    borderCollapse: "collapse",
    width: "100%",
    mb: 2,
    "& th, & td:not(.long)": { whiteSpace: "nowrap" },
    "& tr": { breakInside: "avoid" },
    "& th, & td": { borderBottom: "1px solid #999", textAlign: "left", py: 0.4, pr: 1.5 },
  } as const;
  return (
    <Box sx={{ display: "none", "@media print": { display: "block", color: "#000" } }}>
      <PrintFront session={session} plan={plan} startsAt={startsAt} zoneId={zoneId} at={at} />
      <Box sx={{ breakBefore: "page" }} />
      {steps(plan.tasks.filter((t) => t.batch === 0 && t.startSeconds < begins))}
      {plan.batches.map((batch) => {
        const first =
          batch.measuring.firstPart === "A" ? batch.measuring.partA : batch.measuring.partB;
        const second =
          batch.measuring.firstPart === "A" ? batch.measuring.partB : batch.measuring.partA;
        const other = batch.measuring.firstPart === "A" ? "B" : "A";
        const measure = measureOf(batch);
        const firstMeasure = measureOfPart(batch, batch.measuring.firstPart);
        const otherMeasure = measureOfPart(batch, other);
        return (
          <section key={batch.number}>
            <h2>
              Batch {batch.number}, {at(batch.times.startSeconds)}
            </h2>
            {tasks(batch.number, "WARM").map((t) => (
              <p key={t.startSeconds}>
                ☐{" "}
                {
                  {
                    A_ONLY: "A into hot water, shut,",
                    A_HOT_AIR: "Hot air on A,",
                    NONE: "",
                    BOTH: "A and B into warm water, shut,",
                    TO_TEMPERATURE: "A and B into warm water, shut,",
                  }[session.habits?.mixing?.warming ?? "BOTH"]
                }{" "}
                at {at(t.startSeconds)}; out and dried at {at(t.endSeconds)}
              </p>
            ))}
            <p>
              ☐ {batch.measuring.firstPart} <b>{measured(units, firstMeasure, first.massG)}</b> (
              {otherwise(units, firstMeasure, first.massG)}), then ☐ {other}{" "}
              <b>{measured(units, otherMeasure, second.massG)}</b> (
              {otherwise(units, otherMeasure, second.massG)}
              ): {measure.marks ? "up to the mark" : "the scale shows"}{" "}
              {measured(units, measure, batch.measuring.totalG)}. ☐ stirred by{" "}
              {at(batch.times.mixedSeconds)}
              {batch.mixing.firstCupStaysG > 0 && ", the last of it in a second, clean cup"}
            </p>
            {steps(tasks(batch.number, "RELEASE"))}
            {batch.mixing.tintedWhole.length > 0 && (
              <p>☐ into the mixing cup, before it is split: {doses(batch.mixing.tintedWhole)}</p>
            )}
            {batch.mixing.reserveG > 0 && (
              <p>{measured(units, measure, batch.mixing.reserveG)} stay in the mixing cup, clear</p>
            )}
            {batch.cups.flatMap((cup) =>
              cup.tint.doses
                .filter((d) => d.stock)
                .map((d) => (
                  <p key={cup.id + d.colourantId}>
                    ☐ stock for {cupName(batch.cups, cup)}: {stockText(d, units)}
                  </p>
                )),
            )}
            <Box component="table" sx={table}>
              <thead>
                <tr>
                  <th>Cup</th>
                  <th>Resin</th>
                  <th>Colour</th>
                  <th>Pourable until</th>
                </tr>
              </thead>
              <tbody>
                {batch.cups.map((cup) => (
                  <tr key={cup.id}>
                    <td>☐ {cupName(batch.cups, cup)}</td>
                    <td>
                      {measured(
                        units,
                        measure,
                        batch.mixing.tintedWhole.length > 0
                          ? cup.amounts.contentG
                          : cup.amounts.resinG,
                      )}
                    </td>
                    <td className="long">
                      {batch.mixing.tintedWhole.length > 0
                        ? "tinted"
                        : doses(cup.tint.doses) || "none"}
                    </td>
                    <td>{at(cup.times.thickensSeconds)}</td>
                  </tr>
                ))}
              </tbody>
            </Box>
            <Box component="table" sx={table}>
              <thead>
                <tr>
                  <th>Pour</th>
                  <th>From</th>
                  <th>Into</th>
                  <th>Amount</th>
                  <th>To the line</th>
                </tr>
              </thead>
              <tbody>
                {batch.cups
                  .flatMap((cup) => cup.pours.map((pour) => ({ cup, pour })))
                  .sort((a, b) => a.pour.startSeconds - b.pour.startSeconds)
                  .map(({ cup, pour }) => (
                    <tr key={pour.id}>
                      <td>☐ {at(pour.startSeconds)}</td>
                      <td>{cupName(batch.cups, cup)}</td>
                      <td className="long">
                        {cavityName(plan, pour.line, pour.cavity)}
                        {pour.parts > 1 && `, part ${pour.part} of ${pour.parts}`}
                        {pour.cavity === 1 &&
                          plan.tasks
                            .filter((t) => t.pourId === pour.id)
                            .flatMap(said)
                            .map((line) => (
                              <Box component="span" key={line} sx={{ display: "block" }}>
                                {line}
                              </Box>
                            ))}
                      </td>
                      <td>{measured(units, measure, pour.massG)}</td>
                      <td>{showWith(units.LENGTH, pour.toMm, Math.max(1, units.LENGTH.digits))}</td>
                    </tr>
                  ))}
              </tbody>
            </Box>
            {steps(plan.tasks.filter((t) => t.batch === batch.number && BESIDE.has(t.kind)))}
          </section>
        );
      })}
      {steps(plan.tasks.filter((t) => t.batch === 0 && t.startSeconds >= begins))}
    </Box>
  );
}
