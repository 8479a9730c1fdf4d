import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { numberOf, useAbout, useAnswer } from "../../api/asking";
import { api, type PlanAnswer, type Session, type Way, type WaysAnswer } from "../../api/client";
import { value } from "../../api/queries";
import { useTicket } from "../../api/ticket";
import { Sheet } from "../../ui/Sheet";
import { Told } from "../../ui/Told";
import { useUnits } from "../../units/UnitsProvider";
import { bindingText, wayText } from "../../words/ways";
import { Beside, type Held } from "./Beside";

interface Props {
  /** As it was asked for. */
  session: Session;
  answer: PlanAnswer;
  resins: { id: string; name: string }[];
  onTake: (session: Session) => void;
}

/** Somebody may be typing on; a look for ways out costs a few seconds of the machine. */
const QUIET = 700;

/** When it does not fit: what stands in the way, and the cheapest ways out, each as a plan. */
export function Ways({ session, answer, resins, onTake }: Props) {
  const { id } = useAbout();
  const units = useUnits();
  const [beside, setBeside] = useState(false);
  const [shown, setShown] = useState<string | null>(null);

  const { ticket, run, enough } = useTicket();
  const {
    answer: newest,
    current,
    trouble,
    retry,
  } = useAnswer<WaysAnswer>(
    ["ways", id, numberOf(session)],
    (signal) =>
      run(signal, (mine) => {
        const query = { ticket: mine, ...(id ? { id } : {}) };
        return value(api.POST("/api/plan/ways", { body: session, signal, params: { query } }));
      }),
    QUIET,
  );
  const found = current ? newest : null;

  const startsAt = new Date(answer.startsAt);
  const present: Held = {
    key: "present",
    title: "As it is",
    plan: answer.plan,
    startsAt,
    zoneId: answer.zoneId,
    onTake: null,
  };
  const ways = found?.ways ?? [];
  const binding = found?.binding;
  return (
    <Box sx={{ mb: 1.5 }}>
      <Sheet title="Ways out">
        {binding && <Box sx={{ mb: 1 }}>{bindingText(binding, answer.plan, units)}</Box>}
        {!found && !trouble && (
          <Box aria-live="polite" sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
            Looking for the cheapest ways out…
            {ticket !== null && <Button onClick={enough}>Enough</Button>}
          </Box>
        )}
        {trouble && <Told trouble={trouble} onRetry={retry} />}
        {found && ways.length === 0 && (
          <span>
            No single change was found that mends all of it
            {found.stopped ? " so far" : ""}. Leave out some moulds, or open what is named above.
          </span>
        )}
        {ways.length > 0 && (
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
            {!beside &&
              ways.map((way, i) => {
                const { title, onTake: take } = held(way, i);
                return (
                  <Button
                    key={title}
                    variant="outlined"
                    aria-label={`Take: ${title}`}
                    onClick={() => take?.()}
                  >
                    {title}
                  </Button>
                );
              })}
            {/* The table is tall: the board stays in sight until somebody wants to compare. */}
            <Button aria-expanded={beside} onClick={() => setBeside(!beside)}>
              {beside ? "Hide the ways" : "Compare these ways"}
            </Button>
          </Box>
        )}
        {ways.length > 0 && beside && (
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
