import { taskName } from "./taskWording";
import type { Cup, Derivation, Finding, Input, Loading, Mend, Plan, Session } from "../api/client";
import { showWith, type Units } from "../units/units";

/** Wall-clock time of a moment of the plan, in the workshop's zone. */
export function clockTime(startsAt: Date, seconds: number, zoneId: string): string {
  return new Intl.DateTimeFormat("en-GB", {
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zoneId,
  }).format(new Date(startsAt.getTime() + seconds * 1000));
}

export function dayAndTime(at: Date, zoneId: string): string {
  return new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zoneId,
  }).format(at);
}

const NUMBERS = ["No", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine"];

export function countWord(count: number): string {
  return NUMBERS[count] ?? String(count);
}

const ORDINALS = ["first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth"];

export function ordinal(place: number): string {
  return ORDINALS[place - 1] ?? `no. ${place}`;
}

/** Minutes as a maker says them: never more precise than it matters. */
export function minutes(value: number): string {
  return value < 10 && value % 1 !== 0 ? `${value.toFixed(1)} min` : `${Math.round(value)} min`;
}

/** A wait of minutes, hours or days, as one would say it. */
export function span(value: number): string {
  if (value < 180) {
    return minutes(value);
  }
  return value < 48 * 60 ? `${Math.round(value / 60)} h` : `${Math.round(value / 1440)} days`;
}

interface Stand {
  wrong: boolean;
  text: string;
}

/** How the plan stands, in a sentence; what is wrong comes first. */
export function stand(plan: Plan, startsAt: Date, zoneId: string, units: Units): Stand {
  const at = (seconds: number) => clockTime(startsAt, seconds, zoneId);
  const late = plan.findings.filter(
    (f) => f.severity === "BREACH" && f.rule === "POUR_AFTER_WORKING_TIME",
  );
  if (late.length > 0) {
    const worst = minutes(-plan.spareSeconds / 60);
    return {
      wrong: true,
      text:
        late.length === 1
          ? `One pour comes too late, by ${worst}.`
          : `${late.length} pours come too late, the last by ${worst}.`,
    };
  }
  const breach = plan.findings.find((f) => f.severity === "BREACH");
  if (breach) {
    return { wrong: true, text: findingText(breach, plan, units) };
  }
  const count = plan.batches.length;
  const mass = showWith(units.MASS, plan.totals.resinG, units.MASS.digits > 1 ? 2 : 0);
  const batches = `${countWord(count)} ${count === 1 ? "batch" : "batches"} of ${mass}${count === 1 ? "" : " in all"}.`;
  const pours = plan.batches.flatMap((b) => b.cups.flatMap((c) => c.pours));
  if (pours.length === 0) {
    const cup = plan.batches[0]?.cups[0];
    return {
      wrong: false,
      text: cup ? `${batches} Pourable until about ${at(cup.thickensSeconds)}.` : batches,
    };
  }
  if (count === 1) {
    const last = Math.max(...pours.map((p) => p.endSeconds));
    const open = Math.min(...plan.batches.flatMap((b) => b.cups.map((c) => c.thickensSeconds)));
    return {
      wrong: false,
      text: `${batches} The last pour ends at ${at(last)}; the cups stay pourable until ${at(open)}.`,
    };
  }
  return {
    wrong: false,
    text: `${batches.slice(0, -1)}, at ${plan.batches.map((b) => at(b.startSeconds)).join(", ")}. Every pour has at least ${minutes(plan.spareSeconds / 60)} to spare.`,
  };
}

/** When the last pour ends, seconds from the first step. */
export function lastPourEnds(plan: Plan): number {
  return Math.max(
    0,
    ...plan.batches.flatMap((b) => b.cups.flatMap((c) => c.pours.map((p) => p.endSeconds))),
  );
}

/** When the last piece is out of its mould; null when not all of them ever are. */
export function outOfMoulds(plan: Plan): number | null {
  const out = plan.tasks.filter((t) => t.kind === "DEMOULD");
  const pieces = plan.pieces.reduce((sum, p) => sum + p.count, 0);
  const free = out.reduce((sum, t) => sum + t.places, 0);
  return free < pieces ? null : Math.max(...out.map((t) => t.endSeconds));
}

/** Which mould on the board; moulds of one kind are counted on, whichever line they stand in. */
export function cavityName(plan: Plan, line: number, cavity: number): string {
  const piece = plan.pieces[line];
  const before = plan.pieces
    .slice(0, line)
    .filter((p) => p.mouldId === piece?.mouldId && p.cavityId === piece?.cavityId)
    .reduce((sum, p) => sum + p.count, 0);
  return `${piece?.mouldName ?? "mould"}, ${ordinal(before + cavity)}`;
}

/** A cup by its colour; several of one colour in a batch are counted. */
export function cupName(cups: Cup[], cup: Cup): string {
  const alike = cups.filter((c) => c.batch === cup.batch && c.colourId === cup.colourId);
  return alike.length < 2
    ? cup.colourName
    : `${cup.colourName} ${alike.findIndex((c) => c.id === cup.id) + 1}`;
}

/** Names of what a finding's address points at. */
export function placeText(place: string, plan: Plan): string {
  const [kind, id] = place.split("/");
  const cups = plan.batches.flatMap((b) => b.cups);
  if (kind === "cup") {
    const cup = cups.find((c) => c.id === id);
    return cup ? `the ${cupName(cups, cup)} cup` : `cup ${id}`;
  }
  if (kind === "pour") {
    for (const cup of cups) {
      const pour = cup.pours.find((p) => p.id === id);
      if (pour) {
        return `${cupName(cups, cup)} into ${cavityName(plan, pour.line, pour.cavity)}`;
      }
    }
  }
  if (kind === "piece") {
    return plan.pieces[Number(id)]?.mouldName ?? "a mould";
  }
  if (kind === "colour") {
    return cups.find((c) => c.colourId === id)?.colourName ?? "a colour";
  }
  if (kind === "resin") {
    return "the resin";
  }
  if (kind === "task") {
    const task = plan.tasks.find((t) => `task/${t.id}` === place);
    return task ? `“${taskName(task, plan)}”` : "a task that is no longer there";
  }
  if (kind === "layer") {
    const layer = Number(place.split("/")[2]);
    return `${plan.pieces[Number(id)]?.mouldName ?? "a mould"}, ${ordinal(layer + 1)} layer`;
  }
  if (kind === "part" || kind === "colourant" || kind === "embed") {
    const embed = plan.pieces
      .flatMap((p) => p.layers.flatMap((l) => l.embeds))
      .find((e) => e.embedId === id);
    const dose = cups.flatMap((c) => c.doses).find((d) => d.colourantId === id);
    return embed?.embedName ?? dose?.colourantName ?? "a part of the resin";
  }
  return kind === "batch" ? `batch ${id}` : "the plan";
}

/** A batch's heat is that of its mixing cup. */
function cupPlace(place: string, plan: Plan): string {
  return place.startsWith("batch/")
    ? `the mixing cup of ${placeText(place, plan)}`
    : placeText(place, plan);
}

export function findingText(finding: Finding, plan: Plan, units: Units): string {
  const place = placeText(finding.place, plan);
  const over = finding.value - finding.limit;
  switch (finding.rule) {
    case "POUR_AFTER_WORKING_TIME":
      return finding.severity === "BREACH"
        ? `${place}: ends ${minutes(over)} after the last good moment.`
        : `${capital(place)}: the last pour is in time by the label, but ${minutes(over)} late if the resin is quick and the room warm.`;
    case "TINT_HELD_BACK":
      return `${capital(place)} gets ${finding.value.toFixed(0)} % of its recipe: more would pass a limit.`;
    case "LOADING_NEAR_LIMIT":
      return `${capital(place)} is loaded to ${finding.value.toFixed(1)} % of at most ${finding.limit.toFixed(1)} %.`;
    case "RATIO_OFF":
      return `In ${place} the scale’s steps put A to B off by ${Math.abs(finding.value).toFixed(1)} %; at most ${finding.limit.toFixed(1)} %. Mix more, or use a finer scale.`;
    case "CUP_TOO_SMALL":
      return `${capital(place)} needs ${showWith(units.VOLUME, finding.value)}, and its cup holds ${showWith(units.VOLUME, finding.limit)}. Lay out a larger one.`;
    case "CUP_HEATS":
      return `${capital(place)} holds ${showWith(units.VOLUME, finding.value, 0)} in one cup; beyond ${showWith(units.VOLUME, finding.limit, 0)} it warms itself and thickens early. Split it, or pour it at once.`;
    case "BATCH_TOO_LARGE":
      return `${capital(place)} is ${showWith(units.MASS, finding.value, 0)}, and the label allows ${showWith(units.MASS, finding.limit, 0)} at once. Release a cup, or mix more batches.`;
    case "STOCK_CUP":
      return `${capital(place)} wants ${showWith(units.MASS, finding.value, 3)} of a colourant, less than this scale and its drops can tell: let it down from a stock cup, as the card says.`;
    case "DOSE_OFF":
      return `${capital(place)} gets ${showWith(units.MASS, finding.value, 2)} of a colourant instead of ${showWith(units.MASS, finding.limit, 2)}: nearer cannot be counted or weighed here. Mix more at once, or use a finer scale.`;
    case "DOSE_TOO_SMALL":
      return `${capital(place)} needs ${showWith(units.MASS, finding.limit, 3)} of a colourant: no drop, scoop or scale here measures so little. Weigh a smaller drop or scoop, use a finer scale, or mix more of this colour.`;
    case "BATCH_ENLARGED":
      return `${capital(place)}: ${showWith(units.MASS, finding.value, 0)} are mixed where ${showWith(units.MASS, finding.limit, 0)} are needed, because of the steps of scale or marks.`;
    case "POUR_IN_PARTS":
      return `${capital(place)}: takes ${finding.value} cups for one pour.`;
    case "CUP_TWICE":
      return `${capital(place)}: two pairs of hands at one cup or one cavity; it is free ${span(finding.limit - finding.value)} later.`;
    case "NOT_SURE_ENOUGH":
      return `Every pour makes it on ${Math.floor(finding.value)} of 100 days, and this workshop wants ${finding.limit}; weakest is ${place}.`;
    case "BEGINS_LATER":
      return `The work begins ${span(finding.value)} after the start you gave: sooner, something would fall when nobody is there or what it needs is taken.`;
    case "SEVERAL_BATCHES":
      return `${countWord(finding.value)} batches, mixed one after the other.`;
    case "MOULD_NOT_DRY":
      return `${capital(place)} is wet. Dry every corner, then tick it dry under Moulds.`;
    case "MOULD_NOT_CLEAN":
      return `${capital(place)} is not clean. Wipe it, let the alcohol go, and tick it under Moulds.`;
    case "MOULD_NOT_READY":
      return `${capital(place)} was made just now and needs ${Math.ceil(finding.value)} h more. Begin later, or leave it out.`;
    case "MOULD_FIRST_CAST":
      return `${capital(place)} is new: a first cast is often poor.`;
    case "MOULD_NEAR_ITS_END":
      return `${capital(place)} has ${finding.value} casts behind it, of about ${finding.limit}.`;
    case "MOULD_PAST_ITS_END":
      return `${capital(place)} is worn out by its own count: ${finding.value} casts of about ${finding.limit}. Look for tears and dull spots.`;
    case "URETHANE_BEFORE_EPOXY":
      return `${capital(place)} last held polyurethane; its residue can make epoxy bubble. Try one piece first.`;
    case "VOLUME_UNSURE":
      return `What ${place} holds is known to ± ${finding.value.toFixed(0)} % only; that much more is mixed. Measure it with water.`;
    case "COATING_IN_A_MOULD":
      return "A coating resin in moulds: the pieces may bend, more when warm, and stay so for months.";
    case "DEEPER_THAN_RATED":
      return `${capital(place)}: ${showWith(units.LENGTH, finding.value)} in one go, and the label allows ${showWith(units.LENGTH, finding.limit)}. Pour it in layers, or take a deep resin.`;
    case "THINNER_THAN_RATED":
      return `${capital(place)}: ${showWith(units.LENGTH, finding.value, 1)} in one go is thinner than the label’s ${showWith(units.LENGTH, finding.limit)}; thin sheets cure slowly and stay bendy.`;
    case "WAXED_CUP":
      return `${capital(place)} is mixed in a waxed cup: the wax comes off into the resin. Take another.`;
    case "WATER_IN_COLOUR":
      return `${capital(place)} holds ${finding.value.toFixed(1)} % of water, all its colourants together: try it first, and expect a softer cure.`;
    case "WATER_FORBIDDEN":
      return `${capital(place)} holds ${finding.value.toFixed(1)} % of water, and this workshop uses no water-based paint. Take another colour, or change that habit.`;
    case "SOLVENT_IN_COLOUR":
      return `${capital(place)} holds ${finding.value.toFixed(1)} % of solvent: thin edges may stay soft, and no flame or hot air comes near it.`;
    case "SINKS_IN_THIN":
      return `${capital(place)}: flakes and coarse glitter sink in a resin this thin. Wait until it thickens, or take finer ones.`;
    case "LABEL_CONTRADICTS":
      return `The resin’s label contradicts itself in ${countWord(finding.value).toLowerCase()} ${finding.value === 1 ? "place" : "places"}; see it on the shelf.`;
    case "LABEL_NOT_MET":
      return `The cure engine cannot meet ${finding.value === 1 ? "a figure" : `${countWord(finding.value).toLowerCase()} figures`} of this label; starting values stand in. The shelf says which.`;
    case "DAMP_AIR":
      return `The air is at ${finding.value.toFixed(0)} % humidity; below ${finding.limit.toFixed(0)} % is usual. Expect milky skins and bubbles: dry the room, the moulds and the embeds.`;
    case "RESIN_HOT":
      return `${capital(cupPlace(finding.place, plan))} reaches ${showWith(units.TEMPERATURE, finding.value, 0)} before it is poured out. Split it early, into shallow cups; mix less at once; cool the room.`;
    case "HOT_IF_FORGOTTEN":
      return `${capital(cupPlace(finding.place, plan))} can reach ${showWith(units.TEMPERATURE, finding.value, 0)} if it is forgotten full. Split it early. If it gets hot: do not hold, cover or bin it; put it outdoors on something that does not burn.`;
    case "PIECE_GETS_HOT":
      return `${capital(place)} warms itself to about ${showWith(units.TEMPERATURE, finding.value, 0)} in its mould. Pour it in thinner layers, cool the room, or take a slower resin.`;
    case "OUT_OF_ORDER":
      return `${capital(place)} comes before what it needs is done, ${span(finding.limit - finding.value)} too early.`;
    case "JOIN_TOO_EARLY":
      return `${capital(place)}: the layer below needs ${span(finding.limit - finding.value)} more before this join.`;
    case "JOIN_TOO_LATE":
      if (finding.severity === "NEAR") {
        return `${capital(place)}: this join just makes it, ${span(-over)} before it is too late.`;
      }
      return `${capital(place)}: the layer below is ${span(over)} past this join.`;
    case "EMBED_TOO_EARLY":
      return `${capital(place)}, ${span(finding.limit - finding.value)} before the layer would hold it.`;
    case "EMBED_TOO_LATE":
      if (finding.severity === "NEAR") {
        return `${capital(place)}, only ${span(-over)} before the layer no longer wets it.`;
      }
      return `${capital(place)}, ${span(over)} after the layer would still wet it.`;
    case "NUDGE_TOO_LATE":
      return `${capital(place)} comes ${span(over)} later than it helps.`;
    case "LOOK_TOO_LATE":
      return `${capital(place)} comes ${span(over)} later than bubbles wait.`;
    case "AFTER_GEL":
      if (finding.severity === "NEAR") {
        return `${capital(place)}, only ${span(-over)} before the first of it gels.`;
      }
      return `${capital(place)} ends ${span(over)} after the gel.`;
    case "NOT_YET_DRY":
      return `${capital(place)}: what lies below it needs ${span(finding.limit - finding.value)} more to dry.`;
    case "NOT_YET_CURED":
      return `${capital(place)}: it is hard ${span(finding.limit - finding.value)} later.`;
    case "FINISHED_TOO_EARLY":
      return `${capital(place)} comes ${span(finding.limit - finding.value)} before its wait is over.`;
    case "TASK_MISSING":
      return `${capital(place)} is not in this plan, and it has to be.`;
    case "HANDS_TWICE":
      return `${capital(place)} begins while the hands have something else, for ${span(finding.limit - finding.value)} more.`;
    case "HANDS_BOOKED":
      return `${capital(place)} falls into another session’s work.`;
    case "MAKER_AWAY":
      return `${capital(place)} falls into hours when nobody is there.`;
    case "NO_SUCH_TOOL":
      return `${capital(place)}: there is none on the shelf.`;
    case "TOOL_OVERFULL":
      return `${capital(place)}: it holds ${finding.limit} at once.`;
    case "TOOL_TWICE":
      return `${capital(place)} begins while another load is in, for ${span(finding.limit - finding.value)} more.`;
    case "BOARD_FULL":
      return `${finding.value} pieces stand at once, and the level boards have room for ${finding.limit}.`;
    case "MOULD_TWICE":
      return `${capital(place)} is wanted ${finding.value} times at once, and there are ${finding.limit}.`;
    case "MOULD_BOOKED":
      return finding.severity === "BREACH"
        ? `${capital(place)}: with another session’s pieces ${finding.value} are wanted at once, and there are ${finding.limit}.`
        : `${capital(place)} is also in another session at that time; nobody has noted how many there are.`;
    case "MOULD_NOT_FOR_POT":
      return `${capital(place)} is not fit for the pressure pot: air in its rubber would bend the piece.`;
    case "CAVITY_SHORT":
      return `${capital(place)} gets ${showWith(units.VOLUME, finding.value)} of ${showWith(units.VOLUME, finding.limit)}.`;
    case "CAVITY_OVERFULL":
      return `${capital(place)} gets ${showWith(units.VOLUME, finding.value)}, and takes ${showWith(units.VOLUME, finding.limit)}.`;
    case "MASS_BALANCE":
      return `The grams of ${place} do not add up: ${showWith(units.MASS, finding.value, 3)} beside ${showWith(units.MASS, finding.limit, 3)}.`;
    case "LOADING_OVER_LIMIT":
      return `${capital(place)} is loaded to ${finding.value.toFixed(1)} %, and ${finding.limit.toFixed(1)} % is the most.`;
    case "STOCK_SHORT":
      if (finding.severity === "NEAR") {
        return `${capital(place)}: nearly all of it goes, ${showWith(units.MASS, finding.value, 0)} of ${showWith(units.MASS, finding.limit, 0)}.`;
      }
      return finding.unit === "g"
        ? `${capital(place)} runs out: ${showWith(units.MASS, finding.value, 0)} wanted, ${showWith(units.MASS, finding.limit, 0)} left on the shelf.`
        : `${capital(place)}: ${finding.value} wanted, ${finding.limit} left on the shelf.`;
    case "FLAME_NEAR_ALCOHOL":
      return `${capital(place)} by flame or hot air, with alcohol on the bench: it can catch fire. Take a soft tool for this session.`;
    case "PIN_LOST":
      return "A task that was moved by hand is no longer in the plan.";
    case "EMBED_NOT_DRY":
      return `${capital(place)}: its embed is not dried or sealed, and would bubble.`;
    case "EMBED_POKES_THROUGH":
      return `${capital(place)}: a pointed embed pokes through loose powder.`;
    case "EMBED_RISES":
      return `${capital(place)}: its embed is lighter than the mix and rises. Anchor it, or put it in when the layer has thickened.`;
    case "EMBED_SINKS":
      return `${capital(place)}: its embed is heavier than the mix and sinks to the floor. Anchor it, or lay it on a bed.`;
    case "INNER_MOULD_RISES":
      return `${capital(place)}: the resin lifts the inner mould; lay ${showWith(units.MASS, finding.value, 0)} on it.`;
    case "INNER_WALL_THIN":
      return `${capital(place)}: ${showWith(units.LENGTH, finding.value, 1)} of wall round the inner mould is thin enough to tear.`;
    case "CUPS_SHORT":
      return `${capital(place)} needs ${finding.value} of “${finding.unit}”, and there are ${finding.limit}.`;
    case "NEVER_FULLY_CURED":
      return `In a room of ${showWith(units.TEMPERATURE, finding.value, 0)} some pieces never cure fully: they turn to glass before. A warm box for a night lets them go on.`;
  }
}

/** A line a cup whose pours come too late: how many, which first, by how much. */
export function latePours(plan: Plan): string[] {
  const late = plan.findings.filter(
    (f) => f.severity === "BREACH" && f.rule === "POUR_AFTER_WORKING_TIME",
  );
  return plan.batches
    .flatMap((b) => b.cups)
    .map((cup) => ({
      cup,
      its: late.filter((f) => cup.pours.some((p) => f.place === `pour/${p.id}`)),
    }))
    .filter(({ its }) => its.length > 0)
    .map(({ cup, its }) => {
      const over = its.map((f) => f.value - f.limit);
      const first = its[0] ? placeText(its[0].place, plan) : "";
      return its.length === 1
        ? `${first} comes ${minutes(Math.max(...over))} too late.`
        : `${its.length} of ${cup.pours.length} pours of ${cupName(
            plan.batches.flatMap((b) => b.cups),
            cup,
          )} come too late, from ${first} on: by ${minutes(Math.min(...over))} to ${minutes(Math.max(...over))}.`;
    });
}

/** What a maker may know better than the plan: told, and with a reason it is done all the same. */
export function acceptable(finding: Finding): boolean {
  return (
    finding.rule === "COATING_IN_A_MOULD" ||
    finding.rule === "DEEPER_THAN_RATED" ||
    finding.rule === "THINNER_THAN_RATED" ||
    finding.rule === "URETHANE_BEFORE_EPOXY" ||
    finding.rule === "WATER_FORBIDDEN" ||
    finding.rule === "WATER_IN_COLOUR" ||
    finding.rule === "SOLVENT_IN_COLOUR" ||
    finding.rule === "MOULD_PAST_ITS_END" ||
    finding.rule === "WAXED_CUP" ||
    finding.rule === "MOULD_NOT_FOR_POT" ||
    finding.rule === "CUP_HEATS"
  );
}

export function mendText(mend: Mend, session: Session, units: Units, startsAt: Date): string {
  switch (mend.kind) {
    case "NO_WARMING":
      return "Leave the bottles cold";
    case "SHORTER_REST":
      return mend.value === 0
        ? "No rest"
        : `Rest ${minutes(mend.value)} instead of ${minutes(session.habits?.restMinutes ?? 0)}`;
    case "MORE_BATCHES":
      return mend.value === 0
        ? "Mix one batch more"
        : `Mix ${countWord(mend.value).toLowerCase()} smaller batches`;
    case "COOLER_ROOM":
      return `Cool the room to ${showWith(units.TEMPERATURE, mend.value)}`;
    case "WARMER_ROOM":
      return `Warm the room to ${showWith(units.TEMPERATURE, mend.value)}`;
    case "DRIER_AIR":
      return `Dry the air to ${mend.value} %`;
    case "RELEASE_CUP":
      return "Give the cup back to the plan";
    case "ANEW":
      return "Make the plan anew";
    case "OPEN_PIECE":
      return "Open the piece";
    case "LESS_SURE":
      return `${mend.value} in 100 will do`;
    case "HELPER":
      return "Ask somebody to help";
    case "BY_WEIGHT":
      return `Weigh A and B: ${showWith(units.MASS, mend.value, 0)} in all`;
    case "BY_VOLUME":
      return `Measure A and B by marks: ${showWith(units.MASS, mend.value, 0)} in all`;
    case "MOVE_TASK":
      return `Move it to ${clockTime(startsAt, mend.value, session.zoneId)}`;
    case "RELEASE_PIN":
      return "Let the plan place it";
    case "CHANGE_HOURS":
      return "Change the hours";
    case "OTHER_START":
      return `Begin ${span(Math.abs(mend.value))} ${mend.value < 0 ? "earlier" : "later"}`;
    case "SOFT_TOOL":
      return "Bubbles with a soft tool";
    case "LEAVE_OUT":
      return "Leave it out";
    case "CURE_ON_BENCH":
      return "Cure it on the bench";
    case "OPEN_SHELF":
      return mend.target?.startsWith("mould/") ? "Open the mould" : "Open the shelf";
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function basisText(basis: Loading["basis"]): string {
  switch (basis) {
    case "DROPS_IN_10_ML":
      return "drops in 10 mL of resin";
    case "WEIGHT_OF_MIX":
      return "by weight of the mix";
    case "WEIGHT_OF_RESIN":
      return "by weight of the resin";
    case "VOLUME_OF_MIX":
      return "by volume of the mix";
    case "VOLUME_OF_RESIN":
      return "by volume of the resin";
  }
}

export function limitText(loading: Loading): string {
  const whose = {
    SHOP_ALL: "all additives together",
    SHOP_LIQUIDS: "liquid colour",
    SHOP_DROPS: "liquid colour",
    RESIN: "what the resin takes",
    COLOURANT: "its own label",
  }[loading.whose];
  return `${whose}, ${basisText(loading.basis)}`;
}

/** What each formula does, in a line. */
const FORMULAS: Record<Derivation["formula"], string> = {
  FILL_BY_SHARE: "The layer’s share of what the mould holds.",
  FILL_BY_DEPTH:
    "What the mould holds up to the top of the layer, less what it holds up to the layer’s foot.",
  FILL_BY_VOLUME: "As given.",
  FILL_THE_REST: "What the mould holds, less the layers below.",
  COAT_VOLUME: "Area times thickness; edges and what runs off on top.",
  POUR_MASS: "Volume times the density of the tinted mix, up to a whole milligram.",
  PIECE_VOLUME: "All its layers.",
  SESSION_VOLUME: "Every piece of every mould.",
  POUR_END: "From the batch’s first step: everything the hands do before, and the rest.",
  SPARE:
    "From the batch’s first step: when A meets B, and the working time, less the margin and the end of the pour that comes nearest.",
  SUM_OF_POURS: "All pours out of this cup.",
  RESIN_DENSITY: "A and B in the label’s ratio; their volumes add up.",
  MIX_DENSITY: "Resin and colourants together; a powder takes the room of its solid grains.",
  CUP_CONTENT:
    "The pours and the overage, and on top what stays in the cup: (pours + overage + what badly known moulds may take more + always) ÷ (1 − share).",
  CUP_RESIN: "The content less the colourants.",
  RESIN_AS_MIXED:
    "The whole batch stays in the cup it was mixed in, less what a first cup or stock cups keep.",
  CONTENT_AS_MIXED: "Resin and colourants.",
  CUP_STAYS: "Content less what is poured: what clings, and the overage.",
  DOSE: "By the recipe: resin × this colourant’s share ÷ (100 − the whole recipe’s share), held at the nearest limit.",
  DOSE_IN_DROPS: "Drops counted × the mass of one, down to a milligram.",
  DOSE_IN_SCOOPS: "Scoops counted × what one holds × how dense it lies, down to a milligram.",
  DOSE_WEIGHED: "What the recipe asks for, in the scale’s steps.",
  DOSE_FROM_STOCK: "What is taken of the stock × the colour’s share of it.",
  DOSE_WITH_MIX: "Stirred into the whole mix before it was split; this cup’s share of it.",
  DOSE_LEFT_OUT: "Nothing here measures so little: none is put in.",
  DROPS:
    "What the recipe asks for ÷ the mass of one drop, to a whole number that passes no limit and keeps the recipe’s proportions.",
  SCOOPS:
    "What the recipe asks for ÷ what one scoop holds, to a quarter that passes no limit and keeps the recipe’s proportions.",
  LOADING: "What is stirred in, as a share, the way this limit counts.",
  BATCH_NEED:
    "The resin of all cups and what is kept back, and what stays in the mixing cup or cups.",
  PART_BY_WEIGHT: "The need, shared out in the label’s ratio, by weight.",
  PART_BY_VOLUME: "The need, shared out in the label’s ratio, by volume.",
  PART_MASS_FROM_VOLUME: "Volume times density.",
  PART_VOLUME_FROM_MASS: "Mass over density.",
  PARTS_TOGETHER: "A and B together.",
  RATIO_ERROR: "How far the rounded A to B is from the label’s; positive when A is heavy.",
  WORKING_TIME_HALVING:
    "Rule of thumb, from the first contact of A and B: half the time for every 10 °C more, somewhat longer for a smaller mass; time in the mixing cup counts at its own rate.",
  WORKING_TIME_ENGINE:
    "The cure engine, set so that the label’s pot life comes out: how fast it reacts, how it warms itself, what its cup gives off, and how thick that makes it, with what is left in the cup after every pour. Pourable up to 5 Pa·s or 60 °C.",
  PEAK_FORGOTTEN: "The cure engine, as if nothing were ever poured from this cup.",
  STATE_OF_CURE:
    "The cure engine, from the first contact of A and B: through the cups and into the mould, its warmth and its age going along. A drawn thread holds from 50 Pa·s on; at the gel point 58 % have reacted.",
  LAYER_PEAK:
    "The cure engine, in the mould: the heat that it makes, and what mould and air take of it.",
  LAYER_CURE:
    "From the layer’s last pour, the later of two: what the cure engine says, and the label’s own time (or what is usual for its kind), which passes quicker in a warm place and slower in a cold one.",
};

export function formulaText(formula: Derivation["formula"]): string {
  return FORMULAS[formula];
}

export function originText(origin: Input["origin"]): string {
  return {
    LABEL: "label",
    MEASURED: "measured",
    LEARNED: "learned",
    ASSUMED: "assumed",
    CHOSEN: "chosen",
    WORKED_OUT: "worked out",
  }[origin];
}

/** A number in one of the trade's units, in the maker's units where there is a choice. */
export function withUnit(value: number, unit: string, units: Units): string {
  switch (unit) {
    case "g":
      return units.MASS.symbol === "g" ? `${figure(value)} g` : showWith(units.MASS, value, 3);
    case "mL":
      return units.VOLUME.symbol === "mL"
        ? `${figure(value)} mL`
        : showWith(units.VOLUME, value, 3);
    case "mm":
      return units.LENGTH.symbol === "mm" ? `${figure(value)} mm` : showWith(units.LENGTH, value);
    case "°C":
      return showWith(units.TEMPERATURE, value);
    default:
      return `${figure(value)} ${unit}`.trim();
  }
}

/** Four figures are more than any scale at the bench shows. */
function figure(value: number): string {
  if (Number.isInteger(value)) {
    return String(value);
  }
  const digits = Math.abs(value) >= 100 ? 1 : Math.abs(value) >= 1 ? 2 : 3;
  return String(Number(value.toFixed(digits)));
}

/** Pours of one layer that a cup holds. */
export function portionText(
  plan: Plan,
  portion: { line: number; layer: number; cavities: number },
): string {
  const piece = plan.pieces[portion.line];
  const which = (piece?.layers.length ?? 1) > 1 ? `, ${ordinal(portion.layer + 1)} layer` : "";
  return `${portion.cavities} × ${piece?.mouldName ?? "mould"}${which}`;
}

/** The same where there is little room; the whole is told when it is pointed at. */
export function portionShort(
  plan: Plan,
  portion: { line: number; layer: number; cavities: number },
): string {
  const piece = plan.pieces[portion.line];
  const which = ["1st", "2nd", "3rd", "4th", "5th", "6th"][portion.layer] ?? "";
  const layer = (piece?.layers.length ?? 1) > 1 ? `, ${which}` : "";
  return `${portion.cavities} ${piece?.mouldName ?? "mould"}${layer}`;
}

/** How near a cup comes to a limit, as the limit counts. */
export function loadingText(loading: Loading): string {
  const limit = Number(loading.limitPercent.toFixed(1));
  return loading.basis === "DROPS_IN_10_ML"
    ? `${loading.percent.toFixed(1)} of ${limit} drops in 10 mL`
    : `${loading.percent.toFixed(1)} of ${limit} %`;
}
