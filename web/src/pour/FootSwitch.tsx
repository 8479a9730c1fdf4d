import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { Over } from "./Over";

/** What a presenter sends for “next”. */
const USUAL = "PageDown";
const KEPT = "calm-pour.foot-key";

/** Keys that the screen itself needs. */
const TAKEN = new Set(["Tab", "Escape", "Shift", "Control", "Alt", "Meta", "Backspace", " "]);

/** The key that a foot switch or presenter sends, as this browser remembers it. */
export function useFootKey() {
  const [footKey, setFootKey] = useState(() => window.localStorage.getItem(KEPT) ?? USUAL);
  const [open, setOpen] = useState(false);
  const onKey = (next: string) => {
    window.localStorage.setItem(KEPT, next);
    setFootKey(next);
  };
  return {
    footKey,
    choose: () => setOpen(true),
    choosing: open && <FootSwitch footKey={footKey} onKey={onKey} onClose={() => setOpen(false)} />,
  };
}

interface Props {
  footKey: string;
  onKey: (key: string) => void;
  onClose: () => void;
}

/** Press it once, and from then on it is the large key. */
function FootSwitch({ footKey, onKey, onClose }: Props) {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      // Enter presses the keys on this screen.
      if (!TAKEN.has(event.key) && event.key !== "Enter" && !event.repeat) {
        event.preventDefault();
        onKey(event.key);
      }
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [onKey]);
  return (
    <Over label="Foot switch" onClose={onClose}>
      <Box component="h2" sx={{ typography: "h1", m: 0, fontSize: { xs: "1.8rem", md: "2.6rem" } }}>
        Press it once
      </Box>
      <Box sx={{ fontSize: { xs: "1.1rem", md: "1.4rem" }, maxWidth: 900 }}>
        A foot switch or a presenter sends a key like a keyboard does. It does what the large key
        does, and nothing while a warning lies over the step.
      </Box>
      <Box role="status" sx={{ fontSize: { xs: "1.3rem", md: "1.9rem" } }}>
        It is <b>{footKey}</b>
        {footKey === USUAL ? ", as most presenters send it." : "."}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, mt: "auto", flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          onClick={() => onKey(USUAL)}
          sx={{ minHeight: 84, fontSize: "1.2rem", flex: 1 }}
        >
          As a presenter sends it
        </Button>
        <Button
          variant="contained"
          onClick={onClose}
          sx={{ minHeight: 84, fontSize: "1.4rem", flex: 2 }}
        >
          Back to the step
        </Button>
      </Box>
    </Over>
  );
}
