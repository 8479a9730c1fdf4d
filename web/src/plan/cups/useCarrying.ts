import { type PointerEvent, useCallback, useRef, useState } from "react";
import type { Carried } from "../../session/cupsByHand";

/** Nearer than that to where it began, a press was no drag, px. */
const SLIP = 7;

export interface Carrying {
  what: Carried;
  words: string;
  x: number;
  y: number;
  /** Cup below the pointer, "new" for the place of a new cup, null for neither. */
  over: string | null;
}

/**
 * Carrying a layer from cup to cup with mouse, pen or finger. What may be dropped on carries the
 * attribute data-cup.
 */
export function useCarrying(onDrop: (what: Carried, over: string) => void) {
  const [carrying, setCarrying] = useState<Carrying | null>(null);
  const begun = useRef<{ x: number; y: number } | null>(null);
  const carried = useRef(false);

  const overAt = (x: number, y: number) =>
    document.elementFromPoint(x, y)?.closest("[data-cup]")?.getAttribute("data-cup") ?? null;

  const handle = useCallback(
    (what: Carried, words: string) => ({
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        if (event.button === 0) {
          begun.current = { x: event.clientX, y: event.clientY };
          carried.current = false;
          event.currentTarget.setPointerCapture(event.pointerId);
        }
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        const from = begun.current;
        const { clientX: x, clientY: y } = event;
        if (from && (carried.current || Math.hypot(x - from.x, y - from.y) > SLIP)) {
          carried.current = true;
          setCarrying({ what, words, x, y, over: overAt(x, y) });
        }
      },
      onPointerUp: (event: PointerEvent<HTMLElement>) => {
        begun.current = null;
        setCarrying(null);
        const over = overAt(event.clientX, event.clientY);
        if (carried.current && over !== null) {
          onDrop(what, over);
        }
      },
      onPointerCancel: () => {
        begun.current = null;
        carried.current = false;
        setCarrying(null);
      },
      // The click that ends a drag is none.
      onClickCapture: (event: { stopPropagation: () => void; preventDefault: () => void }) => {
        if (carried.current) {
          carried.current = false;
          event.stopPropagation();
          event.preventDefault();
        }
      },
    }),
    [onDrop],
  );
  return { carrying, handle };
}
