// Longer than other files: a line or two for each thing that can be read.
import {
  QueryClient,
  useInfiniteQuery,
  useQuery,
  useQueryClient,
  type UseQueryResult,
} from "@tanstack/react-query";
import {
  type Answer,
  api,
  type ChipView,
  type ColdNight,
  type CountedDose,
  type CupStays,
  ask,
  type FieldError,
  type Finding,
  type Habits,
  type Hands,
  type JournalFault,
  type JournalFound,
  type JournalWanted,
  type MouldFill,
  type NewChip,
  type LearnedHand,
  type LidSurplus,
  type ResinPace,
  type SetUp,
  type TellTiming,
  type Timings,
  type Trouble,
  type TwoCounts,
  type WhatWentWrong,
  type YieldBy,
} from "./client";

declare module "@tanstack/react-query" {
  interface Register {
    defaultError: Trouble;
  }
}

/** A trouble on its way through what only passes on errors. */
class Refused extends Error implements Trouble {
  readonly title: string;
  readonly detail: string;
  readonly status: number;
  readonly errors: FieldError[];

  constructor(trouble: Trouble) {
    super(trouble.title);
    this.title = trouble.title;
    this.detail = trouble.detail;
    this.status = trouble.status;
    this.errors = trouble.errors;
  }
}

/** The value of a call, for a query; its trouble is the query's error. */
export async function value<T>(call: Parameters<typeof ask<T>>[0]): Promise<T> {
  const answer: Answer<T> = await ask<T>(call);
  if (answer.status === "trouble") {
    throw new Refused(answer.trouble);
  }
  return answer.value;
}

/**
 * All that was read from the server. A workshop without a network is not offline: the server is on
 * this machine. What does not come is told at once, with a key to try again.
 */
export const queries = new QueryClient({
  defaultOptions: {
    queries: { networkMode: "always", retry: false },
    mutations: { networkMode: "always" },
  },
});

/** Whatever changes what is kept; the rest asks and changes nothing. */
const KEEPS =
  /^(PUT|DELETE) \/api\/(?!plan\/)|^POST \/api\/(sessions(\/file)?|runs(\/[^/]+\/events)?|moulds\/[^/]+\/counted)$/;

api.use({
  onResponse({ request, response }) {
    if (response.ok && KEEPS.test(`${request.method} ${new URL(request.url).pathname}`)) {
      void queries.invalidateQueries({ queryKey: ["kept"] });
    }
  },
});

/** What is kept, read again as soon as anything was changed on this screen. */
function useKept<T>(
  name: readonly string[],
  call: () => Parameters<typeof ask<T>>[0],
): UseQueryResult<T> {
  return useQuery<T>({ queryKey: ["kept", ...name], queryFn: () => value(call()) });
}

export const useRuns = () => useKept(["runs"], () => api.GET("/api/runs"));

export const useRecord = (id: string) =>
  useKept(["runs", id, "record"], () =>
    api.GET("/api/runs/{id}/record", { params: { path: { id } } }),
  );

/** While evenings are still being worked out, the journal is read again after so long, ms. */
const PENDING_MS = 2_000;

/** The journal as it is looked through; what was found stays until the next answer is here. */
export const useJournal = (wanted: JournalWanted) => {
  const query = useInfiniteQuery<JournalFound>({
    queryKey: ["kept", "journal", wanted],
    initialPageParam: undefined,
    queryFn: ({ pageParam }) =>
      value(
        api.GET("/api/journal", {
          params: {
            query: { ...wanted, ...(typeof pageParam === "string" ? { older: pageParam } : {}) },
          },
        }),
      ),
    getNextPageParam: (last) => last.older,
    placeholderData: (before) => before,
    refetchInterval: ({ state }) => ((state.data?.pages[0]?.pending ?? 0) > 0 ? PENDING_MS : false),
  });
  const pages = query.data?.pages;
  const first = pages?.[0];
  return {
    ...query,
    /** As one answer: what is counted and chosen from is the same in all of them. */
    found: first && { ...first, evenings: pages.flatMap((p) => p.evenings) },
  };
};

export const useJournalPiece = (run: string, piece: string) =>
  useKept(["journal", run, piece], () =>
    api.GET("/api/journal/pieces/{run}/{piece}", { params: { path: { run, piece } } }),
  );

export const useYields = (by: YieldBy) =>
  useKept(["journal", "yields", by], () =>
    api.GET("/api/journal/yields", { params: { query: { by } } }),
  );

export const useDepths = () => useKept(["journal", "depths"], () => api.GET("/api/journal/depths"));

export const useTrials = () => useKept(["journal", "trials"], () => api.GET("/api/journal/trials"));

export const useMouldLives = () =>
  useKept(["journal", "moulds"], () => api.GET("/api/journal/moulds"));

/** How long hands take; of everybody where nobody is named. */
export const useLearnedHands = (person: string) =>
  useKept(["journal", "hands", person], () =>
    api.GET("/api/journal/hands", { params: { query: person === "" ? {} : { person } } }),
  );

/** Who told evenings in their own name. */
export const useHandsOf = () =>
  useKept(["journal", "people"], () => api.GET("/api/journal/hands/people"));

export const useLearnedOverage = () =>
  useKept(["journal", "overage"], () => api.GET("/api/journal/overage"));

/** The evenings behind how much overage was needed. */
export const useBehindOverage = () =>
  useKept(["journal", "behind", "overage"], () => api.GET("/api/journal/overage/evenings"));

export const useLearnedDrift = () =>
  useKept(["journal", "drift"], () => api.GET("/api/journal/room/drift"));

/** The evenings on which the room was read more than once. */
export const useBehindDrift = () =>
  useKept(["journal", "behind", "drift"], () => api.GET("/api/journal/room/drift/evenings"));

export const useLearnedLids = () =>
  useKept(["journal", "lids"], () => api.GET("/api/journal/lids"));

/** The evenings behind what a closed mould needs to be filled over by. */
export const useBehindLid = (mould: string) =>
  useKept(["journal", "behind", "lid", mould], () =>
    api.GET("/api/journal/lids/{mould}/evenings", { params: { path: { mould } } }),
  );

/** Plans with what was learned of a closed mould, or as assumed again. */
export function usePlanWithLid(onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  return (lid: LidSurplus, learned: boolean) =>
    void ask(
      api.PUT("/api/journal/lids/{mould}", {
        params: { path: { mould: lid.mouldId }, query: { learned } },
      }),
    ).then((answer) => {
      onTrouble(answer.status === "trouble" ? answer.trouble : null);
      // The mould on the shelf is another one now.
      return client.invalidateQueries();
    });
}

export const useLearnedRoom = () =>
  useKept(["journal", "room"], () => api.GET("/api/journal/room"));

export const useLearnedPaces = () =>
  useKept(["journal", "paces"], () => api.GET("/api/journal/paces"));

/** Plans with what was learned of a resin, or with its label again. */
export function usePlanWithPace(onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  return (pace: ResinPace, learned: boolean) =>
    void ask(
      api.PUT("/api/journal/paces/{resin}/{of}", {
        params: { path: { resin: pace.resinId, of: pace.of }, query: { learned } },
      }),
    ).then((answer) => {
      onTrouble(answer.status === "trouble" ? answer.trouble : null);
      // The resin on the shelf is another one now.
      return client.invalidateQueries();
    });
}

export const useLearnedFills = () =>
  useKept(["journal", "fills"], () => api.GET("/api/journal/fills"));

/** Plans with what was learned of a mould, or with its measurement again. */
export function usePlanWithFill(onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  return (fill: MouldFill, learned: boolean) =>
    void ask(
      api.PUT("/api/journal/fills/{mould}/{cavity}", {
        params: { path: { mould: fill.mouldId, cavity: fill.cavityId }, query: { learned } },
      }),
    ).then((answer) => {
      onTrouble(answer.status === "trouble" ? answer.trouble : null);
      // The mould on the shelf is another one now.
      return client.invalidateQueries();
    });
}

export const useLearnedStays = () =>
  useKept(["journal", "stays"], () => api.GET("/api/journal/stays"));

/** The evenings behind what stays in a kind of cup. */
export const useBehindStays = (kind: string) =>
  useKept(["journal", "behind", "stays", kind], () =>
    api.GET("/api/journal/stays/{kind}/evenings", { params: { path: { kind } } }),
  );

/** Plans with what was learned of a kind of cup, or as reckoned again. */
export function usePlanWithStays(onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  return (stays: CupStays, learned: boolean) =>
    void ask(
      api.PUT("/api/journal/stays/{kind}", {
        params: { path: { kind: stays.kindId }, query: { learned } },
      }),
    ).then((answer) => {
      onTrouble(answer.status === "trouble" ? answer.trouble : null);
      // The cup on the shelf is another one now.
      return client.invalidateQueries();
    });
}

export const useLearnedDoses = () =>
  useKept(["journal", "doses"], () => api.GET("/api/journal/doses"));

/** The evenings behind what a drop or scoop of a colourant weighs. */
export const useBehindDoses = (colourant: string) =>
  useKept(["journal", "behind", "doses", colourant], () =>
    api.GET("/api/journal/doses/{colourant}/evenings", { params: { path: { colourant } } }),
  );

/** Plans with what was learned of a drop or scoop, or as told again. */
export function usePlanWithDoses(onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  return (dose: CountedDose, learned: boolean) =>
    void ask(
      api.PUT("/api/journal/doses/{colourant}", {
        params: { path: { colourant: dose.colourantId }, query: { learned } },
      }),
    ).then((answer) => {
      onTrouble(answer.status === "trouble" ? answer.trouble : null);
      // The cup on the shelf is another one now.
      return client.invalidateQueries();
    });
}

/** The evenings behind how long hands take for a step. */
export const useBehindHands = (speed: LearnedHand["speed"], person: string) =>
  useKept(["journal", "behind", "hands", speed, person], () =>
    api.GET("/api/journal/hands/{speed}/evenings", {
      params: { path: { speed }, query: person === "" ? {} : { person } },
    }),
  );

/** The evenings on which the room was read. */
export const useBehindRoom = () =>
  useKept(["journal", "behind", "room"], () => api.GET("/api/journal/room/evenings"));

/** The evenings behind a resin's pace. */
export const useBehindPace = (resin: string, of: ResinPace["of"]) =>
  useKept(["journal", "behind", resin, of], () =>
    api.GET("/api/journal/paces/{resin}/{of}/evenings", { params: { path: { resin, of } } }),
  );

/** The evenings behind what a mould takes. */
export const useBehindFill = (mould: string, cavity: string) =>
  useKept(["journal", "behind", mould, cavity], () =>
    api.GET("/api/journal/fills/{mould}/{cavity}/evenings", {
      params: { path: { mould, cavity } },
    }),
  );

export const usePlansHeld = () =>
  useKept(["journal", "plans"], () => api.GET("/api/journal/plans"));

/** Two counts of pieces beside each other; nothing before all are there. */
export const useCompared = (
  counts: { count: number; of: number; otherCount: number; otherOf: number } | null,
) =>
  useQuery<TwoCounts>({
    queryKey: ["compare", counts],
    queryFn: () =>
      value(
        api.GET("/api/journal/compare", {
          params: { query: counts ?? { count: 0, of: 1, otherCount: 0, otherOf: 1 } },
        }),
      ),
    enabled: counts !== null,
    staleTime: Infinity,
  });

/** What usually causes a fault; nothing before one is chosen. */
export const useUsualCauses = (fault: JournalFault | null) =>
  useQuery<WhatWentWrong>({
    queryKey: ["causes", fault],
    queryFn: () =>
      value(
        api.GET("/api/journal/causes", { params: { query: { fault: fault as JournalFault } } }),
      ),
    enabled: fault !== null,
    staleTime: Infinity,
  });

export const useSwatches = () => useKept(["swatches"], () => api.GET("/api/swatches"));

/** Adds to the swatch book; true where it was taken. */
export function useTellSwatches(onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  const told = async (answer: Answer<unknown>) => {
    onTrouble(answer.status === "trouble" ? answer.trouble : null);
    await client.invalidateQueries({ queryKey: ["kept", "swatches"] });
    return answer.status === "ok";
  };
  return {
    add: async (made: Omit<NewChip, "id">) =>
      told(await ask(api.POST("/api/swatches", { body: { id: crypto.randomUUID(), ...made } }))),
    look: async (id: string, was: ChipView["chip"]["looks"][number]["was"]) =>
      told(
        await ask(
          api.POST("/api/swatches/{id}/looks", {
            params: { path: { id } },
            body: { was },
          }),
        ),
      ),
    remove: async (id: string) =>
      told(await ask(api.DELETE("/api/swatches/{id}", { params: { path: { id } } }))),
  };
}

/** Resins that are timed; how long they are mixed moves on by itself. */
export const useTimings = () =>
  useQuery<Timings>({
    queryKey: ["kept", "timings"],
    queryFn: () => value(api.GET("/api/timings")),
    refetchInterval: 20_000,
  });

export function useBeginTiming(onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  return (setUp: SetUp, minutesAgo: number, zoneId: string) =>
    void ask(
      api.POST("/api/timings", {
        body: { id: crypto.randomUUID(), setUp, minutesAgo, zoneId },
      }),
    ).then((answer) => {
      onTrouble(answer.status === "trouble" ? answer.trouble : null);
      return client.invalidateQueries({ queryKey: ["kept"] });
    });
}

/** Tells what happened to a resin that is timed. */
export function useTellTiming(id: string, onTrouble: (trouble: Trouble | null) => void) {
  const client = useQueryClient();
  return (told: Omit<TellTiming, "id">) =>
    void ask(
      api.POST("/api/timings/{id}/events", {
        params: { path: { id } },
        body: { id: crypto.randomUUID(), ...told },
      }),
    ).then((answer) => {
      onTrouble(answer.status === "trouble" ? answer.trouble : null);
      return client.invalidateQueries({ queryKey: ["kept"] });
    });
}

export const useToday = () => useKept(["today"], () => api.GET("/api/today"));

export const useSessions = () => useKept(["sessions"], () => api.GET("/api/sessions"));

export const useBin = () => useKept(["bin"], () => api.GET("/api/sessions/bin"));

/** How this workshop works: what a new session begins with. */
export const useUsual = () => useKept(["usual"], () => api.GET("/api/usual"));

export const useMoulds = () => useKept(["moulds"], () => api.GET("/api/moulds"));

export const useShelf = () => useKept(["shelf"], () => api.GET("/api/shelf"));

export const useDesigns = () => useKept(["designs"], () => api.GET("/api/designs"));

/** The shelves as a session chooses from them. */
export const useWorkshop = () => useKept(["workshop"], () => api.GET("/api/workshop"));

/** What never changes while the program runs. */
function useGiven<T>(
  name: readonly string[],
  call: () => Parameters<typeof ask<T>>[0],
  enabled = true,
): UseQueryResult<T> {
  return useQuery<T>({
    queryKey: ["given", ...name],
    queryFn: () => value(call()),
    staleTime: Infinity,
    gcTime: Infinity,
    enabled,
  });
}

export interface Defaults {
  habits: Required<Habits>;
  hands: Required<Hands>;
  acceptable: Finding["rule"][];
  coldNight: ColdNight;
}

/** What counts where a session says nothing of its own; every habit is named in it. */
export const useDefaults = () =>
  useGiven(["defaults"], () => api.GET("/api/defaults")) as UseQueryResult<Defaults>;

export const useDemoShelf = (wanted: boolean) =>
  useGiven(["demo"], () => api.GET("/api/demo/workshop"), wanted);

export const useUnitLines = (wanted: boolean) =>
  useGiven(["units"], () => api.GET("/api/units"), wanted);

/** With the points that were reached here. */
export const useExercises = () =>
  useQuery({
    queryKey: ["exercises"],
    queryFn: () => value(api.GET("/api/practice/exercises")),
    staleTime: 0,
  });

export const useExercise = (id: string) =>
  useGiven(["exercises", id], () =>
    api.GET("/api/practice/exercises/{id}", { params: { path: { id } } }),
  );

export const useRehearsed = (id: string) =>
  useGiven(["rehearsed", id], () =>
    api.GET("/api/practice/rehearsals/{id}", { params: { path: { id } } }),
  );
