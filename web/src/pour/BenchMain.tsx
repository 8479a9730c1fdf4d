import type { RunState, RunStep, ScaleReading } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import type { SoonTold } from "../words/soon";
import { changeWords, standWords } from "../words/stands";
import { measured, measureOfPart } from "../words/measured";
import { cardLines } from "../words/says";
import { dosesOf, runMeasure, stepWords, waitWords, windowWords } from "../words/steps";
import { FirstEvening } from "../ui/FirstEvening";
import { leads } from "../ui/leading";
import { Checklist, READY } from "./Checklist";
import { Doses } from "./Doses";
import { Ended } from "./Ended";
import { FarStep } from "./FarStep";
import { FillersHere } from "./FillersHere";
import { PotKeys } from "./PotKeys";
import { ScaleBar } from "./ScaleBar";
import { Stand } from "./Stand";
import { minutes, rescueWords } from "../words/counted";
import { Rescued, StepView, Waiting } from "./StepView";
import { wakeSound } from "./sounds";
import type { Happened, Running } from "./useRun";
import { WhoWorks } from "./WhoWorks";
import { countedInto, squeezedOut, stayedIn } from "./weighed";
import { WeighKeys } from "./WeighKeys";
import { WeightPad } from "./WeightPad";

export const WEIGHED = new Set<RunStep["kind"]>(["WEIGH_FIRST", "WEIGH_SECOND", "SPLIT", "POUR"]);

/** Work that is done for so long, not until it looks done. */
const TIMED = new Set<RunStep["kind"]>(["STIR", "SECOND_CUP"]);

interface Props {
  ready: boolean;
  weighing: boolean;
  steps: RunStep[];
  shown: RunStep | undefined;
  /** The wait that is on the screen instead of a step. */
  waits: RunStep | undefined;
  ahead: boolean;
  /** Whether only name and quantity are shown, to be read from across the room. */
  far: boolean;
  rescue: RunState["rescue"];
  /** What is lost unless somebody goes on; null for nothing. */
  soon: SoonTold | null;
  /** Seconds from when the run was begun. */
  now: number;
  running: Running;
  checked: string[];
  scale: ScaleReading | null;
  target: number | undefined;
  /** Whether the scale is made up. */
  simulated: boolean;
  at: (seconds: number) => string;
  tell: (...happened: Happened[]) => void;
  onTyped: (grams: number) => void;
  onWeighed: () => void;
  onGiveUp: () => void;
}

/** How much of a timed step is left, by what was done before it; null for what is not timed. */
function leftOf(step: RunStep, steps: RunStep[], now: number): number | null {
  if (!TIMED.has(step.kind) || step.status !== "TO_DO") {
    return null;
  }
  const before = steps.filter((s) => s.status === "DONE" && s.hands && s.batch === step.batch);
  const begun = Math.max(0, ...before.map((s) => s.endSeconds));
  return before.length === 0 ? null : step.endSeconds - step.startSeconds - (now - begun);
}

/** What there is to do now, as large as the bench wants it. */
export function BenchMain(props: Props) {
  const units = useUnits();
  const { shown, waits, rescue, now, running, checked, scale, target, at, tell } = props;
  const { plan, session } = running.opened;
  const { stands } = running;
  const { state } = stands;
  if (!props.ready) {
    return (
      <>
        {leads() && <FirstEvening />}
        {stands.seen === undefined && <WhoWorks />}
        <Checklist
          plan={plan}
          checked={checked}
          onCheck={(item, ticked) => {
            wakeSound();
            tell({ kind: "CHECKED", of: item, ...(ticked ? {} : { value: 0 }) });
          }}
          onReady={() => {
            wakeSound();
            tell({ kind: "CHECKED", of: READY });
          }}
        />
      </>
    );
  }
  if (props.weighing && shown) {
    return (
      <WeightPad
        step={shown}
        measure={runMeasure(shown, plan)}
        cups={state.cups}
        onDone={props.onTyped}
        onCancel={props.onWeighed}
      />
    );
  }
  const doses = shown ? dosesOf(plan, shown) : [];
  const left = shown && !props.ahead ? leftOf(shown, props.steps, now) : null;
  const words = shown && counted(stepWords(shown, plan, session, units), left);
  const adds =
    rescue &&
    rescueWords(rescue.rescue, (g, part) => {
      const batch = plan.batches.find((b) => b.number === rescue.batch);
      return batch ? measured(units, measureOfPart(batch, part), g) : showWith(units.MASS, g);
    });
  // Of what is only rehearsed nothing is learned.
  const weighs = shown?.status === "TO_DO" && stands.seen === undefined;
  const farWords = adds
    ? { title: adds.title, figure: adds.parts }
    : waits
      ? { title: waitWords(waits), figure: minutes(waits.endSeconds - now) }
      : words && {
          title: words.title,
          figure: words.figure === undefined ? null : `${words.figure} ${words.unit ?? ""}`,
        };
  return (
    <>
      <Stand
        sentence={standWords(state, plan)}
        soon={props.soon}
        change={changeWords(stands.change, plan, units, state.giveUp.length)}
        onGiveUp={state.giveUp.length > 0 ? props.onGiveUp : null}
      />
      {props.far && farWords ? (
        <FarStep {...farWords} />
      ) : adds ? (
        <Rescued {...adds} />
      ) : waits ? (
        <Waiting title={waitWords(waits)} left={waits.endSeconds - now} />
      ) : shown && words ? (
        <StepView
          step={shown}
          words={words}
          plan={plan}
          units={units}
          ahead={props.ahead}
          notBefore={
            shown.startSeconds > now + 60 && shown.status === "TO_DO"
              ? at(shown.startSeconds)
              : null
          }
          window={windowWords(shown, at, now)}
          lines={cardLines(shown.card, shown.kind, units, at)}
          drawn={shown.card.embeds.length > 0}
          measured={scale !== null && target !== undefined}
          leaves={state.leavesUntil !== undefined}
        >
          {scale && target !== undefined && (
            <ScaleBar
              reading={scale}
              simulated={props.simulated}
              tares={stands.seen === undefined}
              targetG={target}
              units={units}
            />
          )}
          {weighs && shown.kind === "TINT" && (
            <WeighKeys
              label="What the doses weigh"
              help="Weigh what you counted, and later plans know your drop and your scoop."
              things={countedInto(shown.cupId, doses, units)}
              kind="DOSED"
              before={state.weighed}
              tell={tell}
            />
          )}
          {doses.length > 1 && shown.status === "TO_DO" && (
            <Doses taskId={shown.taskId} doses={doses} checked={checked} onTell={tell} />
          )}
          {(shown.kind === "LEFTOVERS" || shown.kind === "CLEAN_UP") && (
            <FillersHere runId={running.opened.id} plan={plan} told={stands.told} at={at} />
          )}
          {weighs && shown.kind === "CLEAN_UP" && (
            <WeighKeys
              label="What stayed in the cups"
              help="Weigh what stayed in a cup, without the cup, and later plans know it."
              things={stayedIn(plan.batches.find((b) => b.number === shown.batch)?.cups ?? [])}
              kind="STAYED"
              before={state.weighed}
              tell={tell}
            />
          )}
          {weighs && (shown.kind === "LID" || shown.kind === "DEMOULD") && (
            <WeighKeys
              label="What the lids squeezed out"
              help="Weigh the flash of a piece, and later plans know how much to fill its mould over."
              things={squeezedOut(props.steps, shown, plan)}
              kind="SQUEEZED"
              before={state.weighed}
              tell={tell}
            />
          )}
          {shown.kind === "LOAD_POT" && shown.status === "TO_DO" && (
            <PotKeys batch={shown.batch} pot={state.pot} onTell={tell} />
          )}
        </StepView>
      ) : (
        <Ended id={running.opened.id} over={state.finishedSeconds !== undefined} />
      )}
    </>
  );
}

/** A timed step counts down, and says when its time is over. */
function counted(words: ReturnType<typeof stepWords>, left: number | null) {
  if (left === null) {
    return words;
  }
  return {
    ...words,
    figure: minutes(left),
    unit: left <= 0 ? "its time is over" : "min left",
  };
}
