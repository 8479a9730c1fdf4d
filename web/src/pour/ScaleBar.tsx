import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ScaleReading } from "../api/client";
import { WrongMark } from "../ui/Told";
import { NoScale } from "./NoScale";
import { show, showWith, type Units } from "../units/units";
import { tare } from "./useScale";
import { SLOWLY } from "./useScaleTone";

interface Props {
  reading: ScaleReading;
  /** Whether it is made up, as everything on the demo's bench. */
  simulated: boolean;
  /** Whether it can be set to nothing: not where the evening is only rehearsed. */
  tares: boolean;
  targetG: number;
  units: Units;
}

const LINKS = {
  SILENT: "The scale says nothing. Weigh by eye and use “Other weight”.",
  UNPLUGGED: "The scale is not plugged in. Use “Other weight”.",
} as const;

/** What is on the scale beside what is wanted, as length, figure and word. */
export function ScaleBar({ reading, simulated, tares, targetG, units }: Props) {
  if (reading.link === "NONE") {
    return <NoScale />;
  }
  if (reading.link !== "TELLS" || reading.grams === undefined) {
    return (
      <Box role="status" sx={{ display: "flex", gap: 1, alignItems: "center", fontSize: "1.1rem" }}>
        <WrongMark />
        {LINKS[reading.link === "UNPLUGGED" ? "UNPLUGGED" : "SILENT"]}
      </Box>
    );
  }
  // A cup that is poured from on the scale gets lighter.
  const grams = Math.abs(reading.grams);
  const share = grams / targetG;
  const tooMuch = share > 1.03;
  const word = tooMuch ? "too much" : share > 0.99 ? "enough" : share > SLOWLY ? "slowly now" : "";
  return (
    <Box>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.5 }}>
        <Box sx={{ fontWeight: 700, fontSize: { xs: "1.8rem", md: "2.6rem" } }}>
          {show(units.MASS, grams)}
        </Box>
        <Box sx={{ fontSize: "1.2rem" }}>
          on the {simulated ? "simulated scale" : "scale"}
          {reading.stable ? "" : ", moving"}
        </Box>
        <Box
          sx={{
            fontWeight: 700,
            fontSize: { xs: "1.2rem", md: "1.6rem" },
            color: tooMuch ? "error.main" : "primary.main",
          }}
        >
          {word}
        </Box>
        {tares && (
          <Button
            variant="outlined"
            onClick={() => void tare()}
            sx={{ ml: "auto", minHeight: 64, minWidth: 96, fontSize: "1.1rem" }}
          >
            Tare
          </Button>
        )}
      </Box>
      <Box
        role="meter"
        aria-label="On the scale"
        aria-valuemin={0}
        aria-valuemax={Number(targetG.toFixed(1))}
        aria-valuenow={Number(grams.toFixed(1))}
        aria-valuetext={`${showWith(units.MASS, grams)} of ${showWith(units.MASS, targetG)} ${word}`}
        sx={{ position: "relative", height: 26, bgcolor: "divider", borderRadius: 1, mt: 0.5 }}
      >
        <Box
          sx={{
            height: 26,
            borderRadius: 1,
            width: `${Math.max(0, Math.min(1, share / 1.15)) * 100}%`,
            bgcolor: tooMuch ? "error.main" : "primary.main",
          }}
        />
        <Box
          sx={{
            position: "absolute",
            left: `${100 / 1.15}%`,
            top: -5,
            width: 4,
            height: 36,
            bgcolor: "text.primary",
          }}
        />
      </Box>
    </Box>
  );
}
