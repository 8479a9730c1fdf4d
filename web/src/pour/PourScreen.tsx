import Box from "@mui/material/Box";
import { useEffect, useState } from "react";
import type { RunStep } from "../api/client";
import { Loading } from "../ui/Loading";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { findingText } from "../words/findings";
import { batchOf, heatLine, heatWarnings } from "../words/heat";
import { changeWords, standWords } from "../words/stands";
import { stepShort, stepWords, waitWords } from "../words/steps";
import { clockTime } from "../words/time";
import { answered, leftRatio, seenHot } from "./answered";
import { BenchAside } from "./BenchAside";
import { BenchHeader } from "./BenchHeader";
import { BenchKeys } from "./BenchKeys";
import { Checklist, READY } from "./Checklist";
import { Doubted } from "./Doubted";
import { Ended } from "./Ended";
import { LineTrouble } from "./LineTrouble";
import { OverTheBench } from "./OverTheBench";
import { PotKeys } from "./PotKeys";
import { ScaleBar } from "./ScaleBar";
import { Stand } from "./Stand";
import { StandIns } from "./StandIns";
import { Rescued, StepView, Waiting } from "./StepView";
import { speak, wakeSound } from "./sounds";
import { useBenchKeyboard } from "./useBenchKeyboard";
import { useBenchSounds } from "./useBenchSounds";
import { useAwake, useChoice, useSleeve, useTicks } from "./useBenchTools";
import { useHands } from "./useHands";
import { clockNow, type Running, useRun } from "./useRun";
import { useScale, useSimulated } from "./useScale";
import { useScaleTone } from "./useScaleTone";
import { useTaking } from "./useTaking";
import { WeightPad } from "./WeightPad";

const WEIGHED = new Set<RunStep["kind"]>(["WEIGH_FIRST", "WEIGH_SECOND", "SPLIT", "POUR"]);

/** A run on the whole screen, to be read at arm's length and used with gloves. */
export function PourScreen({ id }: { id: string }) {
  const run = useRun(id);
  useAwake();
  if (run.view.status === "loading") {
    return <Loading>Opening the run…</Loading>;
  }
  if (run.view.status === "trouble") {
    return <Told trouble={run.view.trouble} onRetry={() => void run.reload()} />;
  }
  return <Bench run={run} running={run.view} />;
}

interface BenchProps {
  run: ReturnType<typeof useRun>;
  running: Running;
}

function Bench({ run, running }: BenchProps) {
  useTicks(250);
  const units = useUnits();
  const { opened, stands, clock } = running;
  const { plan, session } = opened;
  const { state } = stands;
  const begun = Date.parse(opened.begunAt);
  const now = (clockNow(clock) - begun) / 1000;

  // What was done while nobody could be told counts here already.
  const untoldDone = new Set(run.untold.filter((e) => e.kind === "DONE").map((e) => e.of));
  const checked = answered(state.checked, run.untold);
  const { whose, handsWords, turnHands } = useHands(state.steps);
  const hands = state.steps.filter(
    (s) => s.hands && s.status !== "TOO_LATE" && (whose === null || s.pair === whose),
  );
  const todo = hands.filter((s) => s.status === "TO_DO" && !untoldDone.has(s.taskId));
  const current = todo[0];
  const wait = state.steps.find(
    (s) => s.status === "RUNNING" && s.kind === "REST" && !untoldDone.has(s.taskId),
  );
  const waits = wait && current && current.startSeconds > now + 1 ? wait : undefined;

  const [offset, setOffset] = useState(0);
  const [weighing, setWeighing] = useState(false);
  const [returning, setReturning] = useState(false);
  const [asksHot, setAsksHot] = useState(false);
  const [silent, setSilent] = useChoice("calm-pour.silent", false);
  const [reads, setReads] = useChoice("calm-pour.reads", false);
  const [standIns, setStandIns] = useState(false);
  const simulated = useSimulated();

  const at = current ? hands.indexOf(current) : hands.length;
  const shown = offset === 0 ? current : hands[at + offset];
  const turn = `${waits?.taskId ?? ""}|${shown?.taskId ?? ""}|${state.awaySinceSeconds ?? ""}`;
  const ready = checked.includes(READY) || hands.some((s) => s.status === "DONE");
  const target =
    shown?.status === "TO_DO" && WEIGHED.has(shown.kind) && !waits ? shown.targetG : undefined;
  const scale = useScale(ready && target !== undefined);
  const sleeve = useSleeve(turn);
  const { tell } = run;
  useScaleTone(scale, target, silent);
  const taking = useTaking({
    what: waits && offset === 0 ? waits : shown,
    scale,
    target,
    sleeve,
    tell,
    onTaken: () => {
      setOffset(0);
      setWeighing(false);
    },
  });
  const undoable = state.undoable;
  const undo = () => {
    if (undoable) {
      tell({ kind: "UNDONE", of: undoable.eventId });
      setOffset(0);
    }
  };

  const rescue =
    state.rescue && !checked.includes(leftRatio(state.rescue.batch)) ? state.rescue : undefined;
  const hot = state.cups.filter((c) => c.hot && !checked.includes(seenHot(c.cupId)));
  const busy =
    // What is to be added is answered by its own keys, not by the step behind it.
    rescue !== undefined ||
    !ready ||
    weighing ||
    returning ||
    asksHot ||
    hot.length > 0 ||
    state.awaySinceSeconds !== undefined;

  useBenchKeyboard({
    busy,
    take: taking.take,
    turn: (by) =>
      setOffset((o) => (by > 0 ? Math.min(o + 1, hands.length - 1 - at) : Math.max(o - 1, -at))),
    undo,
  });

  const flash = useBenchSounds(state.cups, now, wait, silent);

  // A wait that is over brings the next step.
  const { refresh } = run;
  const over = wait !== undefined && wait.endSeconds <= now;
  useEffect(() => {
    if (over) {
      void refresh();
    }
  }, [over, refresh]);

  const words = shown && stepWords(shown, plan, session, units);
  const spoken = waits ? waitWords(waits) : words && `${words.title} ${words.figure ?? ""}`;
  useEffect(() => {
    if (reads && spoken) {
      speak(spoken);
    }
  }, [reads, spoken]);

  const then = todo.filter((s) => s.taskId !== shown?.taskId).slice(0, 2);
  const time = clockTime(new Date(begun), now, session.zoneId);
  const heats = (cupId: string) => {
    tell({ kind: "HOT", of: cupId });
    setAsksHot(false);
  };

  return (
    <Box
      sx={{
        height: "100dvh",
        overflow: "hidden",
        display: "grid",
        gridTemplateColumns: "minmax(0, 1fr)",
        gridTemplateRows: "auto minmax(0, 1fr) auto",
        gap: { xs: 1, md: 1.5 },
        p: { xs: 1, md: 2 },
        boxShadow: flash ? "inset 0 0 0 18px currentColor" : "none",
        color: "text.primary",
      }}
    >
      <Box>
        <BenchHeader
          heat={heatLine(
            heatWarnings(plan)
              .filter((f) => [null, shown?.batch ?? 1].includes(batchOf(f, plan)))
              .map((f) => findingText(f, plan, units)),
          )}
          name={session.name}
          done={hands.filter((s) => s.status === "DONE").length + untoldDone.size}
          of={hands.length}
          time={time}
          room={state.roomC === undefined ? null : showWith(units.TEMPERATURE, state.roomC)}
          silent={silent}
          onSilent={setSilent}
          reads={reads}
          onReads={setReads}
          hands={handsWords}
          onHands={turnHands}
          onStandIns={simulated ? () => setStandIns((open) => !open) : null}
        />
      </Box>

      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 2fr) minmax(300px, 1fr)" },
          gridTemplateRows: { xs: "minmax(0, 1fr) auto", md: "minmax(0, 1fr)" },
          gap: { xs: 1, md: 1.5 },
          minHeight: 0,
        }}
      >
        <Box
          component="main"
          sx={{
            bgcolor: "background.paper",
            borderRadius: 2,
            p: { xs: 1.5, md: 3 },
            minHeight: 0,
            overflow: "hidden",
            display: "flex",
            flexDirection: "column",
          }}
        >
          {!ready ? (
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
          ) : weighing && shown ? (
            <WeightPad
              step={shown}
              cups={state.cups}
              onDone={(grams) => {
                sleeve.open();
                taking.offer(grams, true);
              }}
              onCancel={() => setWeighing(false)}
            />
          ) : (
            <>
              <Stand
                sentence={standWords(state, plan)}
                change={changeWords(stands.change, plan)}
                onGiveUp={state.giveUp.length > 0 ? () => setReturning(true) : null}
              />
              {rescue ? (
                <Rescued
                  addA={rescue.rescue.addAG}
                  addB={rescue.rescue.addBG}
                  show={(g) => showWith(units.MASS, g)}
                />
              ) : waits && offset === 0 ? (
                <Waiting title={waitWords(waits)} left={waits.endSeconds - now} />
              ) : words && shown ? (
                <StepView
                  step={shown}
                  words={words}
                  plan={plan}
                  units={units}
                  ahead={offset !== 0}
                  notBefore={
                    shown.startSeconds > now + 60 && shown.status === "TO_DO"
                      ? clockTime(new Date(begun), shown.startSeconds, session.zoneId)
                      : null
                  }
                  measured={scale !== null && target !== undefined}
                  leaves={state.leavesUntil !== undefined}
                >
                  {scale && target !== undefined && (
                    <ScaleBar reading={scale} targetG={target} units={units} />
                  )}
                  {shown.kind === "LOAD_POT" && shown.status === "TO_DO" && (
                    <PotKeys batch={shown.batch} pot={state.pot} onTell={tell} />
                  )}
                </StepView>
              ) : (
                <Ended id={opened.id} over={state.finishedSeconds !== undefined} />
              )}
            </>
          )}
        </Box>

        <BenchAside
          state={state}
          plan={plan}
          session={session}
          now={now}
          at={(seconds) => clockTime(new Date(begun), seconds, session.zoneId)}
        />
      </Box>

      {ready && !weighing && (
        <BenchKeys
          label={
            taking.settles
              ? "Waiting for the scale"
              : waits && offset === 0
                ? "Go on now"
                : (words?.done ?? "Done")
          }
          enabled={waits !== undefined || shown?.status === "TO_DO"}
          onDone={taking.take}
          then={then.map((s) => ({ id: s.taskId, words: stepShort(s, plan, session, units) }))}
          onTurn={offset === 0 ? null : () => setOffset(0)}
          onUndo={undoable ? undo : null}
          rescue={
            rescue
              ? {
                  onAdded: () => {
                    const { addAG, addBG } = rescue.rescue;
                    if (addAG > 0) {
                      tell({ kind: "ADDED", of: `${rescue.batch}/A`, value: addAG });
                    }
                    if (addBG > 0) {
                      tell({ kind: "ADDED", of: `${rescue.batch}/B`, value: addBG });
                    }
                  },
                  onLeave: () => tell({ kind: "CHECKED", of: leftRatio(rescue.batch) }),
                }
              : null
          }
          onWeigh={
            shown && WEIGHED.has(shown.kind) && shown.status === "TO_DO"
              ? () => setWeighing(true)
              : null
          }
          onThick={
            shown?.cupId && shown.status === "TO_DO" && shown.kind === "POUR"
              ? () => {
                  tell({ kind: "THICK", of: shown.cupId });
                  setReturning(true);
                }
              : null
          }
          onHot={
            state.cups.some((c) => !c.hot)
              ? () => {
                  const [only, ...more] = state.cups.filter((c) => !c.hot);
                  if (only && more.length === 0) {
                    heats(only.cupId);
                  } else {
                    setAsksHot(true);
                  }
                }
              : null
          }
          onAway={() => tell({ kind: "AWAY" })}
        />
      )}

      <LineTrouble
        cutOff={run.cutOff}
        untold={run.untold.length}
        refused={run.refused?.detail ?? null}
        before={run.before.length > 0}
      />

      {taking.doubt && shown && (
        <Doubted
          doubt={taking.doubt}
          step={shown}
          onBelieve={taking.believe}
          onAgain={taking.again}
        />
      )}

      {standIns && (
        <StandIns
          state={state}
          speed={stands.speed}
          targetG={target}
          onClock={() => void run.refresh()}
          onClose={() => setStandIns(false)}
        />
      )}
      <OverTheBench
        state={state}
        plan={plan}
        now={now}
        tell={tell}
        returning={returning}
        onReturning={setReturning}
        hot={hot}
        onSeenHot={() =>
          tell(...hot.map((c) => ({ kind: "CHECKED" as const, of: seenHot(c.cupId) })))
        }
        asksHot={asksHot ? heats : null}
        onAsked={() => setAsksHot(false)}
      />
    </Box>
  );
}
