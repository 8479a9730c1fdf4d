import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useRef, useState } from "react";
import { readNumber } from "../units/units";
import { LOW } from "./low";

interface Props {
  what: string;
  unit: string;
  /** What the key says that takes it. */
  done?: string;
  /** The largest value that can be meant. */
  most?: number;
  /** Why it cannot be more. */
  mostIs?: string;
  /** Why it cannot be 0. */
  zeroIs?: string;
  /** What was planned, as it is said. */
  planned?: string | undefined;
  onDone: (value: number) => void;
  onCancel: () => void;
}

const KEYS = ["7", "8", "9", "4", "5", "6", "1", "2", "3", ".", "0", "⌫"];

/** Keys for gloves: a weight without a keyboard. */
export function Keypad(props: Props) {
  const { what, unit, done, most = 50_000, mostIs, planned, onDone, onCancel } = props;
  // Digits count at once, wherever the focus was.
  const keys = useRef<HTMLDivElement>(null);
  useEffect(() => keys.current?.focus(), []);
  const [text, setText] = useState("");
  const [pasted, setPasted] = useState(false);
  const value = readNumber(text);
  const legal = typeof value === "number" && value > 0 && value <= most;
  const press = (key: string) => {
    setPasted(false);
    setText((t) => (key === "⌫" ? t.slice(0, -1) : t.length < 8 ? t + key : t));
  };
  return (
    <Box
      ref={keys}
      tabIndex={-1}
      role="group"
      aria-label={what}
      onKeyDown={(e) => {
        if (/^[0-9.,]$/.test(e.key)) {
          press(e.key === "," ? "." : e.key);
        } else if (e.key === "Backspace") {
          press("⌫");
        } else if (e.key === "Enter" && legal) {
          onDone(value);
        }
      }}
      onPaste={(e) => {
        // A number that was copied counts; half of a table would be a number that nobody meant.
        const said = e.clipboardData.getData("text").trim();
        const number = /^[0-9]*[.,]?[0-9]+$/.test(said) && said.length <= 8;
        setText(number ? said.replace(",", ".") : "");
        setPasted(!number);
      }}
      sx={{ maxWidth: 420, outline: 0 }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1, mb: 1 }}>
        <Box
          aria-live="polite"
          sx={{
            fontSize: "3rem",
            fontWeight: 700,
            minHeight: 64,
            [LOW]: { fontSize: "2rem", minHeight: 44 },
          }}
        >
          {text || "–"}
        </Box>
        <Box sx={{ fontSize: "1.4rem" }}>{unit}</Box>
        {planned && (
          <Box sx={{ ml: "auto", fontSize: "1.2rem", color: "text.secondary" }}>
            planned {planned}
          </Box>
        )}
      </Box>
      <Box role="status" sx={{ minHeight: "1.5em", color: "text.secondary" }}>
        {pasted
          ? "What was pasted is no number."
          : text === "" || legal
            ? what
            : value === null || value === undefined
              ? "That is no number."
              : value === 0
                ? (props.zeroIs ?? "0 is not a weight. Go back if nothing went in.")
                : mostIs
                  ? `${mostIs} ${most} ${unit}.`
                  : `No more than ${most} ${unit}.`}
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "repeat(3, 1fr)",
          gap: 1,
          [LOW]: { gridTemplateColumns: "repeat(6, 1fr)", gap: 0.75 },
        }}
      >
        {KEYS.map((key) => (
          <Button
            key={key}
            variant="outlined"
            aria-label={key === "⌫" ? "Delete the last figure" : key}
            onClick={() => press(key)}
            sx={{ minHeight: 64, fontSize: "1.6rem", [LOW]: { minHeight: 48, minWidth: 0 } }}
          >
            {key}
          </Button>
        ))}
      </Box>
      <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
        <Button onClick={onCancel} sx={{ minHeight: 64, flex: 1, fontSize: "1.1rem" }}>
          Back
        </Button>
        <Button
          variant="contained"
          disabled={!legal}
          onClick={() => legal && onDone(value)}
          sx={{ minHeight: 64, flex: 2, fontSize: "1.2rem" }}
        >
          {done ?? "That is what is in"}
        </Button>
      </Box>
    </Box>
  );
}
