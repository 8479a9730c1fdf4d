import { type KeyboardEvent, type PointerEvent, useRef } from "react";

/** A task is moved in steps of this; finer than a hand, s. */
const STEP = 15;

interface Dragging {
  fromPx: number;
  fromSeconds: number;
}

/**
 * Handlers that move something along the time axis, by mouse, finger or keys.
 *
 * @param startSeconds where it is now
 * @param secondsPerPx of the axis
 */
export function useTaskDrag(
  startSeconds: number,
  secondsPerPx: number,
  onMove: (startSeconds: number) => void,
  onRelease: () => void,
) {
  const dragging = useRef<Dragging | null>(null);
  const to = (seconds: number) => onMove(Math.max(0, Math.round(seconds / STEP) * STEP));
  return {
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      // The other keys of a mouse open menus; they move nothing.
      if (event.button !== 0) {
        return;
      }
      dragging.current = { fromPx: event.clientX, fromSeconds: startSeconds };
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      const from = dragging.current;
      // A hand that only points trembles by a pixel or two.
      if (from && Math.abs(event.clientX - from.fromPx) > 3) {
        to(from.fromSeconds + (event.clientX - from.fromPx) * secondsPerPx);
      }
    },
    // A call comes in, a palm lands on the screen: it stays where it was.
    onPointerCancel: () => {
      if (dragging.current) {
        onMove(dragging.current.fromSeconds);
      }
      dragging.current = null;
    },
    onPointerUp: (event: PointerEvent<SVGElement>) => {
      dragging.current = null;
      event.currentTarget.releasePointerCapture(event.pointerId);
    },
    onKeyDown: (event: KeyboardEvent<SVGElement>) => {
      const by = event.shiftKey ? 600 : 60;
      if (event.key === "ArrowLeft" || event.key === "ArrowRight") {
        event.preventDefault();
        to(startSeconds + (event.key === "ArrowLeft" ? -by : by));
      }
      if (event.key === "Delete" || event.key === "Backspace") {
        event.preventDefault();
        onRelease();
      }
    },
  };
}
