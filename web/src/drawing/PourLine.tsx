import { ofTask } from "../session/place";
import { useTheme } from "@mui/material/styles";
import { useId } from "react";
import type { Batch, Plan } from "../api/client";
import { cupName } from "../words/places";
import { TASK_WORDS } from "../words/tasks";
import { clockTime } from "../words/time";
import { Late, Mark, markName, Sure, Thread } from "./PourMarks";
import { AXIS, BAR, type Lane, layOut, type PourLineLayout } from "./pourLineLayout";
import { useWidth } from "./useWidth";

interface Props {
  plan: Plan;
  batches: Batch[];
  startsAt: Date;
  zoneId: string;
  late: Set<string>;
  /** Moves a task by hand: to begin so many seconds after the first step. */
  onMove?: (taskId: string, startSeconds: number) => void;
  onRelease?: (taskId: string) => void;
}

/**
 * Time across, a lane a cup: pourable, thick, gel. One thread runs over the lanes, the one pair of
 * hands: squares for the mixing cup, rings for tinting, drops for pours.
 */
export function PourLine({ plan, batches, startsAt, zoneId, late, onMove, onRelease }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const names = width < 520 ? 74 : 112;
  return (
    <div ref={ref} style={{ width: "100%" }}>
      {width > 0 && (
        <Drawing
          layout={layOut(plan, batches, startsAt, names, width - 22)}
          names={names}
          width={width}
          startsAt={startsAt}
          zoneId={zoneId}
          late={late}
          plan={plan}
          {...(onMove ? { onMove } : {})}
          {...(onRelease ? { onRelease } : {})}
        />
      )}
    </div>
  );
}

interface DrawingProps {
  layout: PourLineLayout;
  names: number;
  width: number;
  startsAt: Date;
  zoneId: string;
  late: Set<string>;
  plan: Plan;
  onMove?: (taskId: string, startSeconds: number) => void;
  onRelease?: (taskId: string) => void;
}

function Drawing(props: DrawingProps) {
  const { layout, names, width, startsAt, zoneId, late, plan } = props;
  const { vars } = useTheme();
  const palette = (vars ?? {}).palette;
  const ink = palette?.ink;
  const dots = useId();
  const hatch = useId();
  const { x, lanes, toSeconds } = layout;
  const pairs = [...new Set(layout.tasks.filter((t) => t.hands).map((t) => t.pair))].sort();
  const at = (seconds: number) => clockTime(startsAt, seconds, zoneId);
  return (
    <svg
      width={width}
      height={layout.height}
      role="group"
      aria-label={`Pour line: the cups over time, with the work of ${pairs.length > 1 ? "two pairs" : "one pair"} of hands`}
      style={{ display: "block" }}
    >
      <defs>
        <pattern id={dots} width="7" height="7" patternUnits="userSpaceOnUse">
          <circle cx="2" cy="2" r="1.3" fill={ink?.line} opacity="0.55" />
          <circle cx="5.5" cy="5.5" r="1.3" fill={ink?.line} opacity="0.55" />
        </pattern>
        <pattern
          id={hatch}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="1" y1="0" x2="1" y2="7" stroke={ink?.line} strokeWidth="1.6" opacity="0.6" />
        </pattern>
      </defs>
      {layout.ticks.map((tick) => (
        <g key={tick}>
          <line
            x1={x(tick)}
            x2={x(tick)}
            y1={8}
            y2={layout.height - AXIS}
            stroke={ink?.rule}
            strokeWidth={1.5}
          />
          <text
            x={x(tick)}
            y={layout.height - 6}
            textAnchor="middle"
            fontSize={13}
            fill={ink?.soft}
          >
            {at(tick)}
          </text>
        </g>
      ))}
      {lanes.map((lane) => (
        <LaneBars
          key={lane.kind === "cup" ? lane.cup.id : `batch-${lane.batch.number}`}
          lane={lane}
          layout={layout}
          names={names}
          end={toSeconds}
          dots={dots}
          hatch={hatch}
          many={lanes.filter((l) => l.kind === "mixing").length > 1}
        />
      ))}
      {pairs.map((pair) => (
        <Thread
          key={pair}
          layout={layout}
          pair={pair}
          sheet={palette?.background.paper}
          line={ink?.line}
        />
      ))}
      {lanes.map((lane) => (
        <Sure
          key={lane.kind === "cup" ? lane.cup.id : `batch-${lane.batch.number}`}
          lane={lane}
          layout={layout}
          plan={plan}
        />
      ))}
      {lanes.map((lane) => (
        <Late
          key={lane.kind === "cup" ? lane.cup.id : `batch-${lane.batch.number}`}
          lane={lane}
          layout={layout}
          late={late}
        />
      ))}
      {layout.tasks.map((task, i) => (
        <Mark
          key={task.id}
          task={task}
          name={markName(task, plan)}
          wrongAt={plan.findings.some(
            (f) => f.severity === "BREACH" && f.place === ofTask(task.id),
          )}
          onMove={(start) => props.onMove?.(task.id, start)}
          onRelease={() => props.onRelease?.(task.id)}
          still={!props.onMove}
          layout={layout}
          late={task.pourId !== undefined && late.has(task.pourId)}
          words={`${at(task.startSeconds)}–${at(task.endSeconds)}`}
          line={ink?.line}
          sheet={palette?.background.paper}
          wrong={palette?.error.main}
          labelled={label(layout, i)}
          soft={ink?.soft}
        />
      ))}
    </svg>
  );
}

/** Half a letter of a label as it is drawn, and what stays free between two of them, px. */
const HALF_LETTER = 3.4;
const BETWEEN = 8;

/** The first of each kind of work at a mixing cup is named, where there is room for the word. */
export function label(layout: PourLineLayout, index: number): string | undefined {
  const named: { word: string; batch: number; x: number }[] = [];
  for (const task of layout.tasks.slice(0, index + 1)) {
    if (task.kind === "TINT" || task.kind === "POUR") {
      continue;
    }
    const word = TASK_WORDS[task.kind];
    const x = layout.x(task.startSeconds);
    const taken = named.some(
      (n) =>
        n.batch === task.batch &&
        (n.word === word || x - n.x < (n.word.length + word.length) * HALF_LETTER + BETWEEN),
    );
    if (!taken) {
      named.push({ word, batch: task.batch, x });
    }
    if (task === layout.tasks[index]) {
      return taken ? undefined : word;
    }
  }
  return undefined;
}

interface LaneProps {
  lane: Lane;
  layout: PourLineLayout;
  names: number;
  end: number;
  dots: string;
  hatch: string;
  many: boolean;
}

function LaneBars({ lane, layout, names, end, dots, hatch, many }: LaneProps) {
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const { x } = layout;
  const lone = lane.kind === "mixing" && !lane.batch.split ? lane.batch.cups[0] : undefined;
  const cup = lane.kind === "cup" ? lane.cup : lone;
  const name =
    lane.kind === "cup"
      ? cupName(lane.batch.cups, lane.cup)
      : (lone?.colour.name ??
        (names < 100 ? "mixing" : many ? `mixing ${lane.batch.number}` : "mixing cup"));
  const top = lane.y - BAR / 2;
  const span = (from: number, to: number) => ({
    x: x(Math.min(from, end)),
    width: Math.max(0, x(Math.min(to, end)) - x(Math.min(from, end))),
    y: top,
    height: BAR,
  });
  return (
    <g>
      <text x={0} y={lane.y + 5} fontSize={14} fill={ink?.line}>
        {name.length > names / 8 ? `${name.slice(0, Math.floor(names / 8) - 1)}…` : name}
      </text>
      {lane.kind === "mixing" && lane.batch.split && (
        <rect
          {...span(
            lane.batch.times.contactSeconds,
            lane.batch.cups.at(-1)?.times.filledSeconds ?? 0,
          )}
          rx={BAR / 2}
          fill={ink?.rubber}
        />
      )}
      {cup && (
        <>
          <rect
            {...span(
              lane.kind === "cup" ? cup.times.filledSeconds : lane.batch.times.contactSeconds,
              cup.times.thickensSeconds,
            )}
            rx={2}
            fill={cup.colour.swatch}
          />
          <rect {...span(cup.times.thickensSeconds, end)} fill={cup.colour.swatch} opacity={0.45} />
          <rect
            {...span(cup.times.thickensSeconds, cup.times.gelsSeconds)}
            fill={`url(#${dots})`}
          />
          <rect {...span(cup.times.gelsSeconds, end)} fill={`url(#${hatch})`} />
          {cup.times.latestPourEndSeconds <= end && (
            <line
              x1={x(cup.times.latestPourEndSeconds)}
              x2={x(cup.times.latestPourEndSeconds)}
              y1={top - 5}
              y2={top + BAR + 5}
              stroke={ink?.line}
              strokeWidth={1.5}
              strokeDasharray="2 3"
            >
              <title>the last good moment to pour</title>
            </line>
          )}
          {cup.times.thickensSeconds <= end && (
            <line
              x1={x(cup.times.thickensSeconds)}
              x2={x(cup.times.thickensSeconds)}
              y1={top - 5}
              y2={top + BAR + 5}
              stroke={ink?.line}
              strokeWidth={2.5}
            />
          )}
        </>
      )}
    </g>
  );
}
