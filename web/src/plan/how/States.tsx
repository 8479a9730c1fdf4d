import { ofCup, ofPour } from "../../session/place";
import Box from "@mui/material/Box";
import type { Cup, Plan, StateTime } from "../../api/client";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { peakText } from "../../words/cure";
import { ordinal } from "../../words/numbers";
import { between, layersOf, When, whenText } from "../../words/states";
import { Fig } from "./How";

export const line = {
  display: "flex",
  gap: 1.25,
  flexWrap: "wrap",
  alignItems: "baseline",
} as const;
const soft = { color: "text.secondary" } as const;

/** The states of one cup, each a number that opens its curve. */
export function CupStates({ cup, ...when }: { cup: Cup } & When) {
  const units = useUnits();
  return (
    <Box component="section" aria-label={`States of ${cup.colour.name}`} sx={line}>
      <span>
        Pourable until{" "}
        <b>
          <Fig
            of={`${ofCup(cup.id)}/workingTimeMinutes`}
            what={`Working time of ${cup.colour.name}`}
          >
            {whenText(cup.times.thickensSeconds, when)}
          </Fig>
        </b>{" "}
        <Box component="span" sx={soft}>
          ({between(cup.times.thickensEarliestSeconds, cup.times.thickensLatestSeconds, when)})
        </Box>
      </span>
      <span>
        a drawn thread holds{" "}
        <b>
          <Fig of={`${ofCup(cup.id)}/threadMinutes`} what={`Thread of ${cup.colour.name}`}>
            {whenText(cup.times.tooThickSeconds, when)}
          </Fig>
        </b>
      </span>
      <span>
        gel{" "}
        <b>
          <Fig of={`${ofCup(cup.id)}/gelsMinutes`} what={`Gel of ${cup.colour.name}`}>
            {whenText(cup.times.gelsSeconds, when)}
          </Fig>
        </b>
      </span>
      {cup.follows.peak && (
        <Box component="span" sx={cup.follows.peak.peakC >= 60 ? { color: "error.main" } : {}}>
          <b>
            <Fig of={`${ofCup(cup.id)}/peakC`} what={`Peak of ${cup.colour.name} if forgotten`}>
              {peakText(cup.follows.peak, units)}
            </Fig>
          </b>
          , at {whenText(cup.follows.peak.atSeconds, when)}
        </Box>
      )}
    </Box>
  );
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
        const at = ofPour(layer.pourId);
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
