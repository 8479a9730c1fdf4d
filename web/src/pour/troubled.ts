import type { Plan, RunState, RunStep, Session } from "../api/client";
import { taskName } from "../words/tasks";
import { capital } from "../words/steps";
import { pieceName, type TroubleAnswer, type TroubleKind } from "../words/trouble";
import { pourPlace } from "../words/record";

/** What it can have happened to. */
export interface Choice {
  kind: TroubleKind;
  /** As an event names it. */
  address: string;
  words: string;
  /** What is there, g; undefined where nothing is lost by weight. */
  mostG?: number;
  answers: TroubleAnswer[];
}

interface Bench {
  state: RunState;
  steps: RunStep[];
  plan: Plan;
  session: Session;
  shown: RunStep | undefined;
}

const ANSWERS: Record<TroubleKind, TroubleAnswer[]> = {
  WRONG_COLOUR: ["TIPPED_OUT", "STAYS"],
  SPILLED: ["GOES_ON"],
  SPILLED_MIX: ["GOES_ON"],
  LEAKS: ["MENDED", "GIVEN_UP"],
  EMBED_FORGOTTEN: ["LATE", "WITHOUT"],
  CUP_EMPTY: ["GOES_ON"],
  FELL_INTO_CUP: ["TAKEN_OUT", "GIVEN_UP"],
  FELL_INTO_PIECE: ["TAKEN_OUT", "STAYS", "GIVEN_UP"],
  FOAM: ["RESTS", "GIVEN_UP"],
  NOTE: ["GOES_ON"],
};

/** Further back nobody looks for what went wrong. */
const MOST = 24;

/** Pours that were made, the last first, then those that come next. */
function pours({ steps, shown }: Bench): RunStep[] {
  const all = steps.filter((s) => s.kind === "POUR" && s.pourId !== undefined);
  const open = all.filter((s) => s.status === "TO_DO" && s.taskId !== shown?.taskId);
  const made = all.filter((s) => s.status === "DONE").sort((a, b) => b.endSeconds - a.endSeconds);
  const here = shown?.kind === "POUR" && shown.status === "TO_DO" ? [shown] : [];
  return [...here, ...made, ...open];
}

/**
 * What a kind of trouble can have happened to; empty where it cannot have happened.
 *
 * @param pourId that was meant, where it is asked which cup it came out of instead
 */
export function about(kind: TroubleKind, bench: Bench, pourId?: string): Choice[] {
  const { state, steps, plan, session } = bench;
  const choice = (of: TroubleKind, address: string, words: string, mostG?: number): Choice => ({
    kind: of,
    address,
    words,
    answers: ANSWERS[of],
    ...(mostG === undefined ? {} : { mostG }),
  });
  const cups = (of: TroubleKind) =>
    state.cups.filter((c) => c.leftG > 0).map((c) => choice(of, c.cupId, c.colourName, c.leftG));
  const pieces = (of: TroubleKind) => {
    const seen = new Set<string>();
    return pours(bench)
      .filter((s) => s.status === "DONE")
      .map((s) => (s.pourId ?? "").split(".").slice(0, 2).join("."))
      .filter((p) => !state.givenUp.includes(p) && !seen.has(p) && seen.add(p))
      .slice(0, MOST)
      .map((p) => choice(of, p, pieceName(p, plan)));
  };
  switch (kind) {
    case "WRONG_COLOUR": {
      if (pourId !== undefined) {
        const own = plan.batches
          .flatMap((b) => b.cups)
          .find((c) => c.pours.some((p) => p.id === pourId))?.id;
        return cups(kind).filter((c) => c.address !== own);
      }
      return state.cups.length < 2
        ? []
        : pours(bench)
            .filter((s) => state.cups.some((c) => c.cupId === s.cupId))
            .slice(0, MOST)
            .map((s) => choice(kind, s.pourId ?? "", pourPlace(s.pourId ?? "", plan)));
    }
    case "SPILLED":
    case "SPILLED_MIX":
      return [
        ...state.mixes.map((m) =>
          choice("SPILLED_MIX", String(m.batch), `Mixing cup of batch ${m.batch}`, m.massG),
        ),
        ...cups("SPILLED"),
      ];
    case "LEAKS":
      return pieces(kind);
    case "FELL_INTO_CUP":
    case "FELL_INTO_PIECE":
      return [...cups("FELL_INTO_CUP"), ...pieces("FELL_INTO_PIECE")];
    case "CUP_EMPTY":
    case "FOAM":
      return cups(kind);
    case "EMBED_FORGOTTEN":
      return steps
        .filter(
          (s) =>
            (s.kind === "EMBED" || s.kind === "LAY_EMBEDS") &&
            (s.status === "DONE" || s.status === "TO_DO"),
        )
        .map((s) =>
          choice(
            kind,
            s.taskId,
            capital(
              taskName(
                { ...s, id: s.taskId, spreadSeconds: 0, after: [], pinned: false },
                plan,
                session,
              ),
            ),
          ),
        );
    case "NOTE":
      return [];
  }
}
