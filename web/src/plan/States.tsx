import Box from "@mui/material/Box";
import type { Cup, LayerCure, Plan, StateTime } from "../api/client";
import { peakText } from "../practice/wording";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { Fig } from "./How";
import { clockTime, ordinal } from "./wording";

interface When {
  startsAt: Date;
  zoneId: string;
}

const DAY = 24 * 3600;

/** A moment of the plan: the time alone while it is within the day, the weekday with it later. */
export function whenText(seconds: number, { startsAt, zoneId }: When): string {
  if (seconds < DAY / 2) {
    return clockTime(startsAt, seconds, zoneId);
  }
  return new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    ...(seconds > 6 * DAY ? { day: "numeric", month: "short" } : {}),
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zoneId,
  }).format(new Date(startsAt.getTime() + seconds * 1000));
}

function between(from: number, to: number | undefined, when: When): string {
  return to === undefined
    ? `from ${whenText(from, when)}, perhaps never`
    : `${whenText(from, when)} to ${whenText(to, when)}`;
}

const line = { display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "baseline" } as const;
const soft = { color: "text.secondary" } as const;

/** The states of one cup, each a number that opens its curve. */
export function CupStates({ cup, ...when }: { cup: Cup } & When) {
  const units = useUnits();
  return (
    <Box component="section" aria-label={`States of ${cup.colourName}`} sx={line}>
      <span>
        Pourable until{" "}
        <b>
          <Fig of={`cup/${cup.id}/workingTimeMinutes`} what={`Working time of ${cup.colourName}`}>
            {whenText(cup.thickensSeconds, when)}
          </Fig>
        </b>{" "}
        <Box component="span" sx={soft}>
          ({between(cup.thickensEarliestSeconds, cup.thickensLatestSeconds, when)})
        </Box>
      </span>
      <span>
        a drawn thread holds{" "}
        <b>
          <Fig of={`cup/${cup.id}/threadMinutes`} what={`Thread of ${cup.colourName}`}>
            {whenText(cup.tooThickSeconds, when)}
          </Fig>
        </b>
      </span>
      <span>
        gel{" "}
        <b>
          <Fig of={`cup/${cup.id}/gelsMinutes`} what={`Gel of ${cup.colourName}`}>
            {whenText(cup.gelsSeconds, when)}
          </Fig>
        </b>
      </span>
      {cup.peak && (
        <Box component="span" sx={cup.peak.peakC >= 60 ? { color: "error.main" } : {}}>
          <b>
            <Fig of={`cup/${cup.id}/peakC`} what={`Peak of ${cup.colourName} if forgotten`}>
              {peakText(cup.peak, units)}
            </Fig>
          </b>
          , at {whenText(cup.peak.atSeconds, when)}
        </Box>
      )}
    </Box>
  );
}

/** When the last of a line's pieces comes out of its moulds; null while nothing says so. */
export function outOfMould(plan: Plan, piece: number): LayerCure | null {
  const layers = layersOf(plan, piece);
  return layers.reduce(
    (latest: LayerCure | null, each) =>
      !latest || (each.demould?.seconds ?? Infinity) > (latest.demould?.seconds ?? Infinity)
        ? each
        : latest,
    null,
  );
}

function layersOf(plan: Plan, piece: number): LayerCure[] {
  return plan.batches
    .flatMap((b) => b.cups.flatMap((c) => c.layers))
    .filter((l) => l.line === piece)
    .sort((a, b) => b.layer - a.layer || b.pouredSeconds - a.pouredSeconds);
}

/** What becomes of each layer of a line, the top one on top. */
export function LayerStates({ plan, piece, ...when }: { plan: Plan; piece: number } & When) {
  const units = useUnits();
  const layers = layersOf(plan, piece);
  const seen = layers.filter((l, i) => layers.findIndex((o) => o.layer === l.layer) === i);
  const several = seen.length > 1;
  return (
    <Box component="section" aria-label="States of the layers" sx={{ mt: 1 }}>
      {seen.map((layer) => {
        const name = several ? `${capital(ordinal(layer.layer + 1))} layer` : "In the mould";
        const at = `pour/${layer.pourId}`;
        const state = (
          words: string,
          quantity: string,
          time: StateTime | undefined,
          never: string,
        ) => (
          <span>
            {words}{" "}
            <b>
              {time ? (
                <Fig of={`${at}/${quantity}`} what={`${name}: ${words}`}>
                  {whenText(time.seconds, when)}
                </Fig>
              ) : (
                never
              )}
            </b>
            {time && quantity === "demouldHours" && (
              <Box component="span" sx={soft}>
                {" "}
                ({between(time.earliestSeconds, time.latestSeconds, when)})
              </Box>
            )}
          </span>
        );
        return (
          <Box key={layer.layer} sx={{ ...line, py: 0.25 }}>
            <Box component="span" sx={{ ...soft, minWidth: 110 }}>
              {name}
            </Box>
            {state("gel", "gelsMinutes", layer.gels, "")}
            {state("a next layer bonds until", "bondHours", layer.bondEnds, "any time")}
            {state("hard", "demouldHours", layer.demould, "never, in this room")}
            {state("fully cured", "fullCureHours", layer.fullCure, "never, in this room")}
            {layer.peakC !== undefined && (
              <Box component="span" sx={layer.peakC >= 60 ? { color: "error.main" } : soft}>
                warmest{" "}
                <Fig of={`${at}/peakC`} what={`${name}: warmest`}>
                  {showWith(units.TEMPERATURE, layer.peakC, 0)}
                </Fig>
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
