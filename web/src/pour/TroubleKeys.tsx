import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Plan, RunState, RunStep, Session } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { readNumber, show, showWith } from "../units/units";
import {
  ABOUT,
  answerWords,
  HELPS,
  pourNames,
  type TroubleAnswer,
  type TroubleKind,
  TROUBLES,
} from "../words/trouble";
import { Keypad } from "./Keypad";
import { Over } from "./Over";
import { fallen, supposed } from "./supposed";
import { about, type Choice } from "./troubled";
import type { Happened } from "./useRun";

interface Props {
  runId: string;
  state: RunState;
  steps: RunStep[];
  plan: Plan;
  session: Session;
  /** The step on the screen. */
  shown: RunStep | undefined;
  at: (seconds: number) => string;
  tell: (...happened: Happened[]) => void;
  /** The two that have keys of their own where there is room; null where they make no sense. */
  onThick: (() => void) | null;
  onHot: (() => void) | null;
  onClose: () => void;
}

/** What is told, and what it would do, before it is told. */
interface Asked {
  happened: Happened;
  falls: RunStep[];
  /** Of an embed that goes in late, until when; null for what has no window. */
  until: string | null;
}

const KEY = { minHeight: 84, fontSize: { xs: "1.15rem", md: "1.35rem" } } as const;
const TITLE = { typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.4rem" } } as const;

/** What goes wrong at the bench: what, with which, and what is done about it. */
export function TroubleKeys(props: Props) {
  const { runId, steps, plan, at, tell, onClose } = props;
  const units = useUnits();
  const [kind, setKind] = useState<TroubleKind | null>(null);
  const [chosen, setChosen] = useState<Choice | null>(null);
  const [from, setFrom] = useState<Choice | null>(null);
  const [weighs, setWeighs] = useState<TroubleAnswer | null>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [line, setLine] = useState("");

  const told = (happened: Happened) => {
    tell(happened);
    onClose();
  };
  /** Told at once where nothing falls away by it; shown first where something does. */
  const offer = async (happened: Happened) => {
    const then = await supposed(runId, [happened]);
    const falls = then ? fallen(then, steps) : [];
    const late = happened.codes?.[0] === "LATE" ? chosen?.address : undefined;
    const until = then?.steps.find((s) => s.taskId === late)?.untilSeconds;
    if (falls.length === 0 && until === undefined) {
      told(happened);
    } else {
      setAsked({ happened, falls, until: until === undefined ? null : at(until) });
    }
  };
  const happened = (answer: TroubleAnswer, by?: number): Happened => ({
    kind: "TROUBLE",
    of: chosen ? `${chosen.kind}/${chosen.address}${from ? `/${from.address}` : ""}` : "NOTE",
    codes: [answer],
    ...(by === undefined ? {} : { value: by }),
  });

  const title = (words: string) => (
    <Box component="h2" sx={TITLE}>
      {words}
    </Box>
  );
  const back = (words: string, on: () => void) => (
    <Button onClick={on} sx={{ minHeight: 72, fontSize: "1.2rem", mt: "auto" }}>
      {words}
    </Button>
  );
  const choices = (all: Choice[], on: (choice: Choice) => void) => (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" }, gap: 1.5 }}>
      {all.map((c) => (
        <Button
          key={`${c.kind}/${c.address}`}
          variant="outlined"
          color="error"
          onClick={() => on(c)}
          sx={KEY}
        >
          {c.words}
        </Button>
      ))}
    </Box>
  );

  if (kind === null) {
    return (
      <Over label="Trouble" onClose={onClose}>
        {title("What went wrong?")}
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" }, gap: 1.5 }}>
          {props.onThick && (
            <Button variant="outlined" color="error" onClick={props.onThick} sx={KEY}>
              This cup is too thick
            </Button>
          )}
          {props.onHot && (
            <Button variant="outlined" color="error" onClick={props.onHot} sx={KEY}>
              A cup gets hot
            </Button>
          )}
          {TROUBLES.filter((t) => t.kind === "NOTE" || about(t.kind, props).length > 0).map((t) => (
            <Button
              key={t.kind}
              variant="outlined"
              color={t.kind === "NOTE" ? "primary" : "error"}
              onClick={() => setKind(t.kind)}
              sx={KEY}
            >
              {t.words}
            </Button>
          ))}
        </Box>
        {back("Nothing, back to the step", onClose)}
      </Over>
    );
  }
  if (kind === "NOTE") {
    const said = line.trim();
    return (
      <Over label="Write a line" onClose={onClose}>
        {title(ABOUT.NOTE)}
        <TextField
          label="A line for the record"
          value={line}
          multiline
          minRows={3}
          helperText={said.length > 300 ? "No more than 300 letters." : HELPS.NOTE}
          error={said.length > 300}
          onChange={(e) => setLine(e.target.value)}
        />
        <Button
          variant="contained"
          disabled={said === "" || said.length > 300}
          onClick={() => told({ kind: "TROUBLE", of: "NOTE", codes: [], text: said })}
          sx={KEY}
        >
          Keep it
        </Button>
        {back("Back", () => setKind(null))}
      </Over>
    );
  }
  if (asked) {
    const { falls, until } = asked;
    return (
      <Over warns label="What it changes">
        {title(
          falls.length === 0
            ? "It is the next step then"
            : `${falls.length} ${falls.length === 1 ? "pour falls" : "pours fall"} away`,
        )}
        <Box sx={{ fontSize: { xs: "1.2rem", md: "1.6rem" }, maxWidth: 900, lineHeight: 1.35 }}>
          {falls.length > 0 && `${pourNames(falls, plan)}. `}
          {until !== null && `Its layer takes it until ${until}.`}
        </Box>
        <Box sx={{ display: "flex", gap: 1.5, mt: "auto", flexWrap: "wrap" }}>
          <Button variant="outlined" onClick={() => setAsked(null)} sx={{ ...KEY, flex: 1 }}>
            Back
          </Button>
          <Button variant="contained" onClick={() => told(asked.happened)} sx={{ ...KEY, flex: 2 }}>
            It is so
          </Button>
        </Box>
      </Over>
    );
  }
  if (!chosen || (chosen.kind === "WRONG_COLOUR" && !from)) {
    const cups = chosen ? about("WRONG_COLOUR", props, chosen.address) : about(kind, props);
    return (
      <Over label={TROUBLES.find((t) => t.kind === kind)?.words ?? ""} onClose={onClose}>
        {title(chosen ? "Out of which cup did it come?" : ABOUT[kind])}
        {choices(cups, chosen ? setFrom : setChosen)}
        {back("Back", () => (chosen ? setChosen(null) : setKind(null)))}
      </Over>
    );
  }
  if (weighs) {
    return (
      <Over label="How much?" onClose={onClose}>
        {title(chosen.words)}
        <Keypad
          what={weighs === "MENDED" ? "What it took again" : "What is gone"}
          unit={units.MASS.symbol}
          done="That much"
          {...(chosen.mostG === undefined
            ? {}
            : { most: Number(show(units.MASS, chosen.mostG)), mostIs: "There is no more than" })}
          onDone={(value) => {
            const grams = readNumber(String(value));
            void offer(
              happened(weighs, typeof grams === "number" ? grams * units.MASS.scale : undefined),
            );
          }}
          onCancel={() => setWeighs(null)}
        />
      </Over>
    );
  }
  const spilled = chosen.kind === "SPILLED" || chosen.kind === "SPILLED_MIX";
  const key = (words: string, on: () => void) => (
    <Button key={words} variant="outlined" onClick={on} sx={KEY}>
      {words}
    </Button>
  );
  return (
    <Over label={TROUBLES.find((t) => t.kind === kind)?.words ?? ""} onClose={onClose}>
      {title(from ? `${from.words} instead of ${chosen.words}` : chosen.words)}
      <Box sx={{ fontSize: { xs: "1.1rem", md: "1.4rem" }, maxWidth: 900, lineHeight: 1.35 }}>
        {HELPS[chosen.kind]}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" }, gap: 1.5 }}>
        {spilled
          ? [
              key("All of it", () => void offer(happened("GOES_ON"))),
              chosen.mostG !== undefined &&
                key(
                  `About half of it, ${showWith(units.MASS, chosen.mostG / 2)}`,
                  () => void offer(happened("GOES_ON", (chosen.mostG ?? 0) / 2)),
                ),
              key("Type how much", () => setWeighs("GOES_ON")),
            ]
          : chosen.answers.map((answer) =>
              answer === "MENDED"
                ? [
                    key("It is shut again, nothing ran out", () => void offer(happened("MENDED"))),
                    key("It is shut again and was topped up", () => setWeighs("MENDED")),
                  ]
                : key(
                    answerWords(chosen.kind, answer),
                    () => void offer(happened(answer, answer === "RESTS" ? 3 : undefined)),
                  ),
            )}
      </Box>
      {back("Back", () => (from ? setFrom(null) : setChosen(null)))}
    </Over>
  );
}
