import { useTheme } from "@mui/material/styles";
import { type KeyboardEvent, type PointerEvent, useId, useRef } from "react";
import type { LayerView, PieceView } from "../api/client";
import { rimOf, sectionPaths, surfaceMm } from "./sectionPath";

interface Props {
  view: PieceView;
  joins: ("TOGETHER" | "THICK" | "GEL" | "CURED")[];
  asFinished: boolean;
  selected: number | null;
  onSelect: (layer: number) => void;
  /** Drags the top of a layer to so many mm above the floor; null where it fills what is left. */
  onLevel: (layer: number, toMm: number) => void;
  /** Layers whose top follows from the rest. */
  fixed: boolean[];
}

const TALLEST = 210;
const WIDEST = 320;
const WALL = 16;
const FLOOR = 12;
const COAT_PX = 7;
const DOME_PX = 4;
const SIDE = 96;

/** A design drawn on the mould: layers to scale, their joins, what is in them, front and base. */
export function DesignSection(props: Props) {
  const { view, asFinished } = props;
  const { vars } = useTheme();
  const palette = (vars ?? {}).palette;
  const ink = palette?.ink;
  const clip = useId();
  const svg = useRef<SVGSVGElement>(null);
  const pxPerMm = Math.min(TALLEST / view.depthMm, WIDEST / view.widthMm, 9);
  const paths = sectionPaths(view.section, pxPerMm);
  const surface = surfaceMm(view, asFinished);
  // Drawn higher than it is where it would not be seen.
  const dome = surface > view.depthMm ? Math.max(DOME_PX, (surface - view.depthMm) * pxPerMm) : 0;
  const top = 14 + (view.coat ? COAT_PX : 0) + dome;
  const width = paths.widthPx + 2 * WALL + SIDE;
  const height = top + paths.depthPx + FLOOR + 26;
  const rim = rimOf(view.section, pxPerMm);
  const y = (mm: number) => top + (view.depthMm - mm) * pxPerMm;
  // With its face up: a front that lay on the floor of the mould is turned over.
  const turned = asFinished && view.front === "FLOOR";
  const bottom = top + paths.depthPx;
  const turn = turned ? `translate(0 ${top + bottom}) scale(1 -1)` : undefined;
  const where = (side: "FLOOR" | "OPEN") => ((side === "FLOOR") !== turned ? bottom : top);
  // Where the drawing lay when the handle was taken: a plan that comes meanwhile may push it down.
  const held = useRef<DOMRect | null>(null);
  const fromEvent = (event: PointerEvent) => {
    const box = held.current ?? svg.current?.getBoundingClientRect();
    const at = box ? ((event.clientY - box.top) / box.height) * height : 0;
    const upright = turned ? top + bottom - at : at;
    return view.depthMm - (upright - top) / pxPerMm;
  };
  return (
    <svg
      ref={svg}
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      aria-label={`${view.mouldName}, the design in section, ${asFinished ? "as finished" : "as poured"}`}
      style={{ maxWidth: "100%", height: "auto", touchAction: "none" }}
    >
      {!asFinished && (
        <rect
          y={top}
          width={paths.widthPx + 2 * WALL}
          height={paths.depthPx + FLOOR}
          rx={3}
          fill={ink?.rubber}
        />
      )}
      <g transform={turn}>
        <clipPath id={clip}>
          <path d={paths.inside} transform={`translate(${WALL} ${top})`} />
        </clipPath>
        <clipPath id={`${clip}-cured`}>
          <rect
            x={-WALL}
            y={(view.depthMm - surface) * pxPerMm}
            width={paths.widthPx + 2 * WALL}
            height={paths.depthPx + FLOOR}
          />
        </clipPath>
        {!asFinished && (
          <path d={paths.inside} transform={`translate(${WALL} ${top})`} fill={ink?.sheet} />
        )}
        {dome > 0 && (
          <path
            d={`M${WALL + rim.from} ${top}q${rim.width / 2} ${-2 * dome} ${rim.width} 0z`}
            fill={view.layers.at(-1)?.swatch}
            stroke={ink?.line}
          />
        )}
        <g clipPath={`url(#${clip})`}>
          {view.layers.map((layer, i) => (
            <LayerBand
              key={i}
              layer={layer}
              x={WALL}
              width={paths.widthPx}
              y={y(Math.min(surface, layer.toMm))}
              height={Math.max(1, y(layer.fromMm) - y(Math.min(surface, layer.toMm)))}
              chosen={props.selected === i}
              line={ink?.line}
              onSelect={() => props.onSelect(i)}
            />
          ))}
          {view.layers.slice(1).map((layer, i) => (
            <JoinLine
              key={i}
              join={props.joins[i + 1] ?? "TOGETHER"}
              y={y(layer.fromMm)}
              from={WALL}
              to={WALL + paths.widthPx}
              line={ink?.line}
            />
          ))}
          {paths.hole && (
            <path
              d={paths.hole}
              transform={`translate(${WALL} ${top})`}
              fill={ink?.rubber}
              stroke={ink?.line}
            />
          )}
          {view.layers.map((layer, i) => (
            <Embeds
              key={i}
              layer={layer}
              x={WALL + paths.widthPx / 2}
              pxPerMm={pxPerMm}
              y={y}
              line={ink?.line}
              sheet={palette?.background.paper}
            />
          ))}
        </g>
        {view.coat && (
          <rect
            x={WALL}
            y={y(view.coat.toMm) - COAT_PX - 1}
            width={paths.widthPx}
            height={COAT_PX}
            rx={3}
            fill={view.coat.swatch}
            stroke={ink?.line}
          />
        )}
        <path
          clipPath={asFinished && surface < view.depthMm ? `url(#${clip}-cured)` : undefined}
          d={asFinished && dome === 0 ? paths.inside : paths.walls}
          transform={`translate(${WALL} ${top})`}
          fill="none"
          stroke={ink?.line}
          strokeWidth={2}
          strokeLinejoin="round"
          strokeDasharray={view.depthAssumed && !asFinished ? "5 4" : undefined}
        />
      </g>
      {view.layers.map((layer, i) => (
        <Grip
          key={i}
          y={turned ? top + bottom - y(layer.toMm) : y(layer.toMm)}
          x={paths.widthPx + 2 * WALL}
          layer={layer}
          index={i}
          fixed={props.fixed[i] ?? true}
          depthMm={view.depthMm}
          colour={palette?.primary.main}
          soft={ink?.soft}
          sheet={palette?.background.paper}
          toMm={fromEvent}
          onHold={() => (held.current = svg.current?.getBoundingClientRect() ?? null)}
          onLevel={(mm) => props.onLevel(i, mm)}
        />
      ))}
      <text
        x={WALL + paths.widthPx / 2}
        y={where(view.front) === top ? top - (view.coat ? COAT_PX : 0) - 3 : bottom + FLOOR + 14}
        textAnchor="middle"
        fontSize={13}
        fill={ink?.soft}
      >
        front
      </text>
      {view.base && view.base !== view.front && (
        <text
          x={WALL + paths.widthPx / 2}
          y={where(view.base) === top ? top - (view.coat ? COAT_PX : 0) - 3 : bottom + FLOOR + 14}
          textAnchor="middle"
          fontSize={13}
          fill={ink?.soft}
        >
          base
        </text>
      )}
    </svg>
  );
}

interface BandProps {
  layer: LayerView;
  x: number;
  y: number;
  width: number;
  height: number;
  chosen: boolean;
  line: string | undefined;
  onSelect: () => void;
}

/** One layer; several colours stand side by side, each as wide as its share. */
function LayerBand({ layer, x, y, width, height, chosen, line, onSelect }: BandProps) {
  return (
    <g onClick={onSelect} style={{ cursor: "pointer" }}>
      {layer.colours.map((colour, i) => {
        const before = layer.colours.slice(0, i).reduce((sum, c) => sum + c.share, 0);
        return (
          <rect
            key={colour.colourId}
            x={x + width * before}
            y={y}
            width={width * colour.share}
            height={height}
            fill={colour.swatch}
          />
        );
      })}
      {chosen && (
        <rect
          x={x + 3}
          y={y + 2}
          width={width - 6}
          height={Math.max(1, height - 4)}
          fill="none"
          stroke={line}
          strokeWidth={1.5}
          strokeDasharray="2 3"
        />
      )}
    </g>
  );
}

/** Mingling, soft, clean, crisp: wavy, dashed, one line, two lines. */
function JoinLine({
  join,
  y,
  from,
  to,
  line,
}: {
  join: Props["joins"][number];
  y: number;
  from: number;
  to: number;
  line: string | undefined;
}) {
  if (join === "TOGETHER") {
    let path = `M${from} ${y}`;
    for (let x = from; x < to; x += 12) {
      path += "q3 -4 6 0t6 0";
    }
    return <path d={path} fill="none" stroke={line} opacity={0.5} />;
  }
  return (
    <g stroke={line}>
      <line
        x1={from}
        x2={to}
        y1={y}
        y2={y}
        strokeDasharray={join === "THICK" ? "6 5" : undefined}
      />
      {join === "CURED" && <line x1={from} x2={to} y1={y - 3.5} y2={y - 3.5} />}
    </g>
  );
}

interface EmbedsProps {
  layer: LayerView;
  x: number;
  pxPerMm: number;
  y: (mm: number) => number;
  line: string | undefined;
  sheet: string | undefined;
}

/** What is put in, where it would come to rest: on the floor, at the surface, where it is. */
function Embeds({ layer, x, pxPerMm, y, line, sheet }: EmbedsProps) {
  return (
    <g>
      {layer.embeds.map((embed, i) => {
        const radius = Math.max(4, Math.min((embed.acrossMm * pxPerMm) / 2, 18));
        const low = y(layer.fromMm) - radius;
        const high = y(layer.toMm) + radius;
        const at =
          embed.tendency === "SINKS" ? low : embed.tendency === "FLOATS" ? high : (low + high) / 2;
        const cx = x + (i - (layer.embeds.length - 1) / 2) * (2 * radius + 8);
        return (
          <g key={embed.embedId}>
            <title>{`${embed.count} × ${embed.embedName}`}</title>
            <circle cx={cx} cy={at} r={radius} fill={sheet} stroke={line} strokeWidth={1.8} />
            <path
              d={
                embed.tendency === "SINKS"
                  ? `M${cx} ${at - 3}v6m-3 -3l3 3l3 -3`
                  : embed.tendency === "FLOATS"
                    ? `M${cx} ${at + 3}v-6m-3 3l3 -3l3 3`
                    : `M${cx - 3} ${at}h6`
              }
              stroke={line}
              fill="none"
            />
          </g>
        );
      })}
    </g>
  );
}

interface GripProps {
  x: number;
  y: number;
  layer: LayerView;
  index: number;
  fixed: boolean;
  depthMm: number;
  colour: string | undefined;
  soft: string | undefined;
  sheet: string | undefined;
  toMm: (event: PointerEvent) => number;
  /** The handle was taken. */
  onHold: () => void;
  onLevel: (mm: number) => void;
}

/** The handle at the top of a layer: dragged, or moved with the arrow keys. */
function Grip(props: GripProps) {
  const { x, y, layer, index, fixed, depthMm, colour, soft } = props;
  const dragging = useRef(false);
  const words = `${layer.toMm.toFixed(1)} mm`;
  if (fixed) {
    return (
      <text x={x + 8} y={y + 4} fontSize={12.5} fill={soft}>
        {words}
      </text>
    );
  }
  const to = (mm: number) =>
    props.onLevel(Math.min(depthMm, Math.max(layer.fromMm + 0.2, Math.round(mm * 10) / 10)));
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 1 : 0.1;
    if (event.key === "ArrowUp" || event.key === "ArrowDown") {
      event.preventDefault();
      to(layer.toMm + (event.key === "ArrowUp" ? by : -by));
    }
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Top of layer ${index + 1}`}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={depthMm}
      aria-valuenow={Number(layer.toMm.toFixed(2))}
      aria-valuetext={words}
      style={{ cursor: "ns-resize", touchAction: "none" }}
      onPointerDown={(e) => {
        if (e.button === 0) {
          dragging.current = true;
          props.onHold();
          e.currentTarget.setPointerCapture(e.pointerId);
        }
      }}
      onPointerCancel={() => (dragging.current = false)}
      onPointerMove={(e) => dragging.current && to(props.toMm(e))}
      onPointerUp={() => (dragging.current = false)}
      onKeyDown={onKeyDown}
    >
      <line x1={x - 4} x2={x + 8} y1={y} y2={y} stroke={colour} strokeWidth={2} />
      {/* Wider than it looks, for gloves. */}
      <rect x={x - 6} y={y - 16} width={92} height={32} fill="transparent" />
      <circle cx={x + 12} cy={y} r={8} fill={props.sheet} stroke={colour} strokeWidth={2.5} />
      <text x={x + 25} y={y + 4} fontSize={12.5} fill={soft}>
        {words}
      </text>
    </g>
  );
}
