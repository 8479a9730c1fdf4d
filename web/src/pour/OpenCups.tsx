import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { useId } from "react";
import type { CupNow, MixNow } from "../api/client";
import { Fig } from "../plan/how/How";
import { WrongMark } from "../ui/Told";
import { LOW } from "./low";

interface Props {
  cups: CupNow[];
  mixes?: MixNow[];
  /** Seconds from when the run was begun. */
  now: number;
  /** Whether anything was poured already. */
  poured?: boolean;
  /** No more than so many; all where it is missing. */
  most?: number;
}

const WORDS = { POURABLE: "", THICK: "thick", GELLED: "gelled" } as const;

/** A bar as long as the list is at least so long, s. */
const LONGEST = 30 * 60;

function left(seconds: number): string {
  const whole = Math.max(0, seconds);
  return whole < 600
    ? `${Math.floor(whole / 60)}:${String(Math.floor(whole % 60)).padStart(2, "0")}`
    : `${Math.floor(whole / 60)} min`;
}

function aheadWords(cup: CupNow): string | null {
  const minutes = Math.round(Math.abs(cup.aheadSeconds) / 60);
  if (minutes < 2 || cup.state !== "POURABLE") {
    return null;
  }
  return `runs ${minutes} min ${cup.aheadSeconds > 0 ? "ahead" : "behind"}`;
}

/** Every open cup with what is left of its time, as length and as words. */
export function OpenCups({ cups, mixes = [], now, poured = false, most }: Props) {
  const { vars } = useTheme();
  const palette = (vars ?? {}).palette;
  const pattern = useId();
  const full = Math.max(LONGEST, ...cups.map((c) => c.gelsSeconds - now));
  const shown = cups.filter((c) => !c.empties || c.state !== "GELLED").slice(0, most);
  return (
    <Box component="ul" aria-label="Open cups" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {shown.map((cup) => {
        // A minute on the wall is a minute here: as it is, not as it is planned to be emptied.
        const pours = (cup.empties ? cup.thicksSeconds : cup.standsUntilSeconds) - now;
        const planned = cup.thicksSeconds - now;
        const gels = cup.gelsSeconds - now;
        const pourable = Math.max(0, Math.min(1, pours / full));
        const thick = Math.max(0, Math.min(1 - pourable, (gels - Math.max(0, pours)) / full));
        const ahead = aheadWords(cup);
        const near = cup.state === "POURABLE" && pours < 180 && !cup.empties;
        const wrong = cup.hot || near || (cup.state !== "POURABLE" && !cup.empties);
        return (
          <Box component="li" key={cup.cupId} sx={{ mb: { xs: 0.5, md: 1 } }}>
            <Box sx={{ display: "flex", alignItems: "baseline", gap: 1, lineHeight: 1.15 }}>
              {wrong && <WrongMark />}
              <Box sx={{ fontSize: { xs: "1.05rem", md: "1.35rem" } }}>{cup.colourName}</Box>
              {cup.empties && (
                <Box sx={{ color: "text.secondary" }}>
                  {cup.lostPours > 0 ? "given up" : "poured"}
                </Box>
              )}
              <Box
                sx={{
                  color: "text.secondary",
                  alignSelf: "center",
                  display: "grid",
                  fontSize: "0.95rem",
                  lineHeight: 1.1,
                  whiteSpace: "nowrap",
                }}
              >
                {!cup.empties && planned - pours >= 120 && (
                  <Box sx={{ [LOW]: { display: "none" } }}>
                    <Fig of={`cup/${cup.cupId}/thicks`} what={`How long ${cup.colourName} pours`}>
                      {left(planned)} as planned
                    </Fig>
                  </Box>
                )}
                {ahead && <span>{ahead}</span>}
              </Box>
              <Box
                sx={{
                  ml: "auto",
                  fontWeight: 700,
                  whiteSpace: "nowrap",
                  fontSize: { xs: "1.2rem", md: "1.7rem" },
                  color: wrong ? "error.main" : "text.primary",
                }}
              >
                {cup.hot ? (
                  "hot"
                ) : cup.state === "POURABLE" ? (
                  <Fig
                    of={`cup/${cup.cupId}/${cup.empties ? "thicks" : "stands"}`}
                    what={`How long ${cup.colourName} pours`}
                  >
                    {left(pours)}
                  </Fig>
                ) : (
                  WORDS[cup.state]
                )}
              </Box>
            </Box>
            <svg width="100%" height={22} aria-hidden style={{ display: "block" }}>
              <defs>
                <pattern
                  id={`${pattern}-${cup.cupId}`}
                  width="8"
                  height="8"
                  patternUnits="userSpaceOnUse"
                >
                  <rect width="8" height="8" fill={cup.swatch} opacity={0.35} />
                  <circle cx="2" cy="2" r="1.3" fill={palette?.ink.line} opacity={0.55} />
                  <circle cx="6" cy="6" r="1.3" fill={palette?.ink.line} opacity={0.55} />
                </pattern>
              </defs>
              <rect
                width={`${pourable * 100}%`}
                height={16}
                y={3}
                fill={cup.swatch}
                stroke={palette?.ink.rule}
              />
              <rect
                x={`${pourable * 100}%`}
                width={`${thick * 100}%`}
                height={16}
                y={3}
                fill={`url(#${pattern}-${cup.cupId})`}
              />
              {cup.state === "POURABLE" && (
                <rect x={`${pourable * 100}%`} width={3} height={22} fill={palette?.ink.line} />
              )}
            </svg>
          </Box>
        );
      })}
      {mixes.map((mix) => (
        <Box
          component="li"
          key={`batch ${mix.batch}`}
          sx={{ display: "flex", alignItems: "baseline", gap: 1, mb: { xs: 0.5, md: 1 } }}
        >
          {mix.thicksSeconds - now < 180 && <WrongMark />}
          <Box sx={{ fontSize: { xs: "1.05rem", md: "1.35rem" } }}>Mixing cup</Box>
          <Box sx={{ color: "text.secondary", [LOW]: { display: "none" } }}>
            {mixes.length > 1 ? `batch ${mix.batch}, ` : ""}if it stays there
          </Box>
          <Box
            sx={{
              ml: "auto",
              fontWeight: 700,
              whiteSpace: "nowrap",
              fontSize: { xs: "1.2rem", md: "1.7rem" },
            }}
          >
            {mix.state === "POURABLE" ? (
              <Fig of={`mix/${mix.batch}/thicks`} what="How long the mixing cup pours">
                {left(mix.thicksSeconds - now)}
              </Fig>
            ) : (
              WORDS[mix.state]
            )}
          </Box>
        </Box>
      ))}
      {shown.length === 0 && mixes.length === 0 && (
        <Box component="li" sx={{ color: "text.secondary", fontSize: "1.1rem" }}>
          {poured ? "None is open." : "None yet: the clock starts when A and B meet."}
        </Box>
      )}
    </Box>
  );
}
