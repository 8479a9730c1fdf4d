import { useEffect } from "react";
import { isCovered } from "./Over";

interface Keys {
  /** Whether something lies over the step, which then has the keys. */
  busy: boolean;
  take: () => void;
  /** Looks one step ahead or back. */
  turn: (by: 1 | -1) => void;
  undo: () => void;
  /** What a foot switch or presenter sends; it is the large key, too. */
  footKey: string;
}

/** The bench by keyboard: space is the large key, arrows look ahead and back, backspace undoes. */
export function useBenchKeyboard({ busy, take, turn, undo, footKey }: Keys) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (busy || isCovered() || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      const onButton = event.target instanceof HTMLButtonElement;
      if (event.key === footKey && event.key !== " ") {
        event.preventDefault();
        if (!event.repeat) {
          take();
        }
      } else if (event.key === " " && !event.repeat) {
        // Space is the large key wherever the focus is: gloves hit what they hit.
        event.preventDefault();
        take();
      } else if (event.key === "ArrowRight") {
        turn(1);
      } else if (event.key === "ArrowLeft") {
        turn(-1);
      } else if (event.key === "Backspace" && !onButton) {
        event.preventDefault();
        undo();
      }
    };
    window.addEventListener("keydown", onKey);
    // A button under the focus would count the key a second time.
    const onUp = (event: KeyboardEvent) =>
      event.key === " " && !busy && !isCovered() && event.preventDefault();
    window.addEventListener("keyup", onUp);
    return () => {
      window.removeEventListener("keydown", onKey);
      window.removeEventListener("keyup", onUp);
    };
  });
}
