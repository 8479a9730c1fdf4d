import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import {
  api,
  ask,
  type PlanAnswer,
  type Session,
  type Trouble,
  type Way,
  type WaysAnswer,
} from "../api/client";
import { Sheet } from "../frame/Sheet";
import { Told } from "../frame/Told";
import { useUnits } from "../units/UnitsProvider";
import { Beside, type Held } from "./Beside";
import { bindingText, wayText } from "./waysWording";

interface Props {
  /** As it was asked for. */
  session: Session;
  answer: PlanAnswer;
  resins: { id: string; name: string }[];
  id: string | undefined;
  onTake: (session: Session) => void;
}

/** Somebody may be typing on; a look for ways out costs a few seconds of the machine. */
const QUIET = 700;

type State =
  | { status: "waiting" }
  | { status: "looking"; ticket: string }
  | { status: "found"; answer: WaysAnswer }
  | { status: "trouble"; trouble: Trouble };

/** When it does not fit: what stands in the way, and the cheapest ways out, each as a plan. */
export function Ways({ session, answer, resins, id, onTake }: Props) {
  const units = useUnits();
  const [state, setState] = useState<State>({ status: "waiting" });
  const [shown, setShown] = useState<string | null>(null);

  useEffect(() => {
    const ticket = `ways-${Date.now()}-${Math.random().toString(36).slice(2)}`;
    const calledOff = new AbortController();
    const timer = setTimeout(() => {
      setState({ status: "looking", ticket });
      ask(
        api.POST("/api/plan/ways", {
          body: session,
          signal: calledOff.signal,
          params: { query: { ticket, ...(id ? { id } : {}) } },
        }),
      )
        .then((found) =>
          setState(
            found.status === "ok"
              ? { status: "found", answer: found.value }
              : { status: "trouble", trouble: found.trouble },
          ),
        )
        .catch(() => undefined);
    }, QUIET);
    return () => {
      clearTimeout(timer);
      calledOff.abort();
      stop(ticket);
      setState({ status: "waiting" });
    };
  }, [session, id]);

  const startsAt = new Date(answer.startsAt);
  const present: Held = {
    key: "present",
    title: "As it is",
    plan: answer.plan,
    startsAt,
    zoneId: answer.zoneId,
    onTake: null,
  };
  const ways = state.status === "found" ? state.answer.ways : [];
  const binding = state.status === "found" ? state.answer.binding : undefined;
  return (
    <Box sx={{ mb: 1.5 }}>
      <Sheet title="Ways out">
        {binding && <Box sx={{ mb: 1 }}>{bindingText(binding, answer.plan, units)}</Box>}
        {(state.status === "waiting" || state.status === "looking") && (
          <Box aria-live="polite" sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
            Looking for the cheapest ways out…
            {state.status === "looking" && (
              <Button onClick={() => stop(state.ticket)}>Enough</Button>
            )}
          </Box>
        )}
        {state.status === "trouble" && <Told trouble={state.trouble} />}
        {state.status === "found" && ways.length === 0 && (
          <span>
            No single change was found that mends all of it
            {state.answer.stopped ? " so far" : ""}. Leave out some moulds, or open what is named
            above.
          </span>
        )}
        {ways.length > 0 && (
          <Beside
            held={[present, ...ways.map((way, i) => held(way, i))]}
            shown={shown}
            onShow={setShown}
          />
        )}
      </Sheet>
    </Box>
  );

  function held(way: Way, place: number): Held {
    return {
      key: `${place} ${way.kind}`,
      title: wayText(way, session, answer.plan, resins, units),
      plan: way.plan,
      startsAt: new Date(startsAt.getTime() + shift(session.startsAt, way.session.startsAt)),
      zoneId: answer.zoneId,
      onTake: () => onTake(way.session),
    };
  }
}

/** How much later another wall-clock start is, ms. */
function shift(from: string, to: string): number {
  return new Date(`${to.slice(0, 19)}Z`).getTime() - new Date(`${from.slice(0, 19)}Z`).getTime();
}

function stop(ticket: string) {
  void ask(api.DELETE("/api/plan/tickets/{ticket}", { params: { path: { ticket } } })).catch(
    () => undefined,
  );
}
