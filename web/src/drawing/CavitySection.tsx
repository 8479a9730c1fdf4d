import { useTheme } from "@mui/material/styles";
import { useId } from "react";
import type { SectionRow } from "../api/client";
import { sectionPaths } from "./sectionPath";

export interface Band {
  fromMm: number;
  toMm: number;
  fill: string;
  /** Several colours side by side instead, each as wide as its share. */
  beside?: { fill: string; share: number }[];
  /** Set off from the band below by a line. */
  apart?: boolean;
}

/** A line across at some depth, with words at its right. */
export interface Mark {
  atMm: number;
  words: string;
}

/** A thing in it, drawn as a ball of its volume. */
export interface Disc {
  /** Its middle, mm above the floor. */
  atMm: number;
  acrossMm: number;
}

/** A place that is pointed at, as shares of the widest place and of the height. */
export interface Spot {
  acrossPercent: number;
  upPercent: number;
  words: string;
}

interface Props {
  section: SectionRow[];
  pxPerMm: number;
  heights?: number;
  bands?: Band[];
  marks?: Mark[];
  /** What is put in. */
  discs?: Disc[];
  /** Places that are pointed at. */
  spots?: Spot[];
  /** Somebody points at a place of it. */
  onSpot?: (acrossPercent: number, upPercent: number) => void;
  /** The depth is a guess: the walls are dashed. */
  assumed?: boolean;
  label: string;
  wall?: number;
  /** Size of the words at the marks, px; to be read at arm's length where they are large. */
  markSize?: number;
}

const FLOOR = 7;
const MARKS_WIDTH = 92;

/** Where each colour of a band begins, as a share of its width. */
function sideBySide(band: Band): { fill: string; share: number; from: number }[] {
  let from = 0;
  return (band.beside ?? [{ fill: band.fill, share: 1 }]).map((colour) => {
    const begins = from;
    from += colour.share;
    return { ...colour, from: begins };
  });
}

/** A cavity in section, to scale, in its block of rubber, with what is in it. */
export function CavitySection(props: Props) {
  const {
    section,
    pxPerMm,
    heights = 1,
    bands = [],
    marks = [],
    discs = [],
    spots = [],
    onSpot,
    wall = 10,
    markSize = 13,
  } = props;
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const clip = useId();
  const paths = sectionPaths(section, pxPerMm, heights);
  const depthMm = Math.max(...section.map((r) => r.depthMm));
  const y = (mm: number) => (depthMm - mm) * pxPerMm * heights;
  const width = paths.widthPx + 2 * wall;
  return (
    <svg
      width={width + (marks.length > 0 ? MARKS_WIDTH : 0)}
      height={paths.depthPx + FLOOR + 2}
      role="img"
      aria-label={props.label}
      style={{ overflow: "visible" }}
    >
      <rect y={1} width={width} height={paths.depthPx + FLOOR} rx={2} fill={ink?.rubber} />
      <g transform={`translate(${wall} 1)`}>
        <clipPath id={clip}>
          <path d={paths.inside} />
        </clipPath>
        <path d={paths.inside} fill={ink?.sheet} />
        <g clipPath={`url(#${clip})`}>
          {bands.map((band, i) => (
            <g key={i}>
              {sideBySide(band).map((colour) => (
                <rect
                  key={colour.from}
                  x={colour.from * paths.widthPx}
                  width={colour.share * paths.widthPx}
                  y={y(band.toMm)}
                  height={Math.max(1, y(band.fromMm) - y(band.toMm))}
                  fill={colour.fill}
                />
              ))}
              {band.apart && (
                <line
                  x1={0}
                  x2={paths.widthPx}
                  y1={y(band.fromMm)}
                  y2={y(band.fromMm)}
                  stroke={ink?.line}
                  strokeDasharray="3 3"
                />
              )}
            </g>
          ))}
          {paths.hole && (
            <path d={paths.hole} fill={ink?.rubber} stroke={ink?.line} strokeWidth={1.5} />
          )}
        </g>
        <path
          d={paths.walls}
          fill="none"
          stroke={ink?.line}
          strokeWidth={2}
          strokeLinejoin="round"
          strokeDasharray={props.assumed ? "5 4" : undefined}
        />
        {discs.map((disc, i) => {
          const radius = Math.max(4, (disc.acrossMm * pxPerMm) / 2);
          return (
            <circle
              key={i}
              cx={paths.widthPx / 2 + (i - (discs.length - 1) / 2) * (2 * radius + 6)}
              cy={y(disc.atMm)}
              r={radius}
              fill={ink?.sheet}
              stroke={ink?.line}
              strokeWidth={2}
            />
          );
        })}
        {spots.map((spot, i) => {
          const cx = (spot.acrossPercent / 100) * paths.widthPx;
          const cy = (1 - spot.upPercent / 100) * paths.depthPx;
          return (
            <g key={i} stroke={ink?.line} strokeWidth={2} fill="none">
              <title>{spot.words}</title>
              <circle cx={cx} cy={cy} r={9} stroke={ink?.sheet} strokeWidth={5} />
              <circle cx={cx} cy={cy} r={9} />
              <path d={`M${cx - 4} ${cy - 4}l8 8m0 -8l-8 8`} />
            </g>
          );
        })}
        {onSpot && (
          <rect
            width={paths.widthPx}
            height={paths.depthPx}
            fill="transparent"
            style={{ cursor: "crosshair" }}
            onClick={(e) => {
              const box = e.currentTarget.getBoundingClientRect();
              onSpot(
                Math.round((100 * (e.clientX - box.left)) / box.width),
                Math.round((100 * (box.bottom - e.clientY)) / box.height),
              );
            }}
          />
        )}
        {marks.map((mark) => (
          <g key={mark.words}>
            <line
              x1={0}
              x2={paths.widthPx + wall + 6}
              y1={y(mark.atMm)}
              y2={y(mark.atMm)}
              stroke={ink?.soft}
              strokeDasharray="2 3"
            />
            <text
              x={paths.widthPx + wall + 10}
              y={y(mark.atMm) + markSize / 3}
              fontSize={markSize}
              fill={markSize > 13 ? ink?.line : ink?.soft}
              fontWeight={markSize > 13 ? 700 : 400}
            >
              {mark.words}
            </text>
          </g>
        ))}
      </g>
    </svg>
  );
}
