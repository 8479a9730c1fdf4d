import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

type S = components["schemas"];
export type Session = S["Session"];
export type Piece = S["Piece"];
export type TrialTold = S["TrialTold"];
export type Layer = S["Layer"];
export type Fill = S["Fill"];
export type Mould = S["Mould"];
export type Resin = S["ResinSystem"];
export type Colour = S["Colour"];
export type Workshop = S["Workshop"];
export type Plan = S["Plan"];
export type PlanAnswer = S["PlanAnswer"];
export type JournalFound = S["JournalFound"];
export type JournalEvening = S["JournalEvening"];
export type JournalPiece = S["JournalPiece"];
export type JournalPiecePage = S["PiecePage"];
export type WhatWentWrong = S["WhatWentWrong"];
export type JournalFault = WhatWentWrong["fault"];
export type NextTest = WhatWentWrong["next"];
export type Cause = S["Suspect"]["cause"];
export type Weighed = S["WeighedFact"];
export type Evidence = S["Evidence"];
export type Clue = Evidence["clue"];
export type Yield = S["PieceYield"];
export type DepthHere = S["DepthHere"];
export type JoinMade = S["JoinMade"];
export type LearnedHand = S["Learned"];
export type CupStays = S["CupStays"];
export type CountedDose = S["CountedDose"];
export type ResinPace = S["ResinPace"];
export type MouldFill = S["MouldFill"];
export type Behind = S["Behind"];
export type RoomFelt = S["RoomFelt"];
export type RoomDrift = S["RoomDrift"];
export type LidSurplus = S["LidSurplus"];
export type OverageNeeded = S["OverageNeeded"];
export type WeighedBeside = S["WeighedBeside"];
export type Felt = S["Felt"];
export type PlansHeld = S["PlansHeld"];
export type HowPlansHeld = S["HowPlansHeld"];
export type TwoCounts = S["TwoCounts"];
export type YieldBy = paths["/api/journal/yields"]["get"]["parameters"]["query"]["by"];
/** What is looked for in the journal. */
export type JournalWanted = NonNullable<paths["/api/journal"]["get"]["parameters"]["query"]>;
export type Amount = S["Amount"];
export type Batch = S["Batch"];
export type Cup = S["Cup"];
export type CupKind = S["CupKind"];
export type Pour = S["Pour"];
export type Task = S["Task"];
export type Finding = S["Finding"];
export type Mend = S["Mend"];
export type Loading = S["Loading"];
export type Dose = S["Dose"];
export type PieceView = S["PieceView"];
export type Derivation = S["Derivation"];
export type Input = S["Input"];
export type OpenedSession = S["OpenedSession"];
export type SessionLine = S["SessionLine"];
export type UnitLine = S["UnitLine"];
export type Habits = S["Habits"];
export type Hands = S["Hands"];
export type SectionRow = S["SectionRow"];
export type Solid = S["Solid"];
export type Cavity = S["Cavity"];
export type Measurement = S["Measurement"];
export type MeasureAnswer = S["MeasureAnswer"];
export type MouldView = S["MouldView"];
export type MeshAnswer = S["MeshAnswer"];
export type MeshShape = S["MeshShape"];
export type ShelfView = S["ShelfView"];
export type ColdNight = S["ColdNight"];
export type Goes = S["Goes"];
export type CountedPart = S["CountedPart"];
export type RecipeTold = S["RecipeTold"];
export type DoseTold = S["DoseTold"];
export type Available = S["Available"];
export type ResinView = S["ResinView"];
export type Colourant = S["Colourant"];
export type ResinPart = S["ResinPart"];
export type Embed = S["Embed"];
export type MouldMaking = S["MouldMaking"];
export type Weight = S["Weight"];
export type BatchAtHand = S["BatchAtHand"];
export type BatchCard = S["BatchCard"];
export type CardStep = S["CardStep"];
export type Counted = S["Counted"];
export type MeasureEffect = S["MeasureEffect"];
export type BatchRescue = S["BatchRescue"];
export type HandCup = S["HandCup"];
export type HandLayer = S["HandLayer"];
export type Look = S["Look"];
export type BenchTally = S["BenchTally"];
export type AddedColour = S["AddedColour"];
export type StockCup = S["StockCup"];
export type TopUp = S["TopUp"];
export type SetUp = S["SetUp"];
export type Comparison = S["Comparison"];
export type Tried = S["Tried"];
export type BodyTried = S["BodyTried"];
export type CureCurve = S["CureCurve"];
export type CurveSample = S["CurveSample"];
export type CureStates = S["CureStates"];
export type Moment = S["Moment"];
export type LayerCure = S["LayerCure"];
export type CupPeak = S["Peak"];
export type StateTime = S["StateTime"];
export type Refusal = S["Refusal"];
export type CureCaution = S["CureCaution"];
export type CureCost = S["CureCost"];
export type Placing = S["Placing"];
export type PieceWork = S["PieceWork"];
export type PlacedEmbed = S["PlacedEmbed"];
export type SurfaceWork = S["SurfaceWork"];
export type FinishStep = S["FinishStep"];
export type WetWork = S["WetWork"];
export type TopCoat = S["TopCoat"];
export type Design = S["Design"];
export type LayerView = S["LayerView"];
export type Tool = S["Tool"];
export type Hours = S["Hours"];
export type Room = S["Room"];
export type Usual = S["Usual"];
export type UsualView = S["UsualView"];
export type BoardPicture = S["Board"];
export type Pin = S["Pin"];

export type OpenedRun = S["OpenedRun"];
export type StandsNow = S["StandsNow"];
export type RunState = S["RunState"];
export type RunStep = S["Step"];
export type RunEvent = S["RunEvent"];
export type RunLine = S["RunLine"];
export type DueLine = S["DueLine"];
export type Today = S["Today"];
export type MixNow = S["MixNow"];
export type CupNow = S["CupNow"];
export type ScaleReading = S["Reading"];
export type Simulated = S["Simulated"];
export type Change = S["Change"];
export type LookedBack = S["Looked"];
export type AsTold = S["AsTold"];
export type Became = S["Became"];
export type MouldLife = S["MouldLife"];
export type AsRun = S["AsRun"];
export type PieceOut = S["PieceOut"];
export type PourIn = S["PourIn"];
export type Deviation = S["Deviation"];
export type LookOver = S["LookOver"];
export type PotLine = S["PotLog"];
export type BenchTrouble = S["BenchTrouble"];
export type StepCard = S["StepCard"];
export type FillersNow = S["FillersNow"];
export type CupCurve = S["CupCurve"];

export type ChipView = S["ChipView"];
export type NewChip = S["NewChip"];
export type TimingView = S["TimingView"];
export type Timings = S["Timings"];
export type TimedPace = S["TimedPace"];
export type TellTiming = S["TellTiming"];
export type ExerciseLine = S["ExerciseLine"];
export type OpenedExercise = S["OpenedExercise"];
export type RehearsedEvening = S["RehearsedEvening"];
export type RehearsalScore = S["Score"];
export type Seen = S["Seen"];

export type WaysAnswer = S["Ways"];
export type Way = S["Way"];
export type Binding = S["Binding"];

export const api = createClient<paths>({ baseUrl: "/" });

/** What is wrong at one field, in words for the maker. */
export interface FieldError {
  field: string;
  code: string;
  message: string;
  actual?: string;
  /** Limits in g, mL, mm, °C or kPa. */
  min?: number;
  max?: number;
}

/** Why the server said no. */
export interface Trouble {
  title: string;
  detail: string;
  status: number;
  errors: FieldError[];
}

/** What is wrong at fields below a path, seen from there. */
export function errorsUnder(errors: FieldError[], path: string): FieldError[] {
  return errors
    .filter((e) => e.field === path || e.field.startsWith(`${path}.`))
    .map((e) => ({ ...e, field: e.field.slice(path.length + 1) }));
}

const UNREACHABLE: Trouble = {
  title: "Calm Pour does not answer",
  detail: "Is it still running on this machine? What you entered stays on this screen.",
  status: 0,
  errors: [],
};

export type Answer<T> = { status: "ok"; value: T } | { status: "trouble"; trouble: Trouble };

/** Turns a call into an answer or a trouble; never throws, except when it was called off. */
export async function ask<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<Answer<T>> {
  try {
    const { data, error, response } = await call;
    if (response.ok) {
      return { status: "ok", value: data as T };
    }
    const problem = (error ?? {}) as Partial<Trouble>;
    return {
      status: "trouble",
      trouble: {
        title: problem.title ?? "Something went wrong",
        detail: problem.detail ?? `The server answered ${response.status}.`,
        status: response.status,
        errors: problem.errors ?? [],
      },
    };
  } catch (failure) {
    if (failure instanceof DOMException && failure.name === "AbortError") {
      throw failure;
    }
    return { status: "trouble", trouble: UNREACHABLE };
  }
}
