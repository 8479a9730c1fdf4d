import type { Derivation, Input } from "../api/client";

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
  RATIO_ERROR: "How far the rounded A to B is from the label’s; positive when there is too much A.",
  WORKING_TIME_HALVING:
    "Rule of thumb, from the first contact of A and B: half the time for every 10 °C more, somewhat longer for a smaller mass; time in the mixing cup counts at its own rate.",
  WORKING_TIME_ENGINE:
    "The cure engine, set so that the label’s pot life comes out: how fast it reacts, how it warms itself, what its cup gives off, and how thick that makes it, with what is left in the cup after every pour. Pourable up to 5 Pa·s or 60 °C.",
  PEAK_FORGOTTEN: "The cure engine, as if nothing were ever poured from this cup.",
  STATE_OF_CURE:
    "The cure engine, from the first contact of A and B: through the cups and into the mould, its warmth and its age going along. A drawn thread holds from 50 Pa·s on; at the gel point 58 % have reacted.",
  DOME_HEIGHT:
    "As high as was asked for, else a millimetre, or as much more as the piece loses when it cures; never more than the resin’s skin holds. Over the opening, by the dome’s mean height.",
  CURED_SURFACE:
    "What was poured, less what each layer loses when it cures by its label. A dome is used up first.",
  AS_PLANNED: "As the plan has it.",
  FITS_THE_FIRST: "As much as makes the ratio right with what is in of the first part.",
  SHARE_OF_BATCH:
    "What was planned for this cup, times what there is of the batch. What cannot be there is not asked for.",
  WHAT_IS_THERE: "What was planned, or all that its cup still has where that is less.",
  AS_WEIGHED: "What the scale said; as planned where nobody weighed.",
  STILL_IN_CUP: "What came into it, less what was poured and lost.",
  CUP_THICKENS:
    "The cure engine, from when A met B, in the room as it was read, emptied pour by pour as the rest is laid out now. Pourable up to 5 Pa·s or 60 °C.",
  CUP_STANDS:
    "The same as if nothing more were poured from it: as warm as it is, and running down as the clock does.",
  WAITS_FOR: "The latest of what it waits for, and when hands are free.",
  WINDOW_ENDS: "The first of the moments by which it has to be begun.",
  TAKES_SO_LONG: "When it began, and how long it takes.",
  TOLD_THEN: "When it was told to be done.",
  POUR_SPARE: "When its cup was thick, less when it was poured.",
  RUN_SPARE: "Of the pour that comes nearest: when its cup is thick, less when it ends.",
  RUN_LATE: "When the last open pour ends as the rest is laid out now, less when it was to end.",
  WHERE_IT_IS: "Resin and colour that went in; below, where it is now.",
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
