import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import { useEffect, useRef, useState } from "react";
import type { RunStep, ScaleReading } from "../api/client";
import { Told, WrongMark } from "../frame/Told";
import { clockTime } from "../plan/wording";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { Checklist, READY } from "./Checklist";
import { Keypad } from "./Keypad";
import { OpenCups } from "./OpenCups";
import { HotCup, Return, SteppedAway } from "./Overlays";
import { ScaleBar } from "./ScaleBar";
import { StandIns } from "./StandIns";
import { tare, useScale, useSimulated } from "./useScale";
import { play, speak, wakeSound } from "./sounds";
import { StepDrawing } from "./StepDrawing";
import { standWords } from "./standWords";
import { stepShort, stepWords, waitWords } from "./stepWords";
import { useAwake, useChoice, useSleeve, useTicks } from "./useBenchTools";
import { clockNow, useRun, type Running } from "./useRun";

/** So long before, "soon" sounds, s. */
const SOON_SECONDS = 180;

const WEIGHED = new Set<RunStep["kind"]>(["WEIGH_FIRST", "WEIGH_SECOND", "SPLIT", "POUR"]);

/** A run on the whole screen, to be read at arm's length and used with gloves. */
export function PourScreen({ id }: { id: string }) {
  const run = useRun(id);
  useAwake();
  if (run.view.status === "loading") {
    return (
      <Box role="status" sx={{ p: 4, fontSize: "1.5rem" }}>
        Opening the run…
      </Box>
    );
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
  const hands = state.steps.filter((s) => s.hands && s.status !== "TOO_LATE");
  const todo = hands.filter((s) => s.status === "TO_DO" && !untoldDone.has(s.taskId));
  const current = todo[0];
  const wait = state.steps.find(
    (s) => s.status === "RUNNING" && s.kind === "REST" && !untoldDone.has(s.taskId),
  );
  const waits = wait && current && current.startSeconds > now + 1 ? wait : undefined;

  const [offset, setOffset] = useState(0);
  const [weighing, setWeighing] = useState(false);
  const [returning, setReturning] = useState(false);
  const [showCups, setShowCups] = useState(false);
  const [leftAsItIs, setLeftAsItIs] = useState<number | null>(null);
  const [seenHot, setSeenHot] = useState<string[]>([]);
  const [silent, setSilent] = useChoice("calm-pour.silent", false);
  const [reads, setReads] = useChoice("calm-pour.reads", false);
  const [standIns, setStandIns] = useState(false);
  const simulated = useSimulated();
  const [flash, setFlash] = useState(false);

  const at = current ? hands.indexOf(current) : hands.length;
  const shown = offset === 0 ? current : hands[at + offset];
  const turn = `${waits?.taskId ?? ""}|${shown?.taskId ?? ""}|${state.awaySinceSeconds ?? ""}`;
  const ready = state.checked.includes(READY) || hands.some((s) => s.status === "DONE");
  const target =
    shown?.status === "TO_DO" && WEIGHED.has(shown.kind) && !waits ? shown.targetG : undefined;
  const scale = useScale(ready && target !== undefined);
  const sleeve = useSleeve(turn);
  const { tell } = run;
  const done = (grams?: number) => {
    wakeSound();
    if (!sleeve.lets()) {
      return;
    }
    const what = waits && offset === 0 ? waits : shown;
    if (!what || (what.status !== "TO_DO" && what.status !== "RUNNING")) {
      return;
    }
    // The next tap within a blink is the same tap.
    sleeve.shut();
    if (grams !== undefined) {
      // The next weighing begins at nothing.
      void tare();
    }
    tell({ kind: "DONE", of: what.taskId, ...(grams === undefined ? {} : { value: grams }) });
    setOffset(0);
    setWeighing(false);
  };
  const undoable = state.undoable;
  const undo = () => {
    if (undoable) {
      tell({ kind: "UNDONE", of: undoable.eventId });
      setOffset(0);
    }
  };
  const away = () => tell({ kind: "AWAY" });

  const hot = state.cups.filter((c) => c.hot && !seenHot.includes(c.cupId));
  const busy =
    !ready || weighing || returning || hot.length > 0 || state.awaySinceSeconds !== undefined;

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (busy || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      const onButton = event.target instanceof HTMLButtonElement;
      if (event.key === " " && !event.repeat) {
        // Space is the large key wherever the focus is: gloves hit what they hit.
        event.preventDefault();
        done(weighed(scale, target));
      } else if (event.key === "ArrowRight") {
        setOffset((o) => Math.min(o + 1, hands.length - 1 - at));
      } else if (event.key === "ArrowLeft") {
        setOffset((o) => Math.max(o - 1, -at));
      } else if (event.key === "Backspace" && !onButton) {
        event.preventDefault();
        undo();
      }
    };
    window.addEventListener("keydown", onKey);
    // A button under the focus would count the key a second time.
    const onUp = (event: KeyboardEvent) => event.key === " " && !busy && event.preventDefault();
    window.addEventListener("keyup", onUp);
    return () => {
      window.removeEventListener("keydown", onKey);
      window.removeEventListener("keyup", onUp);
    };
  });

  // Soon, now and stop, once each.
  const sounded = useRef(new Set<string>());
  useEffect(() => {
    const once = (key: string, sound: "soon" | "now" | "stop") => {
      if (sounded.current.has(key)) {
        return;
      }
      sounded.current.add(key);
      if (silent) {
        setFlash(true);
        setTimeout(() => setFlash(false), 900);
      } else {
        play(sound);
      }
    };
    for (const cup of state.cups) {
      if (cup.hot || (cup.state !== "POURABLE" && !cup.empties)) {
        once(`stop ${cup.cupId} ${cup.hot}`, "stop");
      } else if (!cup.empties && cup.thicksSeconds - now < SOON_SECONDS) {
        once(`soon ${cup.cupId}`, "soon");
      }
    }
    if (wait && wait.endSeconds <= now) {
      once(`now ${wait.taskId}`, "now");
    }
  });

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
  const doneCount = hands.filter((s) => s.status === "DONE").length + untoldDone.size;
  const rescue = state.rescue && leftAsItIs !== state.rescue.batch ? state.rescue : undefined;
  const sentence = standWords(state, plan);

  return (
    <Box
      sx={{
        height: "100dvh",
        overflow: "hidden",
        display: "grid",
        gridTemplateRows: "auto minmax(0, 1fr) auto",
        gap: { xs: 1, md: 1.5 },
        p: { xs: 1, md: 2 },
        boxShadow: flash ? "inset 0 0 0 18px currentColor" : "none",
        color: "text.primary",
      }}
    >
      <Box component="header" sx={{ display: "flex", alignItems: "center", gap: { xs: 1, md: 2 } }}>
        <Box
          component="h1"
          sx={{
            m: 0,
            fontFamily: "h1.fontFamily",
            fontWeight: 500,
            fontSize: { xs: "1.05rem", md: "1.5rem" },
            whiteSpace: "nowrap",
            overflow: "hidden",
            textOverflow: "ellipsis",
            minWidth: 0,
          }}
        >
          {session.name}
        </Box>
        <Box
          sx={{
            flex: 1,
            height: 8,
            borderRadius: 4,
            bgcolor: "divider",
            display: { xs: "none", md: "block" },
          }}
        >
          <Box
            sx={{
              height: 8,
              borderRadius: 4,
              bgcolor: "primary.main",
              width: `${(100 * doneCount) / Math.max(1, hands.length)}%`,
            }}
          />
        </Box>
        <Box sx={{ color: "text.secondary", whiteSpace: "nowrap", ml: "auto" }}>
          {Math.min(doneCount + 1, hands.length)} of {hands.length}
        </Box>
        <Box sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>{time}</Box>
        {state.roomC !== undefined && (
          <Box sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>
            {showWith(units.TEMPERATURE, state.roomC)}
          </Box>
        )}
        <Box sx={{ display: { xs: "none", sm: "flex" }, gap: 0.5 }}>
          <Small label={silent ? "Sound on" : "Silent"} onClick={() => setSilent(!silent)} />
          <Small label={reads ? "Do not read" : "Read aloud"} onClick={() => setReads(!reads)} />
          <Small
            label="Full screen"
            onClick={() =>
              void (document.fullscreenElement
                ? document.exitFullscreen()
                : document.documentElement.requestFullscreen())
            }
          />
        </Box>
        {simulated && <Small label="Stand-ins" onClick={() => setStandIns((open) => !open)} />}
        <Button href="#/pour" sx={{ minHeight: 48, flexShrink: 0 }}>
          Leave
        </Button>
      </Box>

      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr", md: "minmax(0, 2fr) minmax(300px, 1fr)" },
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
              checked={state.checked}
              onCheck={(item) => {
                wakeSound();
                tell({ kind: "CHECKED", of: item });
              }}
              onReady={() => {
                wakeSound();
                tell({ kind: "CHECKED", of: READY });
              }}
            />
          ) : weighing && shown ? (
            <Keypad
              what="What the scale says"
              unit={units.MASS.symbol}
              onDone={(value) => {
                sleeve.open();
                done(value * units.MASS.scale);
              }}
              onCancel={() => setWeighing(false)}
            />
          ) : (
            <>
              <Box
                role="status"
                sx={{
                  color: sentence.wrong ? "error.main" : "text.secondary",
                  fontWeight: sentence.wrong ? 700 : 400,
                  fontSize: { xs: "1rem", md: "1.2rem" },
                  display: "flex",
                  gap: 1,
                  alignItems: "center",
                }}
              >
                {sentence.wrong && <WrongMark />}
                {sentence.text}
                {state.giveUp.length > 0 && (
                  <Button onClick={() => setReturning(true)} sx={{ minHeight: 48 }}>
                    See what to give up
                  </Button>
                )}
              </Box>
              {rescue ? (
                <Rescued
                  addA={rescue.rescue.addAG}
                  addB={rescue.rescue.addBG}
                  show={(g) => showWith(units.MASS, g)}
                />
              ) : waits && offset === 0 ? (
                <Waiting title={waitWords(waits)} left={waits.endSeconds - now} />
              ) : words && shown ? (
                <Box
                  sx={{
                    flex: 1,
                    minHeight: 0,
                    display: "grid",
                    gridTemplateColumns: { xs: "1fr", md: "minmax(0, 1fr) minmax(0, 1fr)" },
                    gridTemplateRows: { xs: "auto minmax(0, 1fr)", md: "1fr" },
                    opacity: offset === 0 ? 1 : 0.75,
                  }}
                >
                  <Box sx={{ gridColumn: { md: words.figure ? "1" : "1 / -1" } }}>
                    <Box
                      component="h2"
                      sx={{
                        m: 0,
                        fontFamily: "h1.fontFamily",
                        fontWeight: 600,
                        lineHeight: 1.08,
                        fontSize: { xs: "1.9rem", sm: "2.6rem", md: "3.6rem" },
                        overflowWrap: "break-word",
                      }}
                    >
                      {words.title}
                    </Box>
                    {words.figure !== undefined && (
                      <Box
                        sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}
                      >
                        <Box
                          sx={{
                            fontWeight: 700,
                            lineHeight: 1.1,
                            fontSize: { xs: "3.6rem", sm: "5rem", md: "6.5rem" },
                          }}
                        >
                          {words.figure}
                        </Box>
                        <Box sx={{ fontSize: { xs: "1.4rem", md: "2.2rem" } }}>{words.unit}</Box>
                      </Box>
                    )}
                    <Box
                      sx={{
                        color: "text.secondary",
                        fontSize: { xs: "1.05rem", md: "1.5rem" },
                        mt: { xs: 0.5, md: 1.5 },
                      }}
                    >
                      {shown.status === "DONE" ? "This is done." : words.how}
                    </Box>
                    {scale && target !== undefined && (
                      <Box sx={{ mt: { xs: 1, md: 2 } }}>
                        <ScaleBar reading={scale} targetG={target} units={units} />
                      </Box>
                    )}
                    {shown.startSeconds > now + 60 && shown.status === "TO_DO" && (
                      <Box sx={{ fontSize: { xs: "1.05rem", md: "1.5rem" }, mt: 1 }}>
                        Not before {clockTime(new Date(begun), shown.startSeconds, session.zoneId)}
                        {state.leavesUntil !== undefined && ": the bench is not needed until then."}
                      </Box>
                    )}
                  </Box>
                  <Box
                    sx={{
                      minHeight: 0,
                      minWidth: 0,
                      overflow: "hidden",
                      display: "flex",
                      alignItems: "flex-end",
                      justifyContent: "center",
                    }}
                  >
                    <StepDrawing
                      step={shown}
                      plan={plan}
                      units={units}
                      width={Math.min(380, window.innerWidth - 60)}
                      height={Math.min(
                        320,
                        window.innerHeight * (window.innerWidth < 900 ? 0.2 : 0.42),
                      )}
                    />
                  </Box>
                </Box>
              ) : (
                <Box component="h2" sx={{ typography: "h1", fontSize: "2.4rem" }}>
                  {state.finishedSeconds !== undefined ? "This run is over" : "Everything is done"}
                </Box>
              )}
            </>
          )}
        </Box>

        <Box
          component="aside"
          sx={{
            bgcolor: "background.paper",
            borderRadius: 2,
            p: { xs: 1.25, md: 2.5 },
            minHeight: 0,
            overflow: "hidden",
          }}
        >
          <Box
            sx={{
              typography: "h2",
              mb: 1.5,
              fontSize: "1.4rem",
              display: { xs: "none", md: "block" },
            }}
          >
            Open cups
          </Box>
          <Box sx={{ display: { xs: "none", md: "block" } }}>
            <OpenCups cups={state.cups} now={now} most={7} />
          </Box>
          <Box sx={{ display: { xs: "block", md: "none" } }}>
            <OpenCups cups={state.cups} now={now} most={3} />
            {state.cups.length > 3 && (
              <Button
                onClick={() => setShowCups(true)}
                sx={{ minHeight: 48, width: "100%", fontSize: "1.1rem" }}
              >
                {state.cups.length - 3} more {state.cups.length === 4 ? "cup" : "cups"}
              </Button>
            )}
          </Box>
        </Box>
      </Box>

      <Box
        component="footer"
        sx={{
          display: ready && !weighing ? "grid" : "none",
          gridTemplateColumns: {
            xs: "minmax(0, 1fr) minmax(0, 1fr)",
            md: "minmax(0, 2.2fr) minmax(0, 1.5fr) auto auto",
          },
          gap: { xs: 1, md: 1.5 },
          alignItems: "stretch",
        }}
      >
        {rescue ? (
          <Button
            variant="contained"
            onClick={() => {
              const a = rescue.rescue.addAG;
              const b = rescue.rescue.addBG;
              tell({
                kind: "ADDED",
                of: `${rescue.batch}/${a > 0 ? "A" : "B"}`,
                value: a > 0 ? a : b,
              });
            }}
            sx={{ minHeight: 84, fontSize: "1.7rem", gridColumn: { xs: "1 / -1", md: "auto" } }}
          >
            Added
          </Button>
        ) : (
          <Button
            variant="contained"
            onClick={() => done(weighed(scale, target))}
            disabled={!waits && shown?.status !== "TO_DO"}
            sx={{
              minHeight: { xs: 96, md: 136 },
              fontSize: { xs: "1.6rem", md: "2rem" },
              gridColumn: { xs: "1 / -1", md: "auto" },
              gap: 2,
            }}
          >
            {waits && offset === 0 ? "Go on now" : (words?.done ?? "Done")}
            <Box
              component="span"
              sx={{ fontSize: "1.1rem", opacity: 0.8, display: { xs: "none", md: "inline" } }}
            >
              space
            </Box>
          </Button>
        )}
        <Box
          aria-label="Next"
          role="group"
          sx={{
            gridColumn: { xs: "1 / -1", md: "auto" },
            order: { xs: -1, md: 0 },
            fontSize: { xs: "0.98rem", md: "1.15rem" },
            alignSelf: "center",
            minWidth: 0,
          }}
        >
          {then.map((s, i) => (
            <Box
              key={s.taskId}
              sx={{ whiteSpace: "nowrap", overflow: "hidden", textOverflow: "ellipsis" }}
            >
              <b>{i === 0 ? "then" : "after"}</b> {stepShort(s, plan, session, units)}
            </Box>
          ))}
          {offset !== 0 && (
            <Button onClick={() => setOffset(0)} sx={{ minHeight: 48 }}>
              Back to the step that is next
            </Button>
          )}
        </Box>
        <Box sx={{ display: "flex", flexDirection: { xs: "row", md: "column" }, gap: 1 }}>
          <Button
            variant="outlined"
            onClick={undo}
            disabled={!undoable}
            sx={{ minHeight: 64, fontSize: "1.15rem", flex: 1, minWidth: 110 }}
          >
            Undo
          </Button>
          {rescue ? (
            <Button
              variant="outlined"
              onClick={() => setLeftAsItIs(rescue.batch)}
              sx={{ minHeight: 64, fontSize: "1.05rem", flex: 1 }}
            >
              Leave it
            </Button>
          ) : (
            shown &&
            WEIGHED.has(shown.kind) &&
            shown.status === "TO_DO" && (
              <Button
                variant="outlined"
                onClick={() => setWeighing(true)}
                sx={{ minHeight: 64, fontSize: "1.05rem", flex: 1 }}
              >
                Other weight
              </Button>
            )
          )}
        </Box>
        <Box sx={{ display: "flex", flexDirection: { xs: "row", md: "column" }, gap: 1 }}>
          {shown?.cupId && shown.status === "TO_DO" && shown.kind === "POUR" && (
            <Button
              variant="outlined"
              color="error"
              onClick={() => {
                tell({ kind: "THICK", of: shown.cupId });
                setReturning(true);
              }}
              sx={{ minHeight: 64, fontSize: "1.05rem", flex: 1 }}
            >
              Too thick
            </Button>
          )}
          <Button
            variant="outlined"
            color="error"
            onClick={away}
            sx={{ minHeight: 64, fontSize: "1.15rem", flex: 1, borderWidth: 3, minWidth: 130 }}
          >
            Stepped away
          </Button>
        </Box>
      </Box>

      {(run.cutOff || run.untold.length > 0 || run.refused || run.before.length > 0) && (
        <Box
          role="alert"
          sx={{
            position: "fixed",
            top: 64,
            left: 16,
            right: 16,
            zIndex: 1100,
            pointerEvents: "none",
            display: run.cutOff || run.refused || run.before.length > 0 ? "block" : "none",
          }}
        >
          <Box
            sx={{
              display: "inline-flex",
              gap: 1,
              alignItems: "center",
              bgcolor: "background.paper",
              border: 2,
              borderColor: "error.main",
              borderRadius: 2,
              px: 2,
              py: 1,
              fontSize: "1.1rem",
              pointerEvents: "auto",
            }}
          >
            <WrongMark />
            {run.cutOff
              ? `Not connected. Go on pouring: ${run.untold.length === 0 ? "nothing is lost" : `${run.untold.length} to be told when it answers`}.`
              : run.refused
                ? run.refused.detail
                : "The other screen had finished that step already."}
          </Box>
        </Box>
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
      {showCups && (
        <Box
          role="dialog"
          aria-label="All open cups"
          sx={{
            position: "fixed",
            inset: 0,
            zIndex: 1150,
            bgcolor: "background.default",
            p: 2,
            overflow: "auto",
          }}
        >
          <OpenCups cups={state.cups} now={now} />
          <Button
            variant="contained"
            onClick={() => setShowCups(false)}
            sx={{ minHeight: 72, width: "100%", fontSize: "1.3rem" }}
          >
            Back to the step
          </Button>
        </Box>
      )}
      {returning && (
        <Return
          state={state}
          plan={plan}
          units={units}
          onGiveUp={() => {
            for (const of of state.giveUp) {
              tell({ kind: "GIVEN_UP", of });
            }
          }}
          onGoOn={() => setReturning(false)}
        />
      )}
      {state.awaySinceSeconds !== undefined && (
        <SteppedAway
          state={state}
          now={now}
          onBack={() => {
            wakeSound();
            tell({ kind: "BACK" });
            setReturning(true);
          }}
        />
      )}
      {hot.length > 0 && (
        <HotCup cups={hot} onSeen={() => setSeenHot([...seenHot, ...hot.map((c) => c.cupId)])} />
      )}
    </Box>
  );
}

/**
 * What the scale says, where it plausibly says it of this; otherwise it went as planned. A cup that
 * is poured from on the scale gets lighter.
 */
function weighed(scale: ScaleReading | null, target: number | undefined): number | undefined {
  const told = scale?.link === "TELLS" ? scale.grams : undefined;
  if (told === undefined || target === undefined) {
    return undefined;
  }
  const grams = Math.abs(told);
  return grams > target * 0.5 && grams < target * 2 ? grams : undefined;
}

function Small({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <ButtonBase
      onClick={() => {
        wakeSound();
        onClick();
      }}
      sx={{
        minHeight: 48,
        px: 1.25,
        borderRadius: 1,
        font: "inherit",
        color: "text.secondary",
        whiteSpace: "nowrap",
      }}
    >
      {label}
    </ButtonBase>
  );
}

function Waiting({ title, left }: { title: string; left: number }) {
  const whole = Math.max(0, Math.ceil(left));
  return (
    <Box role="timer" aria-label={title}>
      <Box
        component="h2"
        sx={{
          m: 0,
          fontFamily: "h1.fontFamily",
          fontWeight: 600,
          fontSize: { xs: "1.9rem", md: "3.6rem" },
        }}
      >
        {title}
      </Box>
      <Box sx={{ fontWeight: 700, fontSize: { xs: "4.2rem", md: "8rem" }, lineHeight: 1.1 }}>
        {Math.floor(whole / 60)}:{String(whole % 60).padStart(2, "0")}
      </Box>
      <Box sx={{ color: "text.secondary", fontSize: { xs: "1.05rem", md: "1.5rem" } }}>
        Bubbles rise; the clock of the cup runs on.
      </Box>
    </Box>
  );
}

function Rescued(props: { addA: number; addB: number; show: (grams: number) => string }) {
  const part = props.addA > 0 ? "A" : "B";
  const amount = props.addA > 0 ? props.addA : props.addB;
  return (
    <Box>
      <Box
        component="h2"
        sx={{
          m: 0,
          fontFamily: "h1.fontFamily",
          fontWeight: 600,
          fontSize: { xs: "1.9rem", md: "3.4rem" },
        }}
      >
        Too much of the other: add {part}
      </Box>
      <Box sx={{ fontWeight: 700, fontSize: { xs: "3.6rem", md: "6.5rem" }, lineHeight: 1.1 }}>
        {props.show(amount)}
      </Box>
      <Box sx={{ color: "text.secondary", fontSize: { xs: "1.05rem", md: "1.5rem" } }}>
        Then the ratio is right again, and there is more than planned.
      </Box>
    </Box>
  );
}
