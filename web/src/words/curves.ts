import type { CurveSample } from "../api/client";

/** How it is at a moment, between two samples on a straight line. */
export function sampleAt(points: CurveSample[], minutes: number): Between | undefined {
  const next = points.findIndex((p) => p.minutes >= minutes);
  const b = points[next];
  const a = points[next - 1];
  if (!a || !b || a.minutes === b.minutes) {
    return b && { temperatureC: b.temperatureC, viscosityPaS: b.viscosityPaS };
  }
  const s = (minutes - a.minutes) / (b.minutes - a.minutes);
  return {
    temperatureC: a.temperatureC + s * (b.temperatureC - a.temperatureC),
    viscosityPaS:
      a.viscosityPaS === undefined || b.viscosityPaS === undefined
        ? undefined
        : a.viscosityPaS + s * (b.viscosityPaS - a.viscosityPaS),
  };
}

/** A length of time as a maker says it. */
export function span(minutes: number): string {
  if (minutes < 10 && minutes % 1 >= 0.05) {
    return `${minutes.toFixed(1)} min`;
  }
  if (minutes < 120) {
    return `${Math.round(minutes)} min`;
  }
  const hours = minutes / 60;
  if (hours < 10) {
    return `${Number(hours.toFixed(1))} h`;
  }
  return hours < 72 ? `${Math.round(hours)} h` : `${Number((hours / 24).toFixed(1))} days`;
}

export interface Between {
  temperatureC: number;
  viscosityPaS: number | undefined;
}
