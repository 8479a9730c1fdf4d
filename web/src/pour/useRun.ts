import { useCallback, useEffect, useRef, useState } from "react";
import {
  api,
  ask,
  type OpenedRun,
  type RunEvent,
  type StandsNow,
  type Trouble,
} from "../api/client";
import { keepUntold, raisedSteps, readUntold } from "./untold";
import { whoWorks } from "./whoWorks";

/** A clock that goes on between two answers of the server, which may run faster than the world. */
export interface WallClock {
  /** Milliseconds since 1970 by the server, when {@code at} was read here. */
  told: number;
  at: number;
  speed: number;
}

export function clockNow(clock: WallClock): number {
  return clock.told + (performance.now() - clock.at) * clock.speed;
}

export interface Running {
  opened: OpenedRun;
  stands: StandsNow;
  clock: WallClock;
}

export type RunView =
  { status: "loading" } | { status: "trouble"; trouble: Trouble } | ({ status: "open" } & Running);

/** How often a run is asked for although nothing was told, ms of its own clock, */
const AGAIN_MS = 10_000;

/** and of the world at the most, where its clock runs faster. */
const OFTEN_MS = 1_000;

/** How soon a telling is tried again, ms. */
const RETRY_MS = 1_500;

/** No more is told in one go. */
const MOST_AT_ONCE = 200;

/** Nobody told anything for so long: the line is broken, ms. */
const SILENT_MS = 25_000;

/** What a screen tells; who tells it, and when, is added. */
export type Happened = Omit<RunEvent, "id" | "at" | "codes"> & { codes?: string[] };

/** The clock of the server as it was told, going on from now. */
export function clockOf(stands: { now: string; speed: number }): WallClock {
  return { told: Date.parse(stands.now), at: performance.now(), speed: stands.speed };
}

/** A run as it stands, on every screen that shows it, and a way to tell what happened. */
export function useRun(id: string) {
  const [view, setView] = useState<RunView>({ status: "loading" });
  const [kept] = useState(() => readUntold(id));
  const [untold, setUntold] = useState<RunEvent[]>([
    ...kept.older.flatMap((o) => o.events),
    ...kept.events,
  ]);
  const [cutOff, setCutOff] = useState(false);
  const [refused, setRefused] = useState<Trouble | null>(null);
  /** Steps that another screen had finished before. */
  const [before, setBefore] = useState<string[]>([]);
  const queue = useRef(kept.events);
  /** What was kept in an earlier format and comes before the queue. */
  const older = useRef(kept.older);
  const sending = useRef(false);
  const atOnce = useRef(MOST_AT_ONCE);
  const again = useRef<() => void>(() => undefined);
  const newest = useRef(-1);
  const clock = useRef<WallClock | null>(null);

  const take = useCallback((stands: StandsNow) => {
    // An answer that was overtaken by a newer one says nothing new.
    if (stands.told < newest.current) {
      return;
    }
    newest.current = stands.told;
    clock.current = clockOf(stands);
    setView((v) => (v.status === "open" ? { ...v, stands, clock: clockOf(stands) } : v));
  }, []);

  const load = useCallback(async () => {
    const answer = await ask(api.GET("/api/runs/{id}", { params: { path: { id } } }));
    if (answer.status === "trouble") {
      setView((v) => (v.status === "open" ? v : { status: "trouble", trouble: answer.trouble }));
      return;
    }
    newest.current = answer.value.stands.told;
    clock.current = clockOf(answer.value.stands);
    setView({
      status: "open",
      opened: answer.value,
      stands: answer.value.stands,
      clock: clockOf(answer.value.stands),
    });
  }, [id]);

  const refresh = useCallback(async () => {
    const answer = await ask(api.GET("/api/runs/{id}/state", { params: { path: { id } } }));
    if (answer.status === "ok") {
      setCutOff(false);
      take(answer.value);
    } else if (answer.trouble.status === 0) {
      setCutOff(true);
    }
  }, [id, take]);

  const send = useCallback(async () => {
    if (sending.current || (queue.current.length === 0 && older.current.length === 0)) {
      return;
    }
    sending.current = true;
    if (older.current.length > 0) {
      const steps = await raisedSteps(older.current);
      if (steps === null) {
        sending.current = false;
        setCutOff(true);
        return;
      }
      older.current = [];
      queue.current = [...steps, ...queue.current];
    }
    const batch = queue.current.slice(0, atOnce.current);
    const answer = await ask(
      api.POST("/api/runs/{id}/events", { params: { path: { id } }, body: { events: batch } }),
    );
    sending.current = false;
    // A server that is not there, or not well, is told again; only what it refuses is dropped.
    const lost =
      answer.status === "trouble" && (answer.trouble.status === 0 || answer.trouble.status >= 500);
    setCutOff(lost);
    if (lost) {
      return;
    }
    if (answer.status === "trouble" && batch.length > 1) {
      // One of them is refused: the others are told one by one.
      atOnce.current = 1;
      return;
    }
    atOnce.current = answer.status === "ok" ? MOST_AT_ONCE : 1;
    // Told, or refused: what was added meanwhile stays.
    queue.current = queue.current.slice(batch.length);
    keepUntold(id, { events: queue.current, older: older.current });
    setUntold(queue.current);
    if (answer.status === "ok") {
      setRefused(null);
      setBefore(answer.value.before);
      take(answer.value);
    } else {
      setRefused(answer.trouble);
    }
    // What was added meanwhile goes with the next try, which is soon.
    if (queue.current.length > 0) {
      setTimeout(() => again.current(), 0);
    }
  }, [id, take]);
  useEffect(() => {
    again.current = () => void send();
  }, [send]);

  /** Tells what happened just now, all of it or nothing; the screen changes when it is kept. */
  const tell = useCallback(
    (...happened: Happened[]) => {
      const at = new Date(clock.current ? clockNow(clock.current) : Date.now()).toISOString();
      const person = whoWorks();
      const events = happened.map((h) => ({
        codes: [],
        ...(person === null ? {} : { person }),
        ...h,
        id: crypto.randomUUID(),
        at,
      }));
      queue.current = [...queue.current, ...events];
      keepUntold(id, { events: queue.current, older: older.current });
      setUntold([...older.current.flatMap((o) => o.events), ...queue.current]);
      void send();
    },
    [id, send],
  );

  useEffect(() => {
    // Not in the same breath as the effect itself.
    const soon = setTimeout(() => void load(), 0);
    return () => clearTimeout(soon);
  }, [load]);

  useEffect(() => {
    const timer = setInterval(() => void send(), RETRY_MS);
    return () => clearInterval(timer);
  }, [send]);

  useEffect(() => {
    let heard = performance.now();
    const stream = new EventSource(`/api/runs/${encodeURIComponent(id)}/stream`);
    stream.addEventListener("told", (event) => {
      heard = performance.now();
      setCutOff(false);
      // How it stands is in what is told: nothing is asked for again.
      take(JSON.parse((event as MessageEvent<string>).data) as StandsNow);
    });
    stream.addEventListener("there", () => {
      heard = performance.now();
      setCutOff(false);
    });
    stream.addEventListener("error", () => setCutOff(true));
    let asked = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      if (now - heard > SILENT_MS) {
        setCutOff(true);
      }
      if ((now - asked) * (clock.current?.speed ?? 1) >= AGAIN_MS) {
        asked = now;
        void refresh();
      }
    }, OFTEN_MS);
    return () => {
      stream.close();
      clearInterval(timer);
    };
  }, [id, refresh, take]);

  return { view, untold, cutOff, refused, before, tell, refresh, reload: load };
}
