import { useTheme } from "@mui/material/styles";
import type { Plan, Task } from "../api/client";
import { cavityName } from "../words/places";
import { taskName } from "../words/tasks";
import { useTaskDrag } from "./dragTask";
import { BAR, type Lane, type PourLineLayout } from "./pourLineLayout";

/** From here on a cup is as good as sure, %. */
const SURE = 99.5;

/** How likely a cup's pours make it, where that is not as good as sure, and which is the weakest. */
export function Sure({ lane, layout, plan }: { lane: Lane; layout: PourLineLayout; plan: Plan }) {
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
        <title>{`${Math.min(99, Math.floor(chance.percent))} % sure`}</title>
      </text>
    </g>
  );
}

/** A word and a mark where the first pour of a cup comes too late; the crosses show the rest. */
export function Late({
  lane,
  layout,
  late,
}: {
  lane: Lane;
  layout: PourLineLayout;
  late: Set<string>;
}) {
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
export function Thread({
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
export function markName(task: Task, plan: Plan): string {
  if (task.kind !== "POUR") {
    return taskName(task, plan);
  }
  const pour = plan.batches
    .flatMap((b) => b.cups)
    .flatMap((c) => c.pours.map((p) => ({ cup: c, pour: p })))
    .find((p) => p.pour.id === task.pourId);
  return pour
    ? `pour ${pour.cup.colour.name} into ${cavityName(plan, pour.pour.line, pour.pour.cavity)}`
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

export function Mark(props: MarkProps) {
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
      {task.phase === "EMBED" ? (
        <path d={`M${x0} ${y - 7}l6 7l-6 7l-6 -7Z`} fill={sheet} stroke={ink} strokeWidth={2.2} />
      ) : task.phase === "WATCH" ? (
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
