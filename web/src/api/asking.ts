import { type QueryKey, useIsFetching, useQuery } from "@tanstack/react-query";
import { createContext, useContext, useState } from "react";
import {
  type AddedColour,
  api,
  type BatchAtHand,
  type BatchRescue,
  type BenchTally,
  type Cavity,
  type Colourant,
  type Comparison,
  type CountedPart,
  type CureCurve,
  type Derivation,
  type MeasureAnswer,
  type MouldMaking,
  type Resin,
  type ResinView,
  type Session,
  type SetUp,
  type StepCard,
  type Trouble,
  type Weight,
} from "./client";
import { value } from "./queries";

/** A session on the screen, and under which id it is kept, if it is. */
export interface About {
  session: Session | null;
  /** So that what is asked about it is answered beside all others, and it is not in its own way. */
  id: string | undefined;
  /** The run whose figures they are, and a moment of it as it is said; missing for a plan's. */
  run?: { id: string; at: (seconds: number) => string };
}

const AboutContext = createContext<About>({ session: null, id: undefined });

/** Which session the figures and questions below belong to. */
export const AboutProvider = AboutContext.Provider;

export const useAbout = () => useContext(AboutContext);

const inQuery = (id: string | undefined) => ({ query: id ? { id } : {} });

const numbers = new WeakMap<object, number>();
let newest = 0;

/** Which object this is: what is edited is never changed in place, and too large to be compared. */
export function numberOf(thing: object): number {
  const known = numbers.get(thing) ?? ++newest;
  numbers.set(thing, known);
  return known;
}

/** What was answered about what is on the screen just now. */
export interface Answered<T> {
  /** The newest answer there was; it stays while the next is under way or something is wrong. */
  answer: T | null;
  /** The one before it. */
  before: T | null;
  /** Whether the answer is to what is on the screen, not to what was there before. */
  current: boolean;
  trouble: Trouble | null;
  retry: () => void;
}

/** Waits, unless nobody waits for it any more. */
export function rest(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((then, off) => {
    const timer = setTimeout(then, ms);
    signal.addEventListener("abort", () => {
      clearTimeout(timer);
      off(new DOMException("called off", "AbortError"));
    });
  });
}

/**
 * Asks about what is being edited: at every change, answers that come too late are dropped.
 *
 * @param key what is asked about; null while there is nothing to ask
 * @param waitMs how long somebody may type on before it is asked
 */
export function useAnswer<T>(
  key: QueryKey | null,
  call: (signal: AbortSignal) => Promise<T>,
  waitMs = 0,
): Answered<T> {
  const query = useQuery<T>({
    queryKey: ["asked", ...(key ?? [])],
    queryFn: async ({ signal }) => {
      if (waitMs > 0) {
        await rest(waitMs, signal);
      }
      return call(signal);
    },
    enabled: key !== null,
    staleTime: Infinity,
    // Answers are large, and the same question is seldom asked twice.
    gcTime: 0,
    structuralSharing: false,
  });
  const [shown, setShown] = useState<{ now: T | null; before: T | null }>({
    now: null,
    before: null,
  });
  if (query.data !== undefined && query.data !== shown.now) {
    setShown({ now: query.data, before: shown.now });
  }
  return {
    answer: query.data ?? shown.now,
    before: query.data === undefined || query.data === shown.now ? shown.before : shown.now,
    current: query.data !== undefined,
    trouble: query.error,
    retry: () => void query.refetch(),
  };
}

/** The card of one batch of a session. */
export function useCard(session: Session, batch: number): Answered<BatchAtHand> {
  const { id } = useAbout();
  return useAnswer(["card", id, numberOf(session), batch], (signal) =>
    value(api.POST("/api/plan/card", { body: { session, batch }, params: inQuery(id), signal })),
  );
}

/** What every step says beside its name and its quantity, by task. */
export function useStepCards(session: Session): Map<string, StepCard> {
  const { id } = useAbout();
  const { answer } = useAnswer(["steps", id, numberOf(session)], (signal) =>
    value(api.POST("/api/plan/steps", { body: session, params: inQuery(id), signal })),
  );
  return new Map(answer?.map((c) => [c.taskId, c.card]));
}

/** What to add to a cup that does not hold what the card said; nothing while both are unknown. */
export function useRescue(
  session: Session,
  batch: number,
  inAG: number | null,
  inBG: number | null,
): Answered<BatchRescue> {
  const { id } = useAbout();
  const known = inAG !== null || inBG !== null;
  return useAnswer(known ? ["rescue", id, numberOf(session), batch, inAG, inBG] : null, (signal) =>
    value(
      api.POST("/api/plan/rescue", {
        body: { session, batch, inAG: inAG ?? 0, inBG: inBG ?? 0 },
        params: inQuery(id),
        signal,
      }),
    ),
  );
}

/** Nobody waits for it, and several plans are tried for it: asked once typing has stopped, ms. */
const LATEST_WAIT_MS = 300;

/** When it is too late to begin, local time; null where nothing bounds it, undefined until known. */
export function useLatestStart(wanted: boolean): string | null | undefined {
  const { session, id } = useAbout();
  // It is the least of what a screen asks: it waits until all else is answered.
  const asking = useIsFetching({ predicate: (q) => q.queryKey[1] !== "latest-start" }) > 0;
  const { answer, current } = useAnswer(
    wanted && !asking && session ? ["latest-start", id, numberOf(session)] : null,
    (signal) =>
      value(
        api.POST("/api/plan/latest-start", {
          body: session as Session,
          params: inQuery(id),
          signal,
        }),
      ),
    LATEST_WAIT_MS,
  );
  return current ? (answer?.at ?? null) : undefined;
}

/** What was stirred into a cup beyond the plan, against its limits. */
export function useTally(
  session: Session,
  cupId: string,
  added: AddedColour[],
): Answered<BenchTally> {
  const { id } = useAbout();
  return useAnswer(["tally", id, numberOf(session), cupId, added], (signal) =>
    value(
      api.POST("/api/plan/tally", {
        body: { session, cupId, added },
        params: inQuery(id),
        signal,
      }),
    ),
  );
}

/** How a figure of a session came about, with the curve behind it where there is one. */
export function useHow(
  quantity: string | null,
  body: string | null,
): Answered<{ derivation: Derivation; curve: CureCurve | null }> {
  const { session, id, run } = useAbout();
  const asks = quantity !== null && (session !== null || run !== undefined);
  const about = run ? run.id : session && numberOf(session);
  return useAnswer(asks ? ["how", id, about, quantity] : null, async (signal) => {
    if (quantity !== null && run) {
      const path = { id: run.id };
      const call = api.GET("/api/runs/{id}/how", {
        params: { path, query: { of: quantity } },
        signal,
      });
      return { derivation: await value(call), curve: null };
    }
    if (quantity === null || session === null) {
      throw new Error("bug: asked about nothing");
    }
    const params = inQuery(id);
    const [derivation, curve] = await Promise.all([
      value(api.POST("/api/plan/explain", { body: { session, quantity }, params, signal })),
      // Where a rule of thumb stands in there is no curve; the derivation says so.
      body === null
        ? null
        : value(api.POST("/api/plan/curve", { body: { session, body }, params, signal })).catch(
            () => null,
          ),
    ]);
    return { derivation, curve };
  });
}

/** What every assumed value of a session is worth. */
export function useAssumed(session: Session, wanted: boolean): Answered<Weight[]> {
  const { id } = useAbout();
  return useAnswer(wanted ? ["assumed", id, numberOf(session)] : null, (signal) =>
    value(api.POST("/api/plan/assumed", { body: session, params: inQuery(id), signal })),
  );
}

/** What a cavity comes to while it is being typed. */
export function useMeasured(cavity: Cavity): Answered<MeasureAnswer> {
  const { measure, depthMm, lengthMm, inner, bed, own } = cavity;
  const body = {
    measure,
    ...(depthMm === undefined ? {} : { depthMm }),
    ...(lengthMm === undefined ? {} : { lengthMm }),
    ...(inner === undefined ? {} : { inner }),
    ...(bed === undefined ? {} : { bed }),
    ...(own === undefined ? {} : { own }),
  };
  return useAnswer(
    ["measured", body],
    (signal) => value(api.POST("/api/moulds/measure", { body, signal })),
    120,
  );
}

/** What it takes to make a mould. */
export function useMaking(making: MouldMaking) {
  return useAnswer(["making", making], (signal) =>
    value(api.POST("/api/moulds/make", { body: making, signal })),
  );
}

/** A label copied down, held against itself while it is typed. */
export function useLabelCheck(draft: Resin): Answered<ResinView> {
  return useAnswer(
    ["label", draft],
    (signal) =>
      value(
        api.POST("/api/resins/check", {
          body: { ...draft, name: draft.name || "this label" },
          signal,
        }),
      ),
    250,
  );
}

/** Of one's own colours and jars what goes with a colour on the screen. */
export function useGoesWith(swatch: string) {
  const asked = /^#[0-9a-f]{6}$/i.test(swatch) ? swatch : null;
  return useAnswer(
    asked === null ? null : ["together", asked],
    (signal) => {
      if (!asked) {
        throw new Error("bug: no colour to go with");
      }
      return value(api.POST("/api/colours/together", { body: { swatch: asked }, signal }));
    },
    200,
  );
}

/** A colour as it is counted, in every way it can be told; nothing before all of it was typed. */
export function useCounted(resinG: number | null, parts: CountedPart[] | null) {
  const asked = resinG !== null && parts !== null && parts.length > 0 ? parts : null;
  return useAnswer(
    asked === null ? null : ["counted", resinG, asked],
    (signal) => {
      if (!asked || resinG === null) {
        throw new Error("bug: nothing was counted");
      }
      return value(api.POST("/api/colours/counted", { body: { resinG, parts: asked }, signal }));
    },
    150,
  );
}

type Weighed = NonNullable<NonNullable<Colourant["shelf"]>["weighed"]>;

/** What one drop or scoop comes to, by what several weighed; nothing before one was weighed. */
export function useWeighed(weighed: Weighed | undefined) {
  const asked = weighed && weighed.weighingsG.length > 0 ? weighed : null;
  const answered = useAnswer(asked && ["weighed", asked], (signal) => {
    if (!asked) {
      throw new Error("bug: nothing was weighed");
    }
    return value(api.POST("/api/colourants/weigh", { body: asked, signal }));
  });
  return asked && answered.current ? answered.answer : null;
}

/** Two set-ups as they are on the screen. */
export interface Pair {
  first: SetUp;
  second: SetUp;
}

/** Two set-ups beside each other, at every change; a slider asks some thirty times a second. */
export function useWhatIf(pair: Pair | null): Answered<Comparison> {
  return useAnswer(
    pair && ["what-if", pair],
    (signal) => {
      if (!pair) {
        throw new Error("bug: nothing to try");
      }
      return value(api.POST("/api/practice/what-if", { body: pair, signal }));
    },
    30,
  );
}
