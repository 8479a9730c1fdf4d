import { useTheme } from "@mui/material/styles";
import { useId } from "react";
import type { Batch, Plan, Task } from "../api/client";
import { TASK_WORDS, taskName } from "../plan/taskWording";
import { cavityName, clockTime, cupName } from "../plan/wording";
import { useTaskDrag } from "./dragTask";
import { AXIS, layOut, type Lane, type PourLineLayout } from "./pourLineLayout";
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

const BAR = 16;

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
            (f) => f.severity === "BREACH" && f.place === `task/${task.id}`,
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

/** A lozenge: something is put in. */
const EMBEDDING = new Set<Task["kind"]>(["LAY_EMBEDS", "EMBED"]);

/** An eye: somebody looks and nudges. */
const LOOKING = new Set<Task["kind"]>(["LOOK", "NUDGE"]);

const LABEL_PX = 40;

/** The first of each kind of work at a mixing cup is named, where there is room for the word. */
function label(layout: PourLineLayout, index: number): string | undefined {
  const named: { word: string; batch: number; x: number }[] = [];
  for (const task of layout.tasks.slice(0, index + 1)) {
    if (task.kind === "TINT" || task.kind === "POUR") {
      continue;
    }
    const word = TASK_WORDS[task.kind];
    const x = layout.x(task.startSeconds);
    const taken = named.some(
      (n) => n.batch === task.batch && (n.word === word || x - n.x < LABEL_PX),
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
      : (lone?.colourName ??
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
          {...span(lane.batch.contactSeconds, lane.batch.cups.at(-1)?.filledSeconds ?? 0)}
          rx={BAR / 2}
          fill={ink?.rubber}
        />
      )}
      {cup && (
        <>
          <rect
            {...span(
              lane.kind === "cup" ? cup.filledSeconds : lane.batch.contactSeconds,
              cup.thickensSeconds,
            )}
            rx={2}
            fill={cup.swatch}
          />
          <rect {...span(cup.thickensSeconds, end)} fill={cup.swatch} opacity={0.45} />
          <rect {...span(cup.thickensSeconds, cup.gelsSeconds)} fill={`url(#${dots})`} />
          <rect {...span(cup.gelsSeconds, end)} fill={`url(#${hatch})`} />
          {cup.latestPourEndSeconds <= end && (
            <line
              x1={x(cup.latestPourEndSeconds)}
              x2={x(cup.latestPourEndSeconds)}
              y1={top - 5}
              y2={top + BAR + 5}
              stroke={ink?.line}
              strokeWidth={1.5}
              strokeDasharray="2 3"
            >
              <title>the last good moment to pour</title>
            </line>
          )}
          {cup.thickensSeconds <= end && (
            <line
              x1={x(cup.thickensSeconds)}
              x2={x(cup.thickensSeconds)}
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

/** From here on a cup is as good as sure, %. */
const SURE = 99.5;

/** How likely a cup's pours make it, where that is not as good as sure, and which is the weakest. */
function Sure({ lane, layout, plan }: { lane: Lane; layout: PourLineLayout; plan: Plan }) {
  const { vars } = useTheme();
  const palette = (vars ?? {}).palette;
  const ink = palette?.ink;
  const cup = lane.kind === "cup" ? lane.cup : lane.batch.split ? undefined : lane.batch.cups[0];
  const chance = plan.chance?.cups.find((c) => c.cupId === cup?.id);
  if (!cup || !chance || chance.percent >= SURE) {
    return null;
  }
  const weakest = cup.pours.find((p) => p.id === plan.chance?.weakest?.pourId);
  const end = layout.x(layout.toSeconds);
  const middle = weakest && layout.x((weakest.startSeconds + weakest.endSeconds) / 2);
  return (
    <g>
      {middle !== undefined && (
        <circle
          cx={middle}
          cy={lane.y}
          r={12}
          fill="none"
          stroke={palette?.error.main}
          strokeWidth={2}
          strokeDasharray="4 2"
        >
          <title>the pour that is most likely to come too late</title>
        </circle>
      )}
      <rect x={end - 52} width={52} y={lane.y - 10} height={20} rx={4} fill={ink?.sheet} />
      <text x={end - 47} y={lane.y + 5} fontSize={13.5} fill={ink?.line}>
        {Math.floor(chance.percent)} %
        <title>{`makes it on ${Math.floor(chance.percent)} of 100 days`}</title>
      </text>
    </g>
  );
}

/** A word and a mark where the first pour of a cup comes too late; the crosses show the rest. */
function Late({ lane, layout, late }: { lane: Lane; layout: PourLineLayout; late: Set<string> }) {
  const { vars } = useTheme();
  const palette = (vars ?? {}).palette;
  const wrong = palette?.error.main;
  const sheet = palette?.background.paper;
  const cups = lane.kind === "cup" ? [lane.cup] : lane.batch.split ? [] : lane.batch.cups;
  const pours = cups.flatMap((c) => c.pours).filter((p) => late.has(p.id));
  const cup = cups[0];
  if (pours.length === 0 || !cup) {
    return null;
  }
  const from = layout.x(Math.min(...pours.map((p) => p.startSeconds)));
  const end = layout.x(layout.toSeconds);
  const to = layout.x(Math.max(...pours.map((p) => p.endSeconds)));
  return (
    <g>
      <rect
        x={from}
        width={to - from}
        y={lane.y - BAR / 2 - 4}
        height={BAR + 8}
        rx={3}
        fill="none"
        stroke={wrong}
        strokeWidth={2.5}
      />
      <rect x={end - 84} width={84} y={lane.y - 10} height={20} rx={4} fill={sheet} />
      <text x={end - 78} y={lane.y + 5} fontSize={14} fontWeight={700} fill={wrong}>
        {pours.length === 1 ? "1 too late" : `${pours.length} too late`}
      </text>
    </g>
  );
}

/** The line of a pair of hands: level along a lane, a soft swing from lane to lane; a helper's is broken. */
function Thread({
  layout,
  pair,
  sheet,
  line,
}: {
  layout: PourLineLayout;
  pair: number;
  sheet: string | undefined;
  line: string | undefined;
}) {
  let path = "";
  let before: { x: number; y: number } | null = null;
  for (const task of layout.tasks) {
    const lane = layout.laneOf(task);
    if (!lane || !task.hands || task.pair !== pair) {
      continue;
    }
    const from = { x: layout.x(task.startSeconds), y: lane.y };
    const to = { x: layout.x(task.endSeconds), y: lane.y };
    if (!before) {
      path += `M${from.x} ${from.y}`;
    } else if (before.y === from.y) {
      path += `L${from.x} ${from.y}`;
    } else {
      // The hand is at the next cup when its task begins, so the swing lies within the task.
      const end = { x: Math.min(to.x, from.x + 12), y: from.y };
      const middle = (before.x + end.x) / 2;
      path += `C${middle} ${before.y} ${middle} ${end.y} ${end.x} ${end.y}`;
    }
    path += `L${to.x} ${to.y}`;
    before = to;
  }
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={path} stroke={sheet} strokeWidth={5} />
      <path
        d={path}
        stroke={line}
        strokeWidth={2.2}
        strokeDasharray={pair === 0 ? undefined : "7 4"}
      />
    </g>
  );
}

/** What a mark is, for those who do not see it. */
function markName(task: Task, plan: Plan): string {
  if (task.kind !== "POUR") {
    return taskName(task, plan);
  }
  const pour = plan.batches
    .flatMap((b) => b.cups)
    .flatMap((c) => c.pours.map((p) => ({ cup: c, pour: p })))
    .find((p) => p.pour.id === task.pourId);
  return pour
    ? `pour ${pour.cup.colourName} into ${cavityName(plan, pour.pour.line, pour.pour.cavity)}`
    : "pour";
}

interface MarkProps {
  name: string;
  wrongAt: boolean;
  onMove: (startSeconds: number) => void;
  onRelease: () => void;
  /** It is only shown, and cannot be moved. */
  still: boolean;
  task: Task;
  layout: PourLineLayout;
  late: boolean;
  words: string;
  labelled: string | undefined;
  line: string | undefined;
  soft: string | undefined;
  sheet: string | undefined;
  wrong: string | undefined;
}

function Mark(props: MarkProps) {
  const { task, layout, late, words, labelled, line, soft, sheet, wrong } = props;
  const drag = useTaskDrag(
    task.startSeconds,
    (layout.toSeconds - layout.fromSeconds) /
      (layout.x(layout.toSeconds) - layout.x(layout.fromSeconds)),
    props.onMove,
    props.onRelease,
  );
  const lane = layout.laneOf(task);
  if (!lane) {
    return null;
  }
  const x0 = layout.x(task.startSeconds);
  const x1 = layout.x(task.endSeconds);
  const y = lane.y;
  const middle = (x0 + x1) / 2;
  const label = labelled && (
    <text x={x0} y={y - 15} textAnchor="middle" fontSize={12.5} fill={soft}>
      {labelled}
    </text>
  );
  const by = task.pinned ? ", moved by hand" : "";
  const title = (
    <title>
      {`${props.name}, ${words}${by}.${props.still ? "" : " Drag it, or move it with the arrow keys."}`}
    </title>
  );
  const ink = props.wrongAt ? wrong : line;
  const handle = props.still
    ? ({ role: "img", "aria-label": `${props.name}, ${words}` } as const)
    : ({
        ...drag,
        tabIndex: 0,
        role: "button",
        "aria-label": `${props.name}, ${words}${by}`,
        style: { cursor: "ew-resize", touchAction: "none" },
      } as const);
  // A pin through what was moved by hand.
  const pin = task.pinned && (
    <path d={`M${x0} ${y - 9}v-8m-3 0h6`} stroke={ink} strokeWidth={2} fill="none" />
  );
  if (task.kind === "POUR") {
    return (
      <g {...handle}>
        {title}
        {pin}
        <path
          d={`M${middle} ${y - 8}C${middle + 2.5} ${y - 3} ${middle + 4.6} ${y} ${middle + 4.6} ${y + 3}A4.6 4.6 0 1 1 ${middle - 4.6} ${y + 3}C${middle - 4.6} ${y} ${middle - 2.5} ${y - 3} ${middle} ${y - 8}Z`}
          fill={late || props.wrongAt ? wrong : line}
          stroke={sheet}
          strokeWidth={1}
        />
        {late && (
          <path
            d={`M${middle - 2.4} ${y + 0.6}l4.8 4.8m0 -4.8l-4.8 4.8`}
            stroke={sheet}
            strokeWidth={1.6}
          />
        )}
      </g>
    );
  }
  if (task.kind === "TINT") {
    return (
      <g {...handle}>
        {title}
        {pin}
        <circle
          cx={Math.min(middle, x0 + 14)}
          cy={y}
          r={6}
          fill={sheet}
          stroke={line}
          strokeWidth={2.2}
        />
      </g>
    );
  }
  return (
    <g {...handle}>
      {title}
      {label}
      {pin}
      {EMBEDDING.has(task.kind) ? (
        <path d={`M${x0} ${y - 7}l6 7l-6 7l-6 -7Z`} fill={sheet} stroke={ink} strokeWidth={2.2} />
      ) : LOOKING.has(task.kind) ? (
        <path
          d={`M${x0 - 7} ${y}q7 -8 14 0q-7 8 -14 0Z`}
          fill={sheet}
          stroke={ink}
          strokeWidth={2}
          strokeDasharray={task.optional ? "2 2" : undefined}
        />
      ) : (
        <rect x={x0 - 5} y={y - 5} width={10} height={10} rx={1.5} fill={ink} stroke={sheet} />
      )}
    </g>
  );
}
