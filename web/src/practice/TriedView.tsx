import Box from "@mui/material/Box";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { SetUp, Tried, Workshop } from "../api/client";
import { CureCurves } from "../drawing/CureCurves";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { refusalText } from "../words/cure";
import { span } from "../words/curves";
import { cautionText, costText, placingText, stateLines } from "../words/practice";

interface Props {
  which: string;
  tried: Tried;
  setUp: SetUp;
  workshop: Workshop;
  seen: "cup" | "piece";
  onSee: (seen: "cup" | "piece") => void;
  until: number;
  hottest: number;
}

/** What would become of one set-up: its curves, its states in words, what it costs. */
export function TriedView({ which, tried, setUp, workshop, seen, onSee, until, hottest }: Props) {
  const units = useUnits();
  const piece = seen === "piece" && tried.piece !== undefined;
  const body = piece && tried.piece ? tried.piece : tried.cup;
  const cups = tried.cups === 1 ? "the cup" : "each cup";
  const embed = (workshop.embeds ?? []).find((e) => e.id === setUp.embedId);
  return (
    <Box sx={{ minWidth: 0 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 40 }}>
        {tried.piece ? (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={piece ? "piece" : "cup"}
            onChange={(_, next: "cup" | "piece" | null) => next && onSee(next)}
            aria-label={`${which}: which body`}
          >
            <ToggleButton value="cup">{cups}</ToggleButton>
            <ToggleButton value="piece">the piece</ToggleButton>
          </ToggleButtonGroup>
        ) : (
          <b>{cups}</b>
        )}
        <Box sx={{ color: "text.secondary" }}>
          {showWith(units.MASS, body.massG, 0)}, {showWith(units.LENGTH, body.levelMm, 0)} deep
        </Box>
      </Box>
      {body.curve ? (
        <CureCurves
          curve={body.curve}
          states={piece ? undefined : body.states}
          until={until}
          hottest={hottest}
          what={`${which}: thickness and temperature of ${piece ? "the piece" : cups}`}
        />
      ) : (
        <Box sx={{ color: "text.secondary", py: 3 }}>
          No curve here: the rule of thumb is used instead.
        </Box>
      )}
      <Box component="dl" aria-label={`${which}: states`} sx={{ m: 0, mt: 0.5 }}>
        {stateLines(body, piece, units).map((line) => (
          <Box key={line.what} sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", py: 0.15 }}>
            <Box component="dt" sx={{ color: "text.secondary", flex: "0 0 210px" }}>
              {line.what}
            </Box>
            <Box component="dd" sx={{ m: 0, fontWeight: 700 }}>
              {line.when}
            </Box>
          </Box>
        ))}
      </Box>
      <Box
        component="ul"
        aria-label={`${which}: what to mind`}
        sx={{ pl: 2.5, my: 1, display: "grid", gap: 0.4 }}
      >
        {tried.cautions.map((caution) => (
          <Box component="li" key={caution.kind} sx={{ color: "error.main" }}>
            {cautionText(caution, units)}
          </Box>
        ))}
        {tried.refusals.map((refusal) => (
          <Box component="li" key={refusal.why} sx={{ color: "error.main" }}>
            {refusalText(refusal)}
          </Box>
        ))}
        {tried.costs.map((cost) => (
          <li key={cost.measure}>{costText(cost)}</li>
        ))}
        {tried.bubbles && (
          <li>
            {Number.isFinite(tried.bubbles.clearsMm) && tried.bubbles.rested > 0
              ? `A rest of ${span(tried.bubbles.rested)} lets bubbles out down to ${showWith(units.LENGTH, tried.bubbles.clearsMm, 2)}. `
              : ""}
            {tried.bubbles.worthMinutes === undefined
              ? "No rest that is worth it lets out all that are seen at arm’s length."
              : `All that are seen at arm’s length are out after ${span(tried.bubbles.worthMinutes)}.`}
            {tried.warmInstead &&
              ` Warm it instead: at ${showWith(units.TEMPERATURE, tried.warmInstead.toC, 0)} a rest of ${span(tried.warmInstead.restMinutes)} does it, and it stays pourable for ${span(tried.warmInstead.workingMinutes)}.`}
          </li>
        )}
        {tried.embed && <li>{placingText(tried.embed, embed?.name ?? "The embed", units)}</li>}
        {setUp.embedId && !tried.piece && (
          <li>An embed is looked at in a piece: say where it is poured.</li>
        )}
        {tried.grains.map((grain) => (
          <li key={grain.colourantId}>
            {grain.placing
              ? placingText(grain.placing, grain.name, units)
              : `${grain.name}: too coarse for this layer, or too quick, to be worked out.`}
          </li>
        ))}
      </Box>
    </Box>
  );
}
