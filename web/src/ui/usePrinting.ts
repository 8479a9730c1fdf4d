import { useEffect, useState } from "react";
import { flushSync } from "react-dom";

const onPaper = () => window.matchMedia("print").matches;

/** Whether the page is being put on paper: a sheet that only paper sees is drawn then, not at every edit. */
export function usePrinting(): boolean {
  const [printing, setPrinting] = useState(onPaper);
  useEffect(() => {
    const paper = window.matchMedia("print");
    // Paper is laid out as soon as the listeners have been called: what it shows has to stand by then.
    const begins = () => flushSync(() => setPrinting(true));
    const ends = () => setPrinting(false);
    const changes = () => flushSync(() => setPrinting(onPaper()));
    window.addEventListener("beforeprint", begins);
    window.addEventListener("afterprint", ends);
    paper.addEventListener("change", changes);
    return () => {
      window.removeEventListener("beforeprint", begins);
      window.removeEventListener("afterprint", ends);
      paper.removeEventListener("change", changes);
    };
  }, []);
  return printing;
}
