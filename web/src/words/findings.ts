import { readPlace } from "../session/place";
import { ofPour } from "../session/place";
import type { Finding, Mend, Plan, Session } from "../api/client";
import { showWith, type Units } from "../units/units";
import { capital, countWord } from "./numbers";
import { cupName, cupPlace, placeText } from "./places";
import { clockTime, minutes, minutesBetween, minutesGiven, span, spanGiven } from "./time";

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
      return `${capital(place)} needs ${showWith(units.MASS, finding.value, 3)} of a colourant: too little to weigh or count. Make a stock cup, as the card says.`;
    case "DOSE_OFF":
      return `${capital(place)} gets ${showWith(units.MASS, finding.value, 2)} of a colourant instead of ${showWith(units.MASS, finding.limit, 2)}: scale and drops here tell no finer. Mix more at once, or use a finer scale.`;
    case "DOSE_TOO_SMALL":
      return `${capital(place)} needs ${showWith(units.MASS, finding.limit, 3)} of a colourant: no drop, scoop or scale here measures so little. Weigh a smaller drop or scoop, use a finer scale, or mix more of this colour.`;
    case "BATCH_ENLARGED":
      return `${capital(place)}: ${showWith(units.MASS, finding.value, 0)} are mixed where ${showWith(units.MASS, finding.limit, 0)} are needed, because of the steps of scale or marks.`;
    case "POUR_IN_PARTS":
      return `${capital(place)} needs ${finding.value} cups for one pour.`;
    case "CUP_TWICE":
      return `${capital(place)}: two pairs of hands at one cup or one cavity; it is free ${span(finding.limit - finding.value)} later.`;
    case "NOT_SURE_ENOUGH":
      return `This plan is ${Math.floor(finding.value)} % sure; you want ${finding.limit} %. Weakest: ${place}.`;
    case "BEGINS_LATER":
      return `Starts ${span(finding.value)} after the start you gave. ${
        finding.other
          ? `Before that, ${otherName(finding)} is in the way.`
          : "Before that nobody is there, or what it needs is in use."
      }`;
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
      return `${capital(place)} is worn out: ${finding.value} casts of about ${finding.limit}. Look for tears and dull spots.`;
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
      return `${capital(place)}: ${span(finding.limit - finding.value)} too early. What it needs is not done yet.`;
    case "JOIN_TOO_EARLY":
      return `${capital(place)}: the layer below needs ${span(finding.limit - finding.value)} more before this join.`;
    case "JOIN_TOO_LATE":
      if (finding.severity === "NEAR") {
        return `${capital(place)}: this join just makes it, ${span(-over)} before it is too late.`;
      }
      return `${capital(place)}: the layer below is ${span(over)} past this join.`;
    case "EMBED_TOO_EARLY":
      return `${capital(place)}: ${span(finding.limit - finding.value)} too early. The layer does not hold it yet.`;
    case "EMBED_TOO_LATE":
      if (finding.severity === "NEAR") {
        return `${capital(place)}: only ${span(-over)} to spare. After that the layer no longer wets it.`;
      }
      return `${capital(place)}: ${span(over)} too late. The layer no longer wets it.`;
    case "WET_TOO_LATE":
      return `${capital(place)} ends ${span(finding.value - finding.limit)} after its layer is too thick to flow: fewer pieces at once, or a smaller batch.`;
    case "NUDGE_TOO_LATE":
      return `${capital(place)}: ${span(over)} too late. The layer no longer gives way.`;
    case "LOOK_TOO_LATE":
      return `${capital(place)}: ${span(over)} too late. The bubbles no longer come out.`;
    case "AFTER_GEL":
      if (finding.severity === "NEAR") {
        return `${capital(place)}: only ${span(-over)} to spare. After that the first of it has gelled.`;
      }
      return `${capital(place)} ends ${span(over)} after the gel.`;
    case "NOT_YET_DRY":
      return `${capital(place)}: what lies below it needs ${span(finding.limit - finding.value)} more to dry.`;
    case "NOT_YET_CURED":
      return `${capital(place)}: ${span(finding.limit - finding.value)} too early. It is not hard yet.`;
    case "FINISHED_TOO_EARLY":
      return `${capital(place)}: ${span(finding.limit - finding.value)} too early. Its wait is not over.`;
    case "TASK_MISSING":
      return `${capital(place)} is not in this plan, and it has to be.`;
    case "HANDS_TWICE":
      return `${capital(place)}: ${span(finding.limit - finding.value)} too early. The hands are busy until then.`;
    case "HANDS_BOOKED":
      return `${capital(place)}: ${otherName(finding)} needs your hands at that time.`;
    case "MAKER_AWAY":
      return `${capital(place)}: nobody is there at that time.`;
    case "NO_SUCH_TOOL":
      return `${capital(place)}: you have none on the shelf yet.`;
    case "TOOL_OVERFULL":
      return `${capital(place)}: it holds ${finding.limit} at once.`;
    case "TOOL_TWICE":
      return `${capital(place)}: ${span(finding.limit - finding.value)} too early. Another load is in until then.`;
    case "BOARD_FULL":
      return `${finding.value} pieces stand at once, and the level boards have room for ${finding.limit}.`;
    case "MOULD_TWICE":
      return `${capital(place)} is wanted ${finding.value} times at once, and there are ${finding.limit}.`;
    case "MOULD_BOOKED":
      if (finding.other && !finding.other.id) {
        return `${capital(place)}: with those that stayed with earlier pieces ${finding.value} are wanted, and there were ${finding.limit}. Count what is left under Moulds.`;
      }
      return finding.severity === "BREACH"
        ? `${capital(place)}: with the pieces of ${otherName(finding)} ${finding.value} are wanted at once, and there are ${finding.limit}.`
        : `${capital(place)} is also in ${otherName(finding)} at that time; nobody has noted how many there are.`;
    case "MOULD_NOT_FOR_POT":
      return `${capital(place)} is not fit for the pressure pot: air in its rubber would bend the piece.`;
    case "CAVITY_SHORT":
      return `${capital(place)} gets too little: ${showWith(units.VOLUME, finding.value)} of ${showWith(units.VOLUME, finding.limit)}.`;
    case "CAVITY_OVERFULL":
      return `${capital(place)} gets too much: ${showWith(units.VOLUME, finding.value)}, and it holds ${showWith(units.VOLUME, finding.limit)}.`;
    case "MASS_BALANCE":
      return `The grams of ${place} do not add up: ${showWith(units.MASS, finding.value, 3)} beside ${showWith(units.MASS, finding.limit, 3)}.`;
    case "LOADING_OVER_LIMIT":
      return `${capital(place)} is loaded to ${finding.value.toFixed(1)} %, and ${finding.limit.toFixed(1)} % is the most.`;
    case "TOO_LITTLE_RESIN":
      return `${amountOf(finding.value - finding.limit, finding, units)} too little resin: this needs ${amountOf(finding.value, finding, units)}, and there is ${amountOf(finding.limit, finding, units)}.`;
    case "RESIN_LEFT_OVER":
      return `${amountOf(finding.value, finding, units).replace(/ of [AB]$/, "")} of ${amountOf(finding.limit, finding, units)} would be left over.`;
    case "STOCK_SHORT":
      if (finding.severity === "NEAR") {
        return `${capital(place)} is nearly used up: ${showWith(units.MASS, finding.value, 0)} of ${showWith(units.MASS, finding.limit, 0)}.`;
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
    case "EMBED_TOO_LARGE":
      return `${capital(place)}: its embed takes ${showWith(units.LENGTH, finding.value, 0)}, the cavity has ${showWith(units.LENGTH, finding.limit, 0)}. Try it dry first.`;
    case "EMBED_NOT_COVERED":
      return `${capital(place)}: its embed stands ${showWith(units.LENGTH, finding.value, 1)} high in a layer of ${showWith(units.LENGTH, finding.limit, 1)}. Pour a deeper layer, or let it stand out on purpose.`;
    case "DOME_RUNS_OVER":
      return `${capital(place)}: a dome of ${showWith(units.LENGTH, finding.value, 1)} runs over; the resin’s skin holds about ${showWith(units.LENGTH, finding.limit, 1)} over an opening so wide.`;
    case "LID_LEAVES_A_VOID":
      return `${capital(place)} is closed by a lid and not filled over: that leaves a void. Fill it to a slight dome.`;
    case "LID_OVERFULL":
      return `${capital(place)}: ${showWith(units.VOLUME, finding.value, 1)} over the rim lift the lid, ${showWith(units.VOLUME, finding.limit, 1)} is plenty. Expect a raised face to be sanded.`;
    case "HEAT_UNDER_LID":
      return `${capital(place)}: heat and mist do nothing under a lid. Wet the lid’s face, squeeze the mould, or use the pressure pot.`;
    case "RESIN_COLD":
      return `A and B meet at ${showWith(units.TEMPERATURE, finding.value, 0)}. Below ${showWith(units.TEMPERATURE, finding.limit, 0)} resin is thick, turns milky and keeps its bubbles.`;
    case "REST_TOO_SHORT":
      return `In this rest only bubbles of ${showWith(units.LENGTH, finding.value, 1)} and more get out of the mixing cup; ${showWith(units.LENGTH, finding.limit, 1)} can be seen. Warm the bottles, rest longer in a shallow cup, or use the pressure pot.`;
    case "OIL_BRINGS_BUBBLES":
      return `${capital(place)} has oil-based paint in it, which brings up bubbles: look again more often.`;
    case "OIL_AGES_RESIN":
      return `${capital(place)} has silicone oil in it: a drop or two, and the resin may age sooner.`;
    case "RELEASE_COSTS_TIME":
      return `${capital(place)}: warmed for its bubbles it pours for ${Math.round(finding.value)} min in the mixing cup, not ${Math.round(finding.limit)}.`;
    case "RELEASE_CLEARS":
      return `${capital(place)}: warmed, bubbles down to ${showWith(units.LENGTH, finding.value, 2)} leave in its rest, else down to ${showWith(units.LENGTH, finding.limit, 2)}.`;
    case "DYE_STAINS_MOULD":
      return `${capital(place)} has dye in it, which stains moulds of rubber: keep one mould for it.`;
    case "CHIPS_DENT_POWDER":
      return `${capital(place)}: the chips on its floor dent the loose powder there. Powder the upper wall only, or lay no chips.`;
    case "FADES_IN_LIGHT":
      return `${capital(place)} fades in daylight: keep its pieces out of the sun, or take another pigment.`;
    case "INNER_MOULD_RISES":
      return `${capital(place)}: the resin lifts the inner mould; lay ${showWith(units.MASS, finding.value, 0)} on it.`;
    case "INNER_WALL_THIN":
      return `${capital(place)}: ${showWith(units.LENGTH, finding.value, 1)} of wall round the inner mould is thin enough to tear.`;
    case "CUPS_SHORT":
      return `${capital(place)} needs ${finding.value} of “${finding.unit}”, and there are ${finding.limit}.`;
    case "NEVER_FULLY_CURED":
      return `In a room of ${showWith(units.TEMPERATURE, finding.value, 0)} some pieces stop curing before they are done. A night in a warm box lets them go on.`;
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
      its: late.filter((f) => cup.pours.some((p) => f.place === ofPour(p.id))),
    }))
    .filter(({ its }) => its.length > 0)
    .map(({ cup, its }) => {
      const over = its.map((f) => f.value - f.limit);
      const first = its[0] ? placeText(its[0].place, plan) : "";
      if (its.length === 1) {
        return `${capital(first)} is ${minutes(Math.max(...over))} too late.`;
      }
      const of = cupName(
        plan.batches.flatMap((b) => b.cups),
        cup,
      );
      const by = minutesBetween(Math.min(...over), Math.max(...over));
      return its.length === cup.pours.length
        ? `All ${its.length} pours of ${of} are too late, by ${by}.`
        : `${its.length} of ${cup.pours.length} pours of ${of} are too late, by ${by}. The first is ${first}.`;
    });
}

export function mendText(
  mend: Mend,
  session: Session,
  units: Units,
  startsAt: Date,
  plan?: Plan,
): string {
  switch (mend.kind) {
    case "NO_WARMING":
      return "Leave the bottles cold";
    case "WARM_BOTTLES":
      return "Warm both bottles in water first";
    case "SHORTER_REST":
      return mend.value === 0
        ? "No rest"
        : `Rest ${minutesGiven(mend.value)} instead of ${minutesGiven(session.habits?.restMinutes ?? 0)}`;
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
      return `${mend.value} % will do`;
    case "HELPER":
      return "Ask somebody to help";
    case "OVERAGE":
      return mend.value === 0 ? "No overage" : `Overage down to ${mend.value} %`;
    case "PIECES": {
      const at = readPlace(mend.target ?? "");
      const line = at.of === "line" ? at.line - 1 : 0;
      const was = session.pieces?.[line]?.count ?? 0;
      const name = plan ? lineName(plan, line) : `line ${line + 1}`;
      return `${mend.value} ${name} instead of ${was}`;
    }
    case "FEWER_OF_ALL":
      return `${mend.value} pieces fewer in all`;
    case "FILLER":
      return "Add a filler mould";
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
      return `Begin ${spanGiven(Math.abs(mend.value))} ${mend.value < 0 ? "earlier" : "later"}`;
    case "SOFT_TOOL":
      return "Bubbles with a soft tool";
    case "LEAVE_OUT": {
      const piece = plan?.pieces[mend.value];
      return plan && piece
        ? `Leave out ${piece.count} ${lineName(plan, mend.value)}`
        : "Leave it out";
    }
    case "CURE_ON_BENCH":
      return "Cure it on the bench";
    case "OPEN_SHELF":
      return mend.target?.startsWith("mould/") ? "Open the mould" : "Open the shelf";
  }
}

/** A line of pieces by its mould, with its colours where another line fills the same mould. */
function lineName(plan: Plan, line: number): string {
  const piece = plan.pieces[line];
  if (!piece) {
    return `line ${line + 1}`;
  }
  const alike = plan.pieces.filter((p) => p.mouldName === piece.mouldName).length > 1;
  const colours = new Set(piece.layers.flatMap((l) => l.colours.map((c) => c.colourName)));
  return alike ? `${piece.mouldName} (${[...colours].join(", ")})` : piece.mouldName;
}

function otherName(finding: Finding): string {
  return finding.other ? `“${finding.other.name}”` : "another session";
}

/** An amount of resin as a finding counts it: by weight, by volume, or of one part. */
function amountOf(value: number, { unit }: Finding, units: Units): string {
  if (unit === "mL") {
    return showWith(units.VOLUME, value);
  }
  return `${showWith(units.MASS, value)}${unit.startsWith("g of ") ? unit.slice(1) : ""}`;
}
