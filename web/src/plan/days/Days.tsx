import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Hours, Plan, Session, Task } from "../../api/client";
import { DayStrip } from "../../drawing/DayStrip";
import { arranged } from "../../session/arranging";
import { Sheet } from "../../ui/Sheet";
import { WrongMark } from "../../ui/Told";
import { clockOnly } from "../../words/time";
import { daysOf, type Entry, isLook } from "./entries";

interface Props {
  plan: Plan;
  session: Session;
  startsAt: Date;
  onMove: (taskId: string, startSeconds: number) => void;
  onRelease: (taskId: string) => void;
  onEdit: (session: Session) => void;
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
                <Line key={entry.key} entry={entry} {...{ startsAt, session, onMove, onRelease }} />
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Sheet>
  );
}

function Line({
  entry,
  startsAt,
  session,
  ...keys
}: Pick<Props, "startsAt" | "session" | "onMove" | "onRelease"> & { entry: Entry }) {
  const [open, setOpen] = useState(false);
  return (
    <Box component="li">
      <Box
        sx={{
          display: "flex",
          flexWrap: "wrap",
          alignItems: "center",
          gap: 0.75,
          minHeight: 32,
          color: entry.wrong ? "error.main" : entry.optional ? "text.secondary" : undefined,
        }}
      >
        {!entry.untimed && (
          <Box component="span" sx={{ fontVariantNumeric: "tabular-nums", minWidth: 48 }}>
            {entry.morning ? "morning" : clockOnly(startsAt, entry.startSeconds, session.zoneId)}
          </Box>
        )}
        {entry.wrong && <WrongMark />}
        <span>
          {entry.words}
          {entry.optional && ", if there is time"}
        </span>
        {entry.task && <Movers entry={entry} task={entry.task} {...keys} />}
        {entry.parts.length > 0 && !entry.untimed && (
          <Button
            size="small"
            sx={{ ml: "auto", minHeight: 28, py: 0 }}
            aria-expanded={open}
            aria-label={`One by one: ${entry.words}`}
            onClick={() => setOpen(!open)}
          >
            {open ? "Together" : "One by one"}
          </Button>
        )}
      </Box>
      {open && (
        <Box component="ul" sx={{ listStyle: "none", m: 0, pl: 3 }}>
          {entry.parts.map((part) => (
            <Line key={part.key} entry={part} {...{ startsAt, session }} {...keys} />
          ))}
        </Box>
      )}
    </Box>
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

export function clock(minutes: number): string {
  return `${String(Math.floor(minutes / 60)).padStart(2, "0")}:${String(minutes % 60).padStart(2, "0")}`;
}

export function hoursText(hours: Hours): string {
  const own = (hours.weekly ?? []).length > 0 ? ", some days otherwise" : "";
  return `there from ${clock(hours.fromMinutes)} to ${clock(hours.toMinutes)}${own}`;
}
