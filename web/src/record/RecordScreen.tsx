import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import {
  api,
  ask,
  type LookedBack,
  type LookOver,
  type PieceOut,
  type RunEvent,
  type Trouble,
} from "../api/client";
import { AboutProvider } from "../api/asking";
import { useRecord } from "../api/queries";
import { CupCurves } from "../drawing/CupCurves";
import { Fig } from "../plan/how/How";
import { clockNow, clockOf } from "../pour/useRun";
import { Fetched } from "../ui/Fetched";
import { later } from "../ui/later";
import { Sheet } from "../ui/Sheet";
import { Told, WrongMark } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { cavityName } from "../words/places";
import { deviationWords, lookCodes, potWords } from "../words/record";
import { clockTime, dayAndTime } from "../words/time";
import { troubleWords } from "../words/trouble";
import { StayedInCups } from "./StayedInCups";
import { CureDiary } from "./CureDiary";
import { PiecesOfEvening } from "./PiecesOfEvening";
import { PourTable } from "./PourTable";
import { PrintedTags } from "./PrintedTags";
import { ToldLines } from "./ToldLines";

const LookOverKeys = later(() => import("./LookOverKeys").then((m) => m.LookOverKeys));
const ManyLooks = later(() => import("./ManyLooks").then((m) => m.ManyLooks));

interface Codes {
  codes?: string[];
}

const NOT_PRINTED = { "@media print": { display: "none" } } as const;

/** A run looked back on: what went in, what was otherwise, how the pieces came out. */
export function RecordScreen({ id }: { id: string }) {
  return (
    <Fetched query={useRecord(id)} loading="Looking back…">
      {(looked) => <About looked={looked} />}
    </Fetched>
  );
}

/** Whose figures they are that open below. */
function About({ looked }: { looked: LookedBack }) {
  const { id, begunAt, session } = looked;
  const about = useMemo(
    () => ({
      session: null,
      id: undefined,
      run: { id, at: (s: number) => clockTime(new Date(begunAt), s, session.zoneId) },
    }),
    [id, begunAt, session.zoneId],
  );
  return (
    <AboutProvider value={about}>
      <Record looked={looked} />
    </AboutProvider>
  );
}

function Record({ looked }: { looked: LookedBack }) {
  const units = useUnits();
  const { id, session, plan, asRun } = looked;
  const begun = new Date(looked.begunAt);
  const [piece, setPiece] = useState<PieceOut | null>(null);
  const [many, setMany] = useState(false);
  const [ending, setEnding] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [said, setSaid] = useState("");
  const at = (seconds: number) => clockTime(begun, seconds, session.zoneId);
  // A screen may lie open for days: what is told happened when it was told.
  const clock = useMemo(() => clockOf(looked), [looked]);
  const send = async (happened: (Omit<RunEvent, "id" | "at" | "codes"> & Codes)[]) => {
    const events = happened.map((h) => ({
      codes: [],
      ...h,
      id: crypto.randomUUID(),
      at: new Date(clockNow(clock)).toISOString(),
    }));
    const answer = await ask(
      api.POST("/api/runs/{id}/events", { params: { path: { id } }, body: { events } }),
    );
    return answer.status === "trouble" ? answer.trouble : null;
  };
  const tellAll = async (happened: (Omit<RunEvent, "id" | "at" | "codes"> & Codes)[]) => {
    const wrong = await send(happened);
    setTrouble(wrong);
    if (!wrong) {
      setPiece(null);
      setEnding(false);
    }
    return wrong;
  };
  const tell = async (happened: Omit<RunEvent, "id" | "at" | "codes"> & Codes) => {
    await tellAll([happened]);
  };
  const looks = (pieces: string[], look: LookOver) =>
    tellAll(
      pieces.map((of) => ({
        kind: "LOOKED_OVER",
        of,
        codes: lookCodes(look),
        ...(look.text === undefined ? {} : { text: look.text }),
      })),
    );
  const print = async (what: "CUPS" | "PIECES") => {
    const answer = await ask(
      api.POST("/api/runs/{id}/tags/{what}", { params: { path: { id, what } } }),
    );
    setTrouble(answer.status === "trouble" ? answer.trouble : null);
    if (answer.status === "ok") {
      setSaid(`${answer.value.tags} tags are kept in ${answer.value.lies}.`);
    }
  };
  const name = (p: PieceOut) => cavityName(plan, p.line, p.cavity);
  const over = looked.finishedAt !== undefined;
  const shut = [...new Set(asRun.pot.filter((l) => l.what === "IN").map((l) => l.batch))].filter(
    (batch) => !asRun.pot.some((l) => l.batch === batch && l.what === "OUT"),
  );
  // What was never poured is no piece.
  const pieces = asRun.pieces.filter((p) => p.poured > 0);
  const otherwise = [
    ...asRun.deviations.map((d) => ({
      atSeconds: d.atSeconds,
      words: deviationWords(d, plan, session, units),
    })),
    ...asRun.troubles.map((t) => ({
      atSeconds: t.atSeconds,
      words: troubleWords(t, plan, session, units),
    })),
  ].sort((a, b) => a.atSeconds - b.atSeconds);
  const left = asRun.cups.filter((c) => c.leftG >= 0.05);
  return (
    <Box sx={{ px: 1, pt: 1.5, display: "grid", gap: 1.5 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", flexWrap: "wrap" }}>
        <Box component="h1" sx={{ typography: "h1", m: 0 }}>
          {session.name}
        </Box>
        <Box sx={{ color: "text.secondary" }}>
          poured {dayAndTime(begun, session.zoneId)}
          {looked.finishedAt && `, over ${dayAndTime(new Date(looked.finishedAt), session.zoneId)}`}
        </Box>
        <Box sx={{ ml: "auto", display: "flex", gap: 1, flexWrap: "wrap", ...NOT_PRINTED }}>
          <Button variant="outlined" onClick={() => window.print()} sx={{ minHeight: 48 }}>
            Print
          </Button>
          <Button variant="outlined" onClick={() => void print("CUPS")} sx={{ minHeight: 48 }}>
            Tags for the cups
          </Button>
          <Button variant="outlined" onClick={() => void print("PIECES")} sx={{ minHeight: 48 }}>
            Tags for the pieces
          </Button>
          {!over && (
            <>
              <Button variant="outlined" href={`/pour/${id}`} sx={{ minHeight: 48 }}>
                To the bench
              </Button>
              <Button
                variant="outlined"
                color="error"
                onClick={() => setEnding(true)}
                sx={{ minHeight: 48 }}
              >
                This evening is over…
              </Button>
            </>
          )}
        </Box>
      </Box>
      {trouble && <Told trouble={trouble} />}
      {said && (
        <Box role="status" sx={{ color: "text.secondary" }}>
          {said}
        </Box>
      )}
      {ending && (
        <Box
          role="alertdialog"
          aria-label="Is this evening over?"
          sx={{
            border: 2,
            borderColor: "text.primary",
            borderRadius: 2,
            p: 2,
            display: "flex",
            gap: 2,
            alignItems: "center",
            flexWrap: "wrap",
          }}
        >
          <span>
            What is not done yet leaves Today and the calendar. Pieces can still be looked over.
          </span>
          <Button
            variant="contained"
            onClick={() => void tell({ kind: "FINISHED" })}
            sx={{ minHeight: 64 }}
          >
            It is over
          </Button>
          <Button onClick={() => setEnding(false)} sx={{ minHeight: 64 }}>
            Not yet
          </Button>
        </Box>
      )}
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "repeat(2, minmax(0, 1fr))" },
          gap: 1.5,
          alignItems: "start",
        }}
      >
        <PiecesOfEvening
          looked={looked}
          name={name}
          onLook={setPiece}
          onMany={() => setMany(true)}
        />
        <Box sx={{ display: "grid", gap: 1.5 }}>
          <Sheet title="Otherwise than planned">
            {otherwise.length === 0 ? (
              <Box sx={{ color: "text.secondary" }}>Nothing: it went as it was planned.</Box>
            ) : (
              <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
                {otherwise.map(({ atSeconds, words }, i) => (
                  <Box component="li" key={i} sx={{ display: "flex", gap: 1.5, py: 0.25 }}>
                    <Box sx={{ color: "text.secondary", flexShrink: 0 }}>{at(atSeconds)}</Box>
                    <span>{words}</span>
                  </Box>
                ))}
              </Box>
            )}
          </Sheet>
          <Sheet title="What went in">
            {asRun.batches.length === 0 && (
              <Box sx={{ color: "text.secondary" }}>Nothing was opened.</Box>
            )}
            {asRun.batches.map((b) => (
              <Box key={b.number} sx={{ py: 0.5 }}>
                <b>Batch {b.number}</b>, {b.resinName}:{" "}
                <Fig of={`batch/${b.number}/A`} what={`A of batch ${b.number}`}>
                  {showWith(units.MASS, b.aG)}
                </Fig>{" "}
                of A (planned {showWith(units.MASS, b.plannedAG)}),{" "}
                <Fig of={`batch/${b.number}/B`} what={`B of batch ${b.number}`}>
                  {showWith(units.MASS, b.bG)}
                </Fig>{" "}
                of B ({showWith(units.MASS, b.plannedBG)}); they met at {at(b.contactSeconds)}
                {b.mixedSeconds !== undefined && `, stirred until ${at(b.mixedSeconds)}`}.
              </Box>
            ))}
            {asRun.batches.length > 0 && (
              <Box sx={{ color: "text.secondary", py: 0.5 }}>
                <Fig of="run/allG" what="All of it">
                  {showWith(units.MASS, asRun.masses.resinG + asRun.masses.colourG)} in all
                </Fig>
                : {showWith(units.MASS, asRun.masses.pouredG)} into moulds,{" "}
                {showWith(units.MASS, asRun.masses.leftG)} left in cups
                {left.length > 0 &&
                  ` (${left.map((c) => `${c.colourName} ${showWith(units.MASS, c.leftG)}`).join(", ")})`}
                {asRun.masses.staysG >= 0.05 &&
                  `, ${showWith(units.MASS, asRun.masses.staysG)} in the mixing cup`}
                {asRun.masses.lostG >= 0.05 && `, ${showWith(units.MASS, asRun.masses.lostG)} lost`}
                .
              </Box>
            )}
          </Sheet>
          <CureDiary
            looked={looked}
            at={at}
            onFelt={(of, word) => tell({ kind: "FELT", of, codes: [word] })}
          />
          <StayedInCups
            cups={asRun.cups}
            onWeighed={(of, value) => void tell({ kind: "STAYED", of, value })}
          />
          {asRun.pot.length > 0 && (
            <Sheet title="Pressure pot">
              {asRun.pot.map((line, i) => (
                <Box key={i}>
                  {at(line.atSeconds)} batch {line.batch}: {potWords(line)}
                </Box>
              ))}
              {shut.map((batch) => (
                <Button
                  key={batch}
                  variant="outlined"
                  onClick={() => void tell({ kind: "POT", of: `${batch}/OUT` })}
                  sx={{ minHeight: 56, mt: 1 }}
                >
                  Pot of batch {batch}: emptied and opened
                </Button>
              ))}
            </Sheet>
          )}
        </Box>
      </Box>
      <Sheet title="Cavity by cavity">
        <PourTable pours={asRun.pours} plan={plan} at={at} />
        <Button href={`/api/runs/${id}/pours.csv`} component="a" download sx={NOT_PRINTED}>
          Save as a table
        </Button>
      </Sheet>
      <ToldLines
        looked={looked}
        at={at}
        now={() => clockNow(clock)}
        onCorrect={(event) => send([event])}
      />
      {looked.curves.length > 0 && (
        <Sheet title="How the cups followed" aside="a mark for each pour">
          <CupCurves
            curves={looked.curves}
            name={(c) => (
              <Fig of={`cup/${c.cupId}/thicks`} what={`How long ${c.colourName} poured`}>
                {c.colourName}
              </Fig>
            )}
          />
        </Sheet>
      )}
      <Box
        component="section"
        aria-label="Cautions"
        sx={{ display: "flex", gap: 1.5, color: "text.secondary", maxWidth: 980 }}
      >
        <WrongMark />
        <span>
          Gloves until a piece has fully cured; what is left cures before it goes where local rules
          say. The product’s safety data sheet comes first.
        </span>
      </Box>
      <PrintedTags title="Tags for the cups" tags={looked.cupTags} />
      <PrintedTags title="Tags for the pieces" tags={looked.pieceTags} />
      {many && (
        <ManyLooks
          pieces={pieces}
          name={name}
          swatch={(p) => plan.pieces[p.line]?.layers.at(-1)?.swatch ?? "transparent"}
          onLooked={looks}
          onClose={() => setMany(false)}
        />
      )}
      {piece && (
        <LookOverKeys
          key={piece.piece}
          runId={id}
          piece={piece}
          name={name(piece)}
          view={plan.pieces[piece.line]}
          pictures={looked.photos.filter((f) => f.piece === piece.piece).map((f) => f.number)}
          onLooked={(look) => void looks([piece.piece], look)}
          onClose={() => {
            setPiece(null);
          }}
        />
      )}
    </Box>
  );
}
