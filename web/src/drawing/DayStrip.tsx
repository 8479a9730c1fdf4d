import { WEEKDAYS } from "../session/newSession";
import { useTheme } from "@mui/material/styles";
import type { Hours, Plan, Task } from "../api/client";
import { useWidth } from "./useWidth";
import { dateFormat, dayOf } from "../words/dates";

const ROW = 26;
const NAMES = 92;
const DAY = 24 * 60;

/** More days than that are no shape any more. */
const MOST_DAYS = 7;

interface Block {
  from: number;
  to: number;
  /** Hands are busy, or something stands shut by itself. */
  hands: boolean;
  words: string;
}

/** Each day as a strip of 24 hours: when somebody is there, and when what is done. */
export function DayStrip({
  plan,
  startsAt,
  zoneId,
  hours,
}: {
  plan: Plan;
  startsAt: Date;
  zoneId: string;
  hours: Hours | undefined;
}) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { vars } = useTheme();
  const palette = (vars ?? {}).palette;
  const ink = palette?.ink;
  const days = shapeOf(plan.tasks, startsAt, zoneId).slice(0, MOST_DAYS);
  const x = (minute: number) => NAMES + ((width - NAMES - 4) * minute) / DAY;
  const height = days.length * ROW + 20;
  return (
    <div ref={ref} style={{ width: "100%" }}>
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label="The shape of the days">
          {[0, 6, 12, 18, 24].map((hour) => (
            <g key={hour}>
              <line
                x1={x(hour * 60)}
                x2={x(hour * 60)}
                y1={0}
                y2={height - 18}
                stroke={ink?.rule}
              />
              <text
                x={x(hour * 60)}
                y={height - 4}
                textAnchor={hour === 24 ? "end" : "middle"}
                fontSize={12}
                fill={ink?.soft}
              >
                {hour}
              </text>
            </g>
          ))}
          {days.map((day, i) => {
            const y = i * ROW + 3;
            const there = thereOn(hours, day.date);
            return (
              <g key={day.date}>
                <text x={0} y={y + 14} fontSize={13} fill={ink?.line}>
                  {day.name}
                </text>
                {there && (
                  <rect
                    x={x(there.from)}
                    width={x(there.to) - x(there.from)}
                    y={y}
                    height={ROW - 8}
                    rx={3}
                    fill={ink?.rubber}
                  />
                )}
                {day.blocks.map((block, b) => (
                  <rect
                    key={b}
                    x={x(block.from)}
                    width={Math.max(2.5, x(block.to) - x(block.from))}
                    y={block.hands ? y + 2 : y + ROW / 2 - 6}
                    height={block.hands ? ROW - 12 : 4}
                    rx={1.5}
                    fill={block.hands ? palette?.primary.main : ink?.soft}
                  >
                    <title>{block.words}</title>
                  </rect>
                ))}
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}

function thereOn(hours: Hours | undefined, date: string): { from: number; to: number } | null {
  if (!hours) {
    return null;
  }
  const other = hours.otherwise?.find((d) => d.date === date);
  if (other) {
    return other.fromMinutes === undefined || other.toMinutes === undefined
      ? null
      : { from: other.fromMinutes, to: other.toMinutes };
  }
  const day = WEEKDAYS[new Date(`${date}T12:00:00Z`).getUTCDay()];
  const own = hours.weekly?.find((d) => d.day === day);
  const { fromMinutes, toMinutes } = own ?? hours;
  return fromMinutes === undefined || toMinutes === undefined
    ? null
    : { from: fromMinutes, to: toMinutes };
}

/** Work close together is one block; by day, in the workshop's own wall clock. */
function shapeOf(
  tasks: Task[],
  startsAt: Date,
  zoneId: string,
): { date: string; name: string; blocks: Block[] }[] {
  const name = dateFormat({ weekday: "short", day: "numeric", month: "short" }, zoneId);
  const clock = dateFormat({ hour: "2-digit", minute: "2-digit" }, zoneId);
  const days = new Map<string, { date: string; name: string; blocks: Block[] }>();
  for (const task of [...tasks].sort((a, b) => a.startSeconds - b.startSeconds)) {
    const shut = task.kind === "IN_POT" || task.kind === "IN_BOX";
    if (task.endSeconds === task.startSeconds || task.optional || (!task.hands && !shut)) {
      continue;
    }
    const start = new Date(startsAt.getTime() + task.startSeconds * 1000);
    const key = dayOf(start, zoneId);
    const day = days.get(key) ?? { date: key, name: name.format(start), blocks: [] };
    const [h = "0", m = "0"] = clock.format(start).split(":");
    const from = Number(h) * 60 + Number(m);
    const to = Math.min(DAY, from + (task.endSeconds - task.startSeconds) / 60);
    const last = day.blocks.at(-1);
    if (last && last.hands && task.hands && from - last.to < 10) {
      last.to = Math.max(last.to, to);
    } else {
      day.blocks.push({
        from,
        to,
        hands: task.hands,
        words: shut ? "shut in pot or box" : `work from ${clock.format(start)}`,
      });
    }
    days.set(key, day);
  }
  return [...days.values()];
}
