import type { CureCurve, CurveSample } from "../api/client";

interface Frame {
  left: number;
  right: number;
  thickTop: number;
  thickBottom: number;
  warmTop: number;
  warmBottom: number;
}

/** Thickness is drawn between these, Pa·s, each tenfold as high as the one before. */
const THINNEST = 0.05;
const THICKEST = 200;

/** Where thickness has a name; the first two bound what can be poured and what draws a thread. */
const named = (curve: CureCurve) => [
  { at: 0.1, word: "thick oil", last: false },
  { at: 1, word: "syrup", last: false },
  { at: curve.pourableUntilPaS, word: "runny honey", last: true },
  { at: curve.threadFromPaS, word: "draws a thread", last: false },
];

const log = (paS: number) => Math.log10(Math.min(THICKEST, Math.max(THINNEST, paS)));

/** Where everything of one body's curves lies. */
export function curveScale(curve: CureCurve, until: number, hottest: number, frame: Frame) {
  const x = (minutes: number) =>
    frame.left + (Math.min(minutes, until * 1.2) / until) * (frame.right - frame.left);
  const thick = (paS: number) =>
    frame.thickBottom -
    ((log(paS) - log(THINNEST)) / (log(THICKEST) - log(THINNEST))) *
      (frame.thickBottom - frame.thickTop);
  const coolest = Math.min(...curve.points.map((p) => p.temperatureC), hottest - 10);
  const floor = Math.floor((coolest - 1) / 5) * 5;
  const warm = (c: number) =>
    frame.warmBottom - ((c - floor) / (hottest - floor)) * (frame.warmBottom - frame.warmTop);
  const seen = curve.points.filter((p, i) => i === 0 || p.minutes <= until * 1.1);
  const path = (of: (p: CurveSample) => number, points: CurveSample[]) =>
    points
      .map((p, i) => `${i === 0 ? "M" : "L"}${x(p.minutes).toFixed(1)} ${of(p).toFixed(1)}`)
      .join("");
  // One point beyond the top, so that the line leaves the drawing; what is a gel has no thickness.
  const beyond = seen.findIndex((p) => (p.viscosityPaS ?? Infinity) >= THICKEST);
  const liquid = seen.slice(0, beyond < 0 ? seen.length : beyond + 1);
  const uneven = seen.some((p) => p.temperatureC - p.faceC > 0.5);
  return {
    x,
    thick,
    warm,
    coolest: floor,
    minutesAt: (px: number) => ((px - frame.left) / (frame.right - frame.left)) * until,
    thicknessTicks: named(curve),
    thickPath: path((p) => thick(p.viscosityPaS ?? THICKEST), liquid),
    warmPath: path((p) => warm(p.temperatureC), seen),
    facePath: uneven ? path((p) => warm(p.faceC), seen) : null,
  };
}

const STEPS = [1, 2, 5, 10, 15, 20, 30, 60, 120, 240, 360, 720, 1440, 2880, 5760, 10080];

/** Round marks on an axis, about so many. */
export function ticks(from: number, to: number, about: number): number[] {
  const step = STEPS.find((s) => (to - from) / s <= about) ?? 10080;
  const marks: number[] = [];
  for (let at = Math.ceil(from / step) * step; at <= to; at += step) {
    marks.push(at);
  }
  return marks;
}

export function thicknessWord(thickness: CurveSample["thickness"]): string {
  return {
    LIKE_WATER: "like water",
    LIKE_OIL: "like oil",
    LIKE_SYRUP: "like syrup",
    LIKE_HONEY: "like honey",
    DRAWS_A_THREAD: "draws a thread",
    GEL: "a gel",
  }[thickness];
}

/** The right end of a time axis on which these bodies can be compared. */
export function commonEnd(curves: CureCurve[], piece: boolean): number {
  const ends = curves.map((c) => {
    const last = c.points.at(-1)?.minutes ?? 60;
    return piece
      ? Math.max(c.demould ?? last, c.gels ?? 0) * 1.15
      : Math.max((c.gels ?? last) * 1.25, c.peakC > 40 ? c.peakAt * 1.15 : 0);
  });
  return Math.max(10, Math.min(28 * 1440, Math.max(...ends, 10)));
}

/** The top of a temperature axis for these bodies, °C. */
export function commonHottest(curves: CureCurve[]): number {
  return Math.ceil((Math.max(...curves.map((c) => c.peakC), 30) + 3) / 10) * 10;
}
