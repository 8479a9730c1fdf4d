import Box from "@mui/material/Box";
import { useLayoutEffect, useRef } from "react";

interface Props {
  title: string;
  /** How much, with its unit; null where nothing is measured. */
  figure: string | null;
}

/** Letters larger than this fill the screen with one word, px. */
const LARGEST = 240;

/** Below this nothing is read from afar: it scrolls instead, px. */
const SMALLEST = 40;

/** The step in letters as large as the screen takes: what is done is read from across the room. */
export function FarStep({ title, figure }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const at = box.current;
    if (!at) {
      return;
    }
    const fit = () => {
      let [fits, spills] = [SMALLEST, LARGEST];
      while (spills - fits > 1) {
        const size = Math.floor((fits + spills) / 2);
        at.style.fontSize = `${size}px`;
        if (at.scrollHeight <= at.clientHeight && at.scrollWidth <= at.clientWidth) {
          fits = size;
        } else {
          spills = size;
        }
      }
      at.style.fontSize = `${fits}px`;
    };
    fit();
    const turned = new ResizeObserver(fit);
    turned.observe(at);
    return () => turned.disconnect();
  }, [title, figure]);
  return (
    <Box
      ref={box}
      sx={{ flex: 1, minHeight: 0, overflow: "auto", lineHeight: 1.05, fontWeight: 700 }}
    >
      <Box component="h2" sx={{ m: 0, font: "inherit", lineHeight: "inherit" }}>
        {title}
      </Box>
      {figure !== null && <Box>{figure}</Box>}
    </Box>
  );
}
