import { ofPour, ofTask } from "../../session/place";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Hours, Plan, Session, Task } from "../../api/client";
import { DayStrip } from "../../drawing/DayStrip";
import { arranged } from "../../session/arranging";
import { Sheet } from "../../ui/Sheet";
import { WrongMark } from "../../ui/Told";
import { isFree, nextMorning } from "../../words/moments";
import { taskName } from "../../words/tasks";
import { clockTime } from "../../words/time";

interface Props {
  plan: Plan;
  session: Session;
  startsAt: Date;
  onMove: (taskId: string, startSeconds: number) => void;
  onRelease: (taskId: string) => void;
  onEdit: (session: Session) => void;
}

/** A batch's work is one entry; everything else stands by itself. */
interface Entry {
  key: string;
  startSeconds: number;
  endSeconds: number;
  /** Of what falls in the night and need not be done then. */
  morning: Date | null;
  words: string;
  task: Task | null;
  wrong: boolean;
  optional: boolean;
}

interface Day {
  date: string;
  name: string;
  entries: Entry[];
}

const STEP = 1_800;

/** Each day of the session with what is to be done on it, and when somebody is there. */
export function Days({ plan, session, startsAt, onMove, onRelease, onEdit }: Props) {
  const [looks, setLooks] = useState(false);
  const days = daysOf(plan, session, startsAt, looks);
  const hidden = plan.tasks.filter(isLook).length;
  const hours = session.arrangement?.hours;
  if (days.length === 0) {
    return null;
  }
  const away = (date: string) =>
    hours?.otherwise?.some((d) => d.date === date && d.fromMinutes === undefined) ?? false;
  const setAway = (date: string) => {
    if (!hours) {
      return;
    }
    const others = (hours.otherwise ?? []).filter((d) => d.date !== date);
    const otherwise = away(date) ? others : [...others, { date }];
    onEdit(arranged(session, { hours: { ...hours, otherwise } }));
  };
  return (
    <Sheet
      title="Days"
      aside={
        <>
          {hours ? hoursText(hours) : "any hour, day or night"}
          {hidden > 0 && (
            <Button onClick={() => setLooks(!looks)} sx={{ minHeight: 32, py: 0 }}>
              {looks ? "Hide checks" : `${hidden} checks`}
            </Button>
          )}
        </>
      }
    >
      <DayStrip plan={plan} startsAt={startsAt} zoneId={session.zoneId} hours={hours} />
      <Box component="ul" aria-label="Days" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {days.map((day) => (
          <Box
            component="li"
            key={day.date}
            sx={{
              display: "flex",
              flexWrap: "wrap",
              columnGap: 2,
              py: 0.5,
              borderTop: 1,
              borderColor: "divider",
            }}
          >
            <Box sx={{ width: 156, flexShrink: 0 }}>
              <b>{day.name}</b>
              {hours && (
                <Button
                  size="small"
                  sx={{ display: "block", p: 0, minHeight: 28 }}
                  aria-pressed={away(day.date)}
                  onClick={() => setAway(day.date)}
                >
                  {away(day.date) ? "Away all day" : "Not at home?"}
                </Button>
              )}
            </Box>
            <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, flex: "1 1 300px" }}>
              {day.entries.map((entry) => (
                <Box
                  component="li"
                  key={entry.key}
                  sx={{
                    display: "flex",
                    flexWrap: "wrap",
                    alignItems: "center",
                    gap: 0.75,
                    minHeight: 32,
                    color: entry.wrong
                      ? "error.main"
                      : entry.optional
                        ? "text.secondary"
                        : undefined,
                  }}
                >
                  <Box component="span" sx={{ fontVariantNumeric: "tabular-nums", minWidth: 48 }}>
                    {entry.morning
                      ? "morning"
                      : clockTime(startsAt, entry.startSeconds, session.zoneId)}
                  </Box>
                  {entry.wrong && <WrongMark />}
                  <span>
                    {entry.words}
                    {entry.optional && ", if there is time"}
                  </span>
                  {entry.task && (
                    <Movers entry={entry} task={entry.task} onMove={onMove} onRelease={onRelease} />
                  )}
                </Box>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Sheet>
  );
}

function Movers({
  entry,
  task,
  onMove,
  onRelease,
}: {
  entry: Entry;
  task: Task;
  onMove: Props["onMove"];
  onRelease: Props["onRelease"];
}) {
  const small = { minHeight: 28, minWidth: 0, px: 0.75, py: 0 } as const;
  return (
    <Box component="span" sx={{ ml: "auto", display: "flex" }}>
      <Button
        size="small"
        sx={small}
        aria-label={`− ½ h: ${entry.words}, half an hour earlier`}
        onClick={() => onMove(task.id, task.startSeconds - STEP)}
      >
        − ½ h
      </Button>
      <Button
        size="small"
        sx={small}
        aria-label={`+ ½ h: ${entry.words}, half an hour later`}
        onClick={() => onMove(task.id, task.startSeconds + STEP)}
      >
        + ½ h
      </Button>
      {task.pinned && (
        <Button size="small" sx={small} onClick={() => onRelease(task.id)}>
          let the plan place it
        </Button>
      )}
    </Box>
  );
}

function isLook(task: Task): boolean {
  return task.phase === "WATCH";
}

/** What belongs to a batch's own work, told together. */
function withBatch(task: Task): boolean {
  return (
    task.phase === "MIX" ||
    task.phase === "POUR" ||
    task.kind === "LEFTOVERS" ||
    task.kind === "CLEAN_UP"
  );
}

function daysOf(plan: Plan, session: Session, startsAt: Date, looks: boolean): Day[] {
  const moment = (seconds: number) => new Date(startsAt.getTime() + seconds * 1000);
  const wrong = (task: Task) =>
    plan.findings.some(
      (f) =>
        f.severity === "BREACH" &&
        (f.place === ofTask(task.id) || f.place === ofPour(task.pourId ?? "")),
    );
  const entries: Entry[] = plan.batches.map((batch) => {
    const its = plan.tasks.filter((t) => t.batch === batch.number && withBatch(t));
    const colours = [...new Set(batch.cups.map((c) => c.colour.name))].join(", ");
    return {
      key: `batch ${batch.number}`,
      startSeconds: batch.times.startSeconds,
      endSeconds: batch.times.endSeconds,
      morning: null,
      words: `batch ${batch.number}: mix, split and pour ${colours}, until ${clockTime(startsAt, batch.times.endSeconds, session.zoneId)}`,
      task: null,
      wrong: its.some(wrong),
      optional: false,
    };
  });
  for (const task of plan.tasks) {
    const own = !withBatch(task) && (looks || !isLook(task));
    if (own) {
      const until =
        task.kind === "IN_POT" || task.kind === "IN_BOX"
          ? `, until ${clockTime(startsAt, task.endSeconds, session.zoneId)}`
          : "";
      entries.push({
        key: task.id,
        startSeconds: task.startSeconds,
        endSeconds: task.endSeconds,
        morning: isFree(task.kind) ? nextMorning(moment(task.startSeconds), session.zoneId) : null,
        words: `${taskName(task, plan, session)}${until}`,
        task: task.hands ? task : null,
        wrong: wrong(task),
        optional: task.optional,
      });
    }
  }
  const shown = (entry: Entry) => (entry.morning ?? moment(entry.startSeconds)).getTime();
  entries.sort((a, b) => shown(a) - shown(b));
  const date = new Intl.DateTimeFormat("en-CA", { timeZone: session.zoneId });
  const name = new Intl.DateTimeFormat("en-GB", {
    weekday: "long",
    day: "numeric",
    month: "short",
    timeZone: session.zoneId,
  });
  const days = new Map<string, Day>();
  for (const entry of entries) {
    const at = shown(entry);
    const key = date.format(at);
    const day = days.get(key) ?? { date: key, name: name.format(at), entries: [] };
    day.entries.push(entry);
    days.set(key, day);
  }
  return [...days.values()];
}

export function clock(minutes: number): string {
  return `${String(Math.floor(minutes / 60)).padStart(2, "0")}:${String(minutes % 60).padStart(2, "0")}`;
}

export function hoursText(hours: Hours): string {
  return `there from ${clock(hours.fromMinutes)} to ${clock(hours.toMinutes)}`;
}
