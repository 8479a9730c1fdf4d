import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { type PointerEvent, useId, useState } from "react";
import type { CureCurve, CureStates, CurveSample } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { sampleAt, span } from "../words/curves";
import { curveScale, thicknessWord, ticks } from "./curveScale";
import { useWidth } from "./useWidth";

const LEFT = 92;
const THICK_TOP = 20;
const THICK_HEIGHT = 104;
const BAR_TOP = THICK_TOP + THICK_HEIGHT + 6;
const BAR = 16;
const WARM_TOP = BAR_TOP + BAR + 10;
const WARM_HEIGHT = 78;
const HEIGHT = WARM_TOP + WARM_HEIGHT + 24;

interface Props {
  curve: CureCurve;
  /** With its spread; without it no band is drawn. */
  states?: CureStates | undefined;
  /** Right end of the time axis, min; two drawings side by side share it. */
  until: number;
  /** Top of the temperature axis, °C. */
  hottest: number;
  /** When something was poured out of it, min. */
  pours?: number[];
  what: string;
}

/** Thickness and temperature of one body over time, its states as a bar between them. */
export function CureCurves({ curve, states, until, hottest, pours = [], what }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const [at, setAt] = useState<CurveSample | null>(null);
  const units = useUnits();
  const { vars } = useTheme();
  const palette = (vars ?? {}).palette;
  const ink = palette?.ink;
  const id = useId().replaceAll(":", "");
  const scale = curveScale(curve, until, hottest, {
    left: LEFT,
    right: Math.max(LEFT + 60, width - 10),
    thickTop: THICK_TOP,
    thickBottom: THICK_TOP + THICK_HEIGHT,
    warmTop: WARM_TOP,
    warmBottom: WARM_TOP + WARM_HEIGHT,
  });
  const { x, thick, warm } = scale;
  const look = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const minutes = scale.minutesAt(event.clientX - box.left);
    setAt(
      curve.points.reduce((best: CurveSample | null, p) => {
        const nearer = !best || Math.abs(p.minutes - minutes) < Math.abs(best.minutes - minutes);
        return nearer ? p : best;
      }, null),
    );
  };
  const ends = curve.workingTimeEnds;
  const gels = curve.gels;
  const band = states?.workingTimeEnds;
  const bar = (from: number, to: number) => ({
    x: x(from),
    width: Math.max(0, x(to) - x(from)),
    y: BAR_TOP,
    height: BAR,
  });
  const shown = at ?? undefined;
  const end = ends === undefined ? undefined : sampleAt(curve.points, ends);
  // Too warm to be poured, or too thick: the mark sits on the curve that says so.
  const tooWarm = curve.endsTooWarm;
  return (
    <Box ref={ref} sx={{ minWidth: 0 }}>
      {width > 0 && (
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={what}
          onPointerMove={look}
          onPointerLeave={() => setAt(null)}
          style={{ display: "block", touchAction: "pan-y" }}
        >
          <defs>
            <pattern id={`${id}d`} width="6" height="6" patternUnits="userSpaceOnUse">
              <circle cx="2" cy="2" r="1.3" fill={ink?.line} />
            </pattern>
            <pattern
              id={`${id}h`}
              width="6"
              height="6"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="2" height="6" fill={ink?.line} />
            </pattern>
            <clipPath id={`${id}c`}>
              <rect x={LEFT} y={0} width={Math.max(0, width - LEFT - 8)} height={HEIGHT} />
            </clipPath>
          </defs>
          <g fontSize={13} fill={ink?.soft}>
            {scale.thicknessTicks.map((tick) => (
              <g key={tick.word}>
                <line
                  x1={LEFT}
                  x2={width - 10}
                  y1={thick(tick.at)}
                  y2={thick(tick.at)}
                  stroke={ink?.rule}
                  strokeDasharray={tick.last ? undefined : "2 4"}
                />
                <text x={LEFT - 8} y={thick(tick.at) + 4} textAnchor="end">
                  {tick.word}
                </text>
              </g>
            ))}
            {ticks(scale.coolest, hottest, 4).map((c) => (
              <g key={c}>
                <line x1={LEFT} x2={width - 10} y1={warm(c)} y2={warm(c)} stroke={ink?.rule} />
                <text x={LEFT - 8} y={warm(c) + 4} textAnchor="end">
                  {showWith(units.TEMPERATURE, c, 0)}
                </text>
              </g>
            ))}
            {ticks(0, until, width > 520 ? 6 : 4).map((m) => (
              <g key={m}>
                <line
                  x1={x(m)}
                  x2={x(m)}
                  y1={WARM_TOP + WARM_HEIGHT}
                  y2={WARM_TOP + WARM_HEIGHT + 4}
                  stroke={ink?.soft}
                />
                <text x={x(m)} y={HEIGHT - 6} textAnchor="middle">
                  {span(m)}
                </text>
              </g>
            ))}
          </g>
          <g clipPath={`url(#${id}c)`}>
            {band && (
              <rect
                x={x(band.earliestMinutes)}
                width={Math.max(0, x(band.latestMinutes ?? until) - x(band.earliestMinutes))}
                y={THICK_TOP}
                height={THICK_HEIGHT}
                fill={ink?.rubber}
                opacity={0.7}
              >
                <title>the working time ends somewhere here: label and room are uncertain</title>
              </rect>
            )}
            <rect {...bar(0, ends ?? until)} fill={ink?.rubber} />
            {ends !== undefined && <rect {...bar(ends, gels ?? until)} fill={`url(#${id}d)`} />}
            {gels !== undefined && <rect {...bar(gels, until)} fill={`url(#${id}h)`} />}
            {ends !== undefined && (
              <line
                x1={x(ends)}
                x2={x(ends)}
                y1={THICK_TOP}
                y2={tooWarm && end ? warm(end.temperatureC) : BAR_TOP + BAR + 4}
                stroke={ink?.line}
                strokeWidth={2.5}
              />
            )}
            {ends !== undefined && (
              <text
                x={x(ends) > width - 80 ? x(ends) - 6 : x(ends) + 6}
                y={THICK_TOP - 6}
                textAnchor={x(ends) > width - 80 ? "end" : "start"}
                fontSize={14}
                fontWeight={700}
                fill={ink?.line}
              >
                {span(ends)}
              </text>
            )}
            <path d={scale.thickPath} fill="none" stroke={ink?.line} strokeWidth={3} />
            <path d={scale.warmPath} fill="none" stroke={palette?.error.main} strokeWidth={3} />
            {scale.facePath && (
              <path
                d={scale.facePath}
                fill="none"
                stroke={palette?.error.main}
                strokeWidth={1.5}
                strokeDasharray="5 4"
              >
                <title>its face</title>
              </path>
            )}
            {end && ends !== undefined && (
              <circle
                cx={x(ends)}
                cy={tooWarm ? warm(end.temperatureC) : thick(curve.pourableUntilPaS)}
                r={6}
                fill={palette?.background.paper}
                stroke={tooWarm ? palette?.error.main : ink?.line}
                strokeWidth={3}
              >
                <title>{tooWarm ? "too warm to pour" : "too thick to pour"}</title>
              </circle>
            )}
            {pours.map((m, i) => (
              <path
                key={i}
                d={`M${x(m)} ${BAR_TOP + 2}v${BAR - 4}M${x(m) - 4} ${BAR_TOP + BAR - 7}l4 5 4-5`}
                fill="none"
                stroke={ink?.line}
                strokeWidth={2}
              >
                <title>poured after {span(m)}</title>
              </path>
            ))}
            {shown && (
              <line
                x1={x(shown.minutes)}
                x2={x(shown.minutes)}
                y1={THICK_TOP}
                y2={WARM_TOP + WARM_HEIGHT}
                stroke={ink?.soft}
              />
            )}
          </g>
        </svg>
      )}
      <Box sx={{ minHeight: 24, pl: `${LEFT}px`, color: "text.secondary", fontSize: "0.95rem" }}>
        {shown
          ? `After ${span(shown.minutes)}: ${thicknessWord(shown.thickness)}, ${showWith(units.TEMPERATURE, shown.temperatureC, 0)}, ${(shown.conversion * 100).toFixed(0)} % cured`
          : "plain: pourable · dots: thick · hatched: gel"}
      </Box>
    </Box>
  );
}
