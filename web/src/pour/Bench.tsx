// Longer than other files: it only hands on what its parts share, and a cut would hand on the same
// once more.
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { findingText } from "../words/findings";
import { batchOf, heatWarnings } from "../words/heat";
import { heatLine } from "../words/heatTexts";
import { soonWords } from "../words/soon";
import { allInWords, runMeasure, stepShort, stepWords, waitWords } from "../words/steps";
import { clockTime } from "../words/time";
import { undoneWords } from "../words/undone";
import { leftRatio, seenHot } from "./answered";
import { asTold } from "./asTold";
import { BenchAside } from "./BenchAside";
import { BenchGuide } from "./BenchGuide";
import { BenchHeader } from "./BenchHeader";
import { BenchKeys } from "./BenchKeys";
import { BenchMain, WEIGHED } from "./BenchMain";
import { READY } from "./Checklist";
import { Doubted } from "./Doubted";
import { Early } from "./Early";
import { useFootKey } from "./FootSwitch";
import { Gone } from "./Gone";
import { answers, going } from "./going";
import { LineTrouble } from "./LineTrouble";
import { LOW } from "./low";
import { OverTheBench } from "./OverTheBench";
import { Rehearsing } from "./Rehearsing";
import { RoomKey } from "./RoomKey";
import { soon } from "./soon";
import { StandIns } from "./StandIns";
import { speak } from "./sounds";
import { useBenchKeyboard } from "./useBenchKeyboard";
import { useBenchSounds } from "./useBenchSounds";
import { TroubleKeys } from "./TroubleKeys";
import { useChoice, useSleeve, useTicks } from "./useBenchTools";
import { useCupKeys } from "./useCupKeys";
import { useHands } from "./useHands";
import { clockNow, type Running, type useRun } from "./useRun";
import { rehearsedScale, useScale, useSimulated } from "./useScale";
import { useScaleTone } from "./useScaleTone";
import { useTaking } from "./useTaking";
import { useTurns } from "./useTurns";

interface BenchProps {
  run: ReturnType<typeof useRun>;
  running: Running;
}

/** A run on the whole screen, to be read at arm's length and used with gloves. */
export function Bench({ run, running }: BenchProps) {
  useTicks(500);
  const units = useUnits();
  const { opened, stands, clock } = running;
  const { plan, session } = opened;
  const begun = Date.parse(opened.begunAt);
  const now = (clockNow(clock) - begun) / 1000;

  // What was done while nobody could be told counts here already.
  const told = asTold(stands.state, run.untold, begun);
  const { state, checked, undoable } = told;
  const { whose, handsWords, turnHands } = useHands(told.steps);
  const hands = told.steps.filter(
    (s) =>
      s.hands &&
      s.status !== "TOO_LATE" &&
      s.status !== "MISSED" &&
      (whose === null || s.pair === whose),
  );
  const todo = hands.filter((s) => s.status === "TO_DO");
  const current = todo[0];
  const wait = told.steps.find((s) => s.status === "RUNNING" && s.kind === "REST");
  const waits = wait && current && current.startSeconds > now + 1 ? wait : undefined;

  const [offset, setOffset] = useState(0);
  const [weighing, setWeighing] = useState(false);
  const [returning, setReturning] = useState(false);
  const [troubled, setTroubled] = useState(false);
  const [silent, setSilent] = useChoice("calm-pour.silent", false);
  const [reads, setReads] = useChoice("calm-pour.reads", false);
  const [far, setFar] = useChoice("calm-pour.far", false);
  const [standIns, setStandIns] = useState(false);
  const foot = useFootKey();
  const [readsRoom, setReadsRoom] = useState(false);
  const [guided, setGuided] = useState(false);
  const simulated = useSimulated();

  const place = current ? hands.indexOf(current) : hands.length;
  const shown = offset === 0 ? current : hands[place + offset];
  const turn = `${waits?.taskId ?? ""}|${shown?.taskId ?? ""}|${state.awaySinceSeconds ?? ""}`;
  const ready = checked.includes(READY) || hands.some((s) => s.status === "DONE");
  const target =
    shown?.status === "TO_DO" && WEIGHED.has(shown.kind) && !waits ? shown.targetG : undefined;
  const { seen } = stands;
  const weighed = useScale(ready && target !== undefined, seen !== undefined);
  const scale = seen && target !== undefined ? rehearsedScale(seen, shown) : weighed;
  const sleeve = useSleeve(turn);
  const { tell } = run;
  const cupKeys = useCupKeys(
    state,
    shown,
    tell,
    () => setTroubled(false),
    () => setReturning(true),
  );
  useScaleTone(scale, target, silent);
  const taking = useTaking({
    what: waits && offset === 0 ? waits : shown,
    scale,
    target,
    tares: seen === undefined,
    sleeve,
    tell,
    now,
    onTaken: () => {
      setOffset(0);
      setWeighing(false);
    },
  });
  const undo = () => {
    if (undoable) {
      tell(...undoable.eventIds.map((of) => ({ kind: "UNDONE" as const, of })));
      setOffset(0);
    }
  };

  const rescue =
    state.rescue && !checked.includes(leftRatio(state.rescue.batch)) ? state.rescue : undefined;
  const hot = state.cups.filter((c) => c.hot && !checked.includes(seenHot(c.cupId)));
  const gone = state.awaySinceSeconds === undefined ? going(state, now, checked) : [];
  const busy =
    // What is to be added is answered by its own keys, not by the step behind it.
    rescue !== undefined ||
    !ready ||
    weighing ||
    returning ||
    cupKeys.asksHot ||
    troubled ||
    hot.length > 0 ||
    gone.length > 0 ||
    state.awaySinceSeconds !== undefined;

  useBenchKeyboard({
    busy,
    take: taking.take,
    footKey: foot.footKey,
    turn: (by) =>
      setOffset((o) =>
        by > 0 ? Math.min(o + 1, hands.length - 1 - place) : Math.max(o - 1, -place),
      ),
    undo,
  });

  const soons = ready ? soon(state, told.steps, now) : [];
  const soonTold = soonWords(soons, plan, session, units);
  const flash = useBenchSounds(state, soons, now, wait, silent);
  useTurns(state, wait, now, run.refresh);
  const words = shown && stepWords(shown, plan, session, units);
  const spoken = waits ? waitWords(waits) : words && `${words.title} ${words.figure ?? ""}`;
  useEffect(() => {
    if (reads && spoken) {
      speak(spoken);
    }
  }, [reads, spoken]);

  const resting = waits !== undefined && offset === 0;
  const then = todo.filter((s) => resting || s.taskId !== shown?.taskId).slice(0, 2);
  const at = (seconds: number) => clockTime(new Date(begun), seconds, session.zoneId);

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
        [LOW]: { gap: 0.75, p: 0.75 },
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
          done={hands.filter((s) => s.status === "DONE").length}
          of={hands.length}
          time={at(now)}
          room={showWith(units.TEMPERATURE, state.room?.temperatureC ?? session.room.temperatureC)}
          onRoom={() => setReadsRoom(true)}
          silent={silent}
          onSilent={setSilent}
          onFootSwitch={ready ? null : foot.choose}
          reads={reads}
          onReads={setReads}
          far={far}
          onFar={setFar}
          hands={handsWords}
          onHands={turnHands}
          onGuide={() => setGuided(true)}
          onStandIns={simulated.bench && !seen ? () => setStandIns((open) => !open) : null}
          leavesFor={seen ? "/practice/rehearsal" : "/pour"}
        />
        {seen && (
          <Rehearsing
            id={opened.id}
            seen={seen}
            speed={stands.speed}
            plan={plan}
            shown={shown}
            waits={offset === 0 ? waits : undefined}
            now={now}
            at={at}
            silent={silent}
            tell={tell}
            onClock={() => void run.refresh()}
          />
        )}
      </Box>

      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: {
            xs: "minmax(0, 1fr)",
            md: far ? "minmax(0, 1fr)" : "minmax(0, 2fr) minmax(300px, 1fr)",
          },
          gridTemplateRows: { xs: "minmax(0, 1fr) auto", md: "minmax(0, 1fr)" },
          gap: { xs: 1, md: 1.5 },
          minHeight: 0,
          [LOW]: {
            gridTemplateColumns: far ? "minmax(0, 1fr)" : "minmax(0, 2fr) minmax(0, 1fr)",
            gridTemplateRows: "minmax(0, 1fr)",
          },
        }}
      >
        <Box
          component="main"
          sx={{
            bgcolor: "background.paper",
            borderRadius: 2,
            p: { xs: 1.5, md: 3 },
            minHeight: 0,
            overflow: "auto",
            display: "flex",
            flexDirection: "column",
            [LOW]: { p: 1.25, overflow: "auto" },
          }}
        >
          <BenchMain
            ready={ready}
            weighing={weighing}
            steps={told.steps}
            shown={shown}
            waits={offset === 0 ? waits : undefined}
            ahead={offset !== 0}
            far={far && shown !== undefined}
            rescue={rescue}
            soon={soonTold}
            now={now}
            running={running}
            checked={checked}
            scale={scale}
            target={target}
            simulated={simulated.scale && !seen}
            at={at}
            tell={tell}
            onTyped={(grams) => {
              sleeve.open();
              taking.offer(grams, true);
            }}
            onWeighed={() => setWeighing(false)}
            onGiveUp={() => setReturning(true)}
          />
        </Box>

        {far ? (
          <Button onClick={() => setFar(false)} sx={{ minHeight: 64, fontSize: "1.05rem" }}>
            Show all of the step
          </Button>
        ) : (
          <BenchAside
            state={state}
            plan={plan}
            session={session}
            now={now}
            at={at}
            onFelt={(of, word) => tell({ kind: "FELT", of, codes: [word] })}
            onFar={() => setFar(true)}
          />
        )}
      </Box>

      {ready && !weighing && (
        <BenchKeys
          label={
            taking.settles
              ? "Waiting for the scale"
              : waits && offset === 0
                ? "Go on now"
                : ((shown && allInWords(shown, plan, checked)) ?? words?.done ?? "Done")
          }
          enabled={waits !== undefined || shown?.status === "TO_DO"}
          onDone={taking.take}
          then={then.map((s) => {
            const { title, figure, unit } = stepWords(s, plan, session, units);
            return {
              id: s.taskId,
              title,
              figure: figure === undefined ? null : `${figure} ${unit ?? ""}`.trim(),
              of: s.targetG === undefined ? null : `step/${s.taskId}/targetG`,
            };
          })}
          onTurn={offset === 0 ? null : () => setOffset(0)}
          undo={
            undoable
              ? { what: undoneWords(undoable, state, plan, session, units), onUndo: undo }
              : null
          }
          rescue={
            rescue
              ? {
                  onAdded: () => {
                    const { addAG, addBG } = rescue.rescue;
                    const added = (part: string, value: number) =>
                      value > 0
                        ? [{ kind: "ADDED" as const, of: `${rescue.batch}/${part}`, value }]
                        : [];
                    tell(...added("A", addAG), ...added("B", addBG));
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
          marks={shown !== undefined && runMeasure(shown, plan)?.marks === true}
          onThick={cupKeys.onThick}
          onHot={cupKeys.onHot}
          onTrouble={() => setTroubled(true)}
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
          runId={opened.id}
          plan={plan}
          steps={told.steps}
          doubt={taking.doubt}
          step={shown}
          onBelieve={taking.believe}
          onAgain={taking.again}
        />
      )}

      {taking.early && shown && (
        <Early
          step={waits && offset === 0 ? waits : shown}
          title={resting ? waitWords(waits) : stepShort(shown, plan, session, units)}
          from={at(resting ? waits.endSeconds : (shown.notBeforeSeconds ?? now))}
          minutes={taking.early.minutes}
          onDone={taking.allTheSame}
          onBack={taking.wait}
        />
      )}
      {foot.choosing}
      {guided && <BenchGuide onClose={() => setGuided(false)} />}
      {readsRoom && (
        <RoomKey
          room={state.room}
          assumedC={session.room.temperatureC}
          at={at}
          tell={tell}
          onClose={() => setReadsRoom(false)}
        />
      )}
      {troubled && (
        <TroubleKeys
          runId={opened.id}
          state={state}
          steps={told.steps}
          plan={plan}
          session={session}
          shown={shown}
          at={at}
          tell={tell}
          onThick={cupKeys.onThick}
          onHot={cupKeys.onHot}
          onClose={() => setTroubled(false)}
        />
      )}
      {gone.length > 0 && (
        <Gone
          going={gone}
          onSeen={() => {
            tell(...answers(gone));
            setReturning(true);
          }}
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
        soon={soonTold}
        tell={tell}
        // First what has become of the cups, then what is left to do.
        returning={returning && gone.length === 0}
        onReturning={setReturning}
        hot={hot}
        onSeenHot={() =>
          tell(...hot.map((c) => ({ kind: "CHECKED" as const, of: seenHot(c.cupId) })))
        }
        asksHot={cupKeys.asksHot ? cupKeys.heats : null}
        onAsked={() => cupKeys.setAsksHot(false)}
      />
    </Box>
  );
}
