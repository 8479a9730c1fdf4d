import type {
  BodyTried,
  Comparison,
  CureCaution,
  CureCost,
  Moment,
  Placing,
  Tried,
} from "../api/client";
import { showWith, type Units } from "../units/units";
import { span } from "./curves";

/** The sentence that matters about two set-ups. */
export function verdict(comparison: Comparison, units: Units): string {
  const by = span(comparison.minutes);
  const lasts = {
    FIRST_BEYOND_GEL: `The first cup is still pourable when the second has gelled, for ${by} more`,
    SECOND_BEYOND_GEL: `The second cup is still pourable when the first has gelled, for ${by} more`,
    FIRST_LONGER: `The first cup stays pourable ${by} longer`,
    SECOND_LONGER: `The second cup stays pourable ${by} longer`,
    ALIKE: "Both cups last alike",
  }[comparison.lasts];
  const peak = (tried: Tried) => showWith(units.TEMPERATURE, tried.cup.states.heat?.peakC ?? 0, 0);
  const { first, second } = comparison;
  switch (comparison.hot) {
    case "NEITHER":
      return comparison.coolC === undefined
        ? `${lasts}.`
        : `${lasts}; left alone, neither passes ${showWith(units.TEMPERATURE, comparison.coolC, 0)}.`;
    case "FIRST":
      return `${lasts}; if forgotten, the first gets to ${peak(first)}.`;
    case "SECOND":
      return `${lasts}; if forgotten, the second gets to ${peak(second)}.`;
    case "BOTH":
      return `${lasts}; if forgotten, the first gets to ${peak(first)} and the second to ${peak(second)}.`;
    case "UNKNOWN":
      return `${lasts}, by the rule of thumb.`;
  }
}

function moment(at: Moment): string {
  const latest = at.latestMinutes;
  return latest === undefined
    ? `${span(at.minutes)} (from ${span(at.earliestMinutes)}; perhaps never)`
    : `${span(at.minutes)} (${span(at.earliestMinutes)} to ${span(latest)})`;
}

/** A cup that warms itself quickly is too warm before it is too thick. */
function whyNoLonger(body: BodyTried): string {
  return body.curve?.endsTooWarm ? ", then too warm" : "";
}

/** The states of a body in words, one a line. */
export function stateLines(
  body: BodyTried,
  piece: boolean,
  units: Units,
): { what: string; when: string }[] {
  const { states } = body;
  const lines = piece
    ? []
    : [{ what: "Pourable for", when: moment(states.workingTimeEnds) + whyNoLonger(body) }];
  lines.push(
    { what: "A drawn thread holds after", when: moment(states.tooThick) },
    { what: "Gel after", when: moment(states.gels) },
  );
  if (piece) {
    lines.push(
      {
        what: "A next layer bonds until",
        when: states.bondEnds ? moment(states.bondEnds) : "it never cures that far",
      },
      {
        what: "Out of its mould after",
        when: states.demould ? moment(states.demould) : "never, in this room",
      },
      {
        what: "Fully cured after",
        when: states.fullCure ? moment(states.fullCure) : "never, in this room",
      },
    );
  }
  if (states.heat) {
    const { peakC, leastPeakC, mostPeakC, peakAtMinutes, used } = states.heat;
    lines.push({
      what: piece ? "Warmest" : "Warmest, if forgotten",
      when: `${showWith(units.TEMPERATURE, peakC, 0)} after ${span(peakAtMinutes)} (${showWith(units.TEMPERATURE, leastPeakC, 0)} to ${showWith(units.TEMPERATURE, mostPeakC, 0)})`,
    });
    lines.push({ what: "Margin to running away", when: marginText(used) });
  }
  return lines;
}

/** How near a body comes to driving itself by its own heat. */
export function marginText(used: number): string {
  return used >= 1
    ? "none: it heats itself on and on"
    : `it makes ${(used * 100).toFixed(0)} % of the heat at which it runs away`;
}

export function costText(cost: CureCost): string {
  const off = cost.with - cost.without;
  const by = cost.unit === "h" ? span(Math.abs(off) * 60) : span(Math.abs(off));
  const much = Math.abs(off) < 0.05 ? "changes nothing" : off < 0 ? `costs ${by}` : `gives ${by}`;
  switch (cost.measure) {
    case "WARMING":
      return `Colder or warmer parts: that ${much} of working time.`;
    case "LAMP":
      return `The lamp or hot air ${much} of working time; what it puts into the cup is assumed.`;
    case "SPLITTING":
      return `Splitting ${much} of working time.`;
    case "COLOUR":
      return `The colour ${much} of working time, by assumed factors.`;
    case "LATER_ROOM":
      return Math.abs(off) < 0.05
        ? "The other room later changes nothing for the mould."
        : `With the other room later it comes out of its mould ${by} ${off < 0 ? "sooner" : "later"}.`;
  }
}

export function cautionText(caution: CureCaution, units: Units): string {
  const c = (value: number) => showWith(units.TEMPERATURE, value, 0);
  switch (caution.kind) {
    case "CUP_HOT_IF_FORGOTTEN":
      return `If this cup is forgotten it gets to about ${c(caution.value)}: split it into shallower cups, or pour it in good time.`;
    case "CUP_RUNS_AWAY":
      return `With a quick resin in a warm room this cup heats itself to about ${c(caution.value)}.`;
    case "PIECE_GETS_HOT":
      return `The piece warms itself to about ${c(caution.value)}: thinner layers, or a slower resin.`;
    case "TOO_LATE_TO_POUR":
      return `It is ready after ${span(caution.value)}, and pourable only for ${span(caution.limit)}.`;
    case "DAMP_AIR":
      return `${caution.value.toFixed(0)} % humidity is damp (usual is below ${caution.limit.toFixed(0)} %): milky skins and bubbles. There is no figure for it here.`;
    case "COLD_ROOM":
      return `Below ${c(caution.limit)} resin is thick, turns milky in mixing and keeps its bubbles.`;
    case "BEYOND_LARGEST_BATCH":
      return `The label allows ${showWith(units.MASS, caution.limit, 0)} at once; this is ${showWith(units.MASS, caution.value, 0)}.`;
    case "NEVER_FULLY_CURED":
      return `It stops curing before it is done, for four weeks at least. A warm box lets it go on.`;
    case "BY_RULE_OF_THUMB":
      return "The cure engine cannot meet this label: the times are by the rule of thumb, and there is no curve.";
  }
}

/** What becomes of an embed, and when to put it in. */
export function placingText(placing: Placing, what: string, units: Units): string {
  const mm = (value: number) => showWith(units.LENGTH, value, 1);
  const does = {
    FLOATS: "rises",
    SINKS: "sinks",
    HOVERS: "hardly moves",
  }[placing.tendency];
  const ends = {
    FLOOR: `${does} to the floor`,
    SURFACE: `${does} to the surface`,
    WHERE_IT_IS: placing.tendency === "HOVERS" ? does : `${does} by ${mm(placing.atOnceMm)}`,
  }[placing.ends];
  const first = `${what} ${ends} if it goes in at once`;
  switch (placing.way) {
    case "ANY_TIME":
      return `${first}: it may go in any time until ${span(placing.untilMinutes)}, while it is still wetted.`;
    case "IN_WINDOW":
      return `${first}. Placed between ${span(placing.fromMinutes ?? 0)} and ${span(placing.untilMinutes)} it stays within a millimetre and is still wetted.`;
    case "TOUCHES_BOTH":
      return `${what} cannot move: it touches floor and surface. Until ${span(placing.untilMinutes)} it is still wetted.`;
    case "BED_OR_ANCHOR":
      return `${first}, and there is no right moment: let a bed layer gel under it, or anchor it.`;
  }
}
