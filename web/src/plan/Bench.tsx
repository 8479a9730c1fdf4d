import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useCallback, useState } from "react";
import type { Mend, Piece, Session, Trouble } from "../api/client";
import { BatchCardView } from "../card/BatchCardView";
import { BenchFromAbove } from "../drawing/BenchFromAbove";
import { PourLine } from "../drawing/PourLine";
import { sittings } from "../drawing/pourLineLayout";
import { Cautions } from "../frame/Cautions";
import { Sheet } from "../frame/Sheet";
import { Told } from "../frame/Told";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { AddMould } from "./AddMould";
import { mended, notOnPurpose, onPurpose, pinned, released } from "./arranging";
import { Board } from "./Board";
import { lateIn, sureOf } from "./Beside";
import { changesText } from "./changes";
import { Conditions } from "./Conditions";
import { Days } from "./Days";
import { CupsBench } from "./CupsBench";
import { withoutLayer, withoutLine } from "./cupsByHand";
import { Findings } from "./Findings";
import { EVERYTHING, Find, MANY_LINES, soughtLines } from "./Find";
import { heatTexts, isHeat } from "./heat";
import { Fig, HowProvider } from "./How";
import { LayBeside } from "./LayBeside";
import { PieceEditor } from "./PieceEditor";
import { sendAsFile } from "./sessionFile";
import { PrintSheet } from "./PrintSheet";
import { Assumed, Legend } from "./Margins";
import { LayerStates } from "./States";
import { Story } from "./Story";
import { storyOf } from "./story";
import { TitleLine } from "./TitleLine";
import { usePlan } from "./usePlan";
import type { useSessionEditor } from "./useSessionEditor";
import { choices, type Defaults, type Shelves } from "./useWorkshop";
import { Ways } from "./Ways";
import { clockTime, countWord, minutes, stand } from "./wording";

interface Props {
  editing: ReturnType<typeof useSessionEditor>;
  session: Session;
  shelves: Shelves;
  defaults: Defaults;
}

/** The plan as a bench: pieces, cups, and the pour line below them. */
export function Bench({ editing, session, shelves, defaults }: Props) {
  const units = useUnits();
  const { edit, editor } = editing;
  const keptId = editor.status === "open" ? editor.kept?.id : undefined;
  const planning = usePlan(session, shelves.version, keptId);
  const { answer, trouble } = planning;
  const asked = planning.asked ?? session;
  const [sought, setSought] = useState(EVERYTHING);
  const [above, setAbove] = useState(false);
  const [selected, setSelected] = useState<number | null>(null);
  const [adding, setAdding] = useState(false);
  const [conditions, setConditions] = useState(session.resinId === "");
  const [fileTrouble, setFileTrouble] = useState<Trouble | null>(null);
  const [batchNumber, setBatchNumber] = useState(1);
  const [card, setCard] = useState(false);
  const closeCard = useCallback(() => setCard(false), []);

  const shelf = choices(shelves.workshop, session);
  const pieces = session.pieces ?? [];
  const habits = { ...defaults.habits, ...session.habits };
  const hands = { ...defaults.hands, ...session.hands };
  const errors = trouble?.errors ?? [];
  const plan = pieces.length > 0 && answer ? answer.plan : null;
  const startsAt = new Date(answer?.startsAt ?? 0);
  const zoneId = session.zoneId;
  const batch = plan?.batches.find((b) => b.number === batchNumber) ?? plan?.batches[0];
  const snapshot = editor.status === "open" ? (editor.kept?.snapshot ?? null) : null;
  const chosen = selected === null ? undefined : pieces[selected];

  const chosenName = shelf.moulds.find((m) => m.id === chosen?.mouldId)?.name ?? "Missing mould";

  const editCups = useCallback((next: Session) => edit(next, null), [edit]);

  const setPieces = (next: Piece[], field: string | null) =>
    edit({ ...session, pieces: next }, field);
  const setPiece = (line: number, piece: Piece, field: string | null) =>
    setPieces(
      pieces.map((p, i) => (i === line ? piece : p)),
      field,
    );
  const remove = (line: number) => {
    setSelected(null);
    edit(
      {
        ...session,
        pieces: pieces.filter((_, i) => i !== line),
        cupsByHand: withoutLine(session.cupsByHand ?? [], line),
      },
      null,
    );
  };
  const removeLayer = (line: number, layer: number) =>
    edit(
      {
        ...session,
        pieces: pieces.map((p, i) =>
          i === line ? { ...p, layers: p.layers.filter((_, l) => l !== layer) } : p,
        ),
        cupsByHand: withoutLayer(session.cupsByHand ?? [], line, layer),
      },
      null,
    );
  const add = (mouldId: string, count: number) => {
    setAdding(false);
    if (!shelf.moulds.some((m) => m.id === mouldId)) {
      shelves.reload();
    }
    // A tray is filled whole: each of its kinds of cavity is a line of its own.
    const cavities = shelf.moulds.find((m) => m.id === mouldId)?.cavities ?? [];
    const layers: Piece["layers"] = [{ colourId: "clear", join: "TOGETHER" }];
    const lines: Piece[] =
      cavities.length > 1
        ? cavities.map((c) => ({ mouldId, cavityId: c.id, count: count * c.count, layers }))
        : [{ mouldId, count: count * (cavities[0]?.count ?? 1), layers }];
    setPieces([...pieces, ...lines], null);
    setSelected(pieces.length);
    setConditions((open) => open || session.resinId === "");
  };
  const mend = (way: Mend) => {
    const next = mended(session, habits, way);
    if (way.kind === "ANEW") {
      planning.anew();
    }
    if (next) {
      edit(next, null);
    } else if (way.kind === "LEAVE_OUT") {
      remove(way.value);
    } else if (way.kind === "CHANGE_HOURS") {
      setConditions(true);
    } else if (way.kind === "OPEN_PIECE") {
      setSelected(way.value);
    } else if (way.target?.startsWith("mould/")) {
      window.location.hash = `#/moulds/${way.target.slice("mould/".length)}`;
    } else {
      window.location.hash = "#/shelf";
    }
  };
  /** The mould as the saved plan knew it, to be carried along by the session from now on. */
  const bringBack = (piece: Piece): (() => void) | null => {
    const lost = snapshot?.moulds?.find((m) => m.id === piece.mouldId);
    if (!lost || shelf.moulds.some((m) => m.id === piece.mouldId)) {
      return null;
    }
    return () =>
      edit(
        {
          ...session,
          carried: {
            ...session.carried,
            moulds: [...(session.carried?.moulds ?? []), lost],
          },
        },
        null,
      );
  };

  const how =
    pieces.length === 0
      ? { wrong: false, text: "Put a mould on the board to begin." }
      : session.resinId === ""
        ? { wrong: false, text: "Choose a resin, and the plan follows." }
        : trouble
          ? { wrong: true, text: trouble.detail }
          : plan
            ? { ...stand(plan, startsAt, zoneId, units), opens: true }
            : { wrong: false, text: "Working it out…" };
  const late = plan ? lateIn(plan) : new Set<string>();
  const many = plan !== null && plan.pieces.length >= MANY_LINES;
  const wrong = plan?.findings.some(
    (f) => (f.severity === "BREACH" && f.accepted === undefined) || isHeat(f),
  );
  const changed = plan && planning.before ? changesText(planning.before.plan, plan, units) : null;
  const pairs = habits.planning?.pairsOfHands ?? 1;
  const sitting = batch && sittings(plan?.batches ?? []).find((s) => s.includes(batch));

  return (
    <HowProvider value={asked}>
      <Box sx={{ "@media print": { display: "none" } }}>
        <TitleLine
          editing={editing}
          session={session}
          how={how}
          heat={plan && !trouble ? heatTexts(plan, units) : []}
          resin={shelf.resins.find((r) => r.id === session.resinId)?.name ?? "no resin yet"}
          open={conditions}
          onOpen={() => setConditions(!conditions)}
          planned={planning.asked}
          tried={planning.waiting?.tried ?? null}
          onEnough={planning.enough}
        />
        {plan && !trouble && (
          <Story
            sentences={storyOf(plan, startsAt, zoneId, units)}
            changed={changed}
            least={plan.arranged?.leastBatches ?? null}
            batches={plan.batches.length}
          />
        )}
        {conditions && (
          <Conditions
            session={session}
            shelf={shelf}
            errors={errors}
            habits={habits}
            hands={hands}
            onChange={edit}
            onShelfChanged={shelves.reload}
          />
        )}
        {trouble && errors.length === 0 && <Told trouble={trouble} onRetry={shelves.reload} />}
        {plan && !trouble && (
          <Findings
            plan={plan}
            session={session}
            startsAt={startsAt}
            onMend={mend}
            onAccept={(finding, reason) => edit(onPurpose(session, finding, reason), null)}
            onTakeBack={(finding) => edit(notOnPurpose(session, finding), null)}
          />
        )}
        {answer && wrong && !trouble && (
          <Ways
            session={asked}
            answer={answer}
            resins={shelf.resins}
            id={keptId}
            onTake={(next) => {
              planning.anew();
              edit(next, null);
            }}
          />
        )}
        <Box
          sx={{
            display: "grid",
            gap: 1.5,
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 19fr) minmax(0, 37fr)" },
            // A plan that no longer fits what is typed is shown, but not as if it did.
            "& .stale": { opacity: trouble ? 0.45 : 1 },
          }}
        >
          <Sheet
            title="On the board"
            aside={
              <>
                {plan && (
                  <>
                    {plan.totals.cavities} {plan.totals.cavities === 1 ? "cavity" : "cavities"} ·{" "}
                    <Fig of="session/volumeMl" what="Volume of the session">
                      {showWith(units.VOLUME, plan.totals.volumeMl)}
                    </Fig>{" "}
                  </>
                )}
                {plan && (
                  <Button
                    onClick={() => setAbove(!above)}
                    aria-pressed={above}
                    sx={{ minHeight: 32, py: 0 }}
                  >
                    {above ? "In section" : "From above"}
                  </Button>
                )}
                <Button onClick={() => setAdding(!adding)} sx={{ minHeight: 32, py: 0 }}>
                  + a mould
                </Button>
              </>
            }
          >
            {plan && above && <BenchFromAbove plan={plan} />}
            {many && !above && <Find plan={plan} sought={sought} onSeek={setSought} />}
            {!above && (
              <Board
                session={session}
                plan={plan}
                shelf={shelf}
                errors={errors}
                selected={selected}
                onSelect={(line) => {
                  setAdding(false);
                  setSelected(line);
                }}
                startsAt={startsAt}
                zoneId={zoneId}
                onCount={(line, count) => {
                  const piece = pieces[line];
                  if (piece && count < 1) {
                    remove(line);
                  } else if (piece) {
                    setPiece(line, { ...piece, count }, null);
                  }
                }}
                only={plan && many ? soughtLines(plan, sought) : null}
              />
            )}
          </Sheet>
          <Sheet
            title={
              batch?.split === false
                ? "One cup"
                : batch
                  ? `From one cup to ${countWord(batch.cups.length).toLowerCase()}`
                  : "The cups"
            }
            aside={
              <>
                {batch && !trouble && (
                  <Button onClick={() => setCard(true)} sx={{ minHeight: 32, py: 0 }}>
                    Batch card
                  </Button>
                )}
                {plan && plan.batches.length > 1 ? (
                  <ToggleButtonGroup
                    exclusive
                    size="small"
                    value={batch?.number}
                    onChange={(_, next: number | null) => next && setBatchNumber(next)}
                    aria-label="Batch"
                    sx={{ flexWrap: "wrap" }}
                  >
                    {plan.batches.map((b) => (
                      <ToggleButton
                        key={b.number}
                        value={b.number}
                        sx={{ textTransform: "none", py: 0.25 }}
                      >
                        Batch {b.number}, {clockTime(startsAt, b.startSeconds, zoneId)}
                      </ToggleButton>
                    ))}
                  </ToggleButtonGroup>
                ) : (
                  shelf.resins.find((r) => r.id === session.resinId)?.name
                )}
              </>
            }
          >
            <Box className="stale">
              {plan && batch ? (
                <CupsBench
                  batch={batch}
                  plan={plan}
                  session={session}
                  shelf={shelf}
                  errors={errors}
                  startsAt={startsAt}
                  zoneId={zoneId}
                  onEdit={editCups}
                />
              ) : (
                <Typography color="text.secondary">
                  The batch and its cups stand here as soon as there is something to pour.
                </Typography>
              )}
            </Box>
          </Sheet>
          {(adding || chosen) && (
            <Box sx={{ gridColumn: "1 / -1", minWidth: 0 }}>
              <Sheet title={adding ? "Another mould" : chosenName}>
                {adding && (
                  <AddMould shelf={shelf} onChosen={add} onClose={() => setAdding(false)} />
                )}
                {!adding && chosen && selected !== null && (
                  <PieceEditor
                    view={plan?.pieces[selected] ?? null}
                    session={session}
                    key={selected}
                    line={selected}
                    piece={chosen}
                    shelf={shelf}
                    errors={errors}
                    onBringBack={bringBack(chosen)}
                    onChange={(piece, field) => setPiece(selected, piece, field)}
                    onEvery={(change) => setPieces(pieces.map(change), null)}
                    onRemove={() => remove(selected)}
                    onRemoveLayer={(layer) => removeLayer(selected, layer)}
                    onClose={() => setSelected(null)}
                  />
                )}
                {!adding && plan && selected !== null && (
                  <LayerStates plan={plan} piece={selected} startsAt={startsAt} zoneId={zoneId} />
                )}
              </Sheet>
            </Box>
          )}
          <Box sx={{ gridColumn: "1 / -1", minWidth: 0 }}>
            <Sheet
              title="Pour line"
              aside={
                <Legend pairs={pairs}>
                  {plan?.chance && !trouble && (
                    <span>makes it on {sureOf(plan.chance.percent)}</span>
                  )}
                  {plan && !trouble && plan.spareSeconds >= 0 && (
                    <b>
                      <Fig of="plan/spareMinutes" what="Time to spare">
                        {minutes(plan.spareSeconds / 60)}
                      </Fig>{" "}
                      to spare
                    </b>
                  )}
                </Legend>
              }
            >
              <Box className="stale">
                {plan && sitting ? (
                  <PourLine
                    plan={plan}
                    batches={sitting}
                    startsAt={startsAt}
                    zoneId={zoneId}
                    late={late}
                    onMove={(taskId, start) =>
                      edit(pinned(session, taskId, start), `pin ${taskId}`)
                    }
                    onRelease={(taskId) => edit(released(session, taskId), null)}
                  />
                ) : (
                  <Typography color="text.secondary">
                    The order of the work against the working time.
                  </Typography>
                )}
              </Box>
            </Sheet>
          </Box>
          {plan && !trouble && (
            <Box sx={{ gridColumn: "1 / -1", minWidth: 0 }}>
              <Days
                plan={plan}
                session={session}
                startsAt={startsAt}
                onMove={(taskId, start) => edit(pinned(session, taskId, start), `pin ${taskId}`)}
                onRelease={(taskId) => edit(released(session, taskId), null)}
                onEdit={editCups}
              />
            </Box>
          )}
        </Box>
        {plan && <Assumed plan={plan} session={asked} />}
        <Cautions />
        <Box sx={{ px: 2.5, pt: 1, display: "flex", gap: 1, flexWrap: "wrap" }}>
          <Button onClick={() => window.print()} disabled={!plan} variant="outlined">
            Print for the bench
          </Button>
          <Button
            onClick={() => void sendAsFile(session).then(setFileTrouble)}
            disabled={!plan || trouble !== null}
          >
            Save as a file
          </Button>
          {fileTrouble && <Told trouble={fileTrouble} />}
          {answer && plan && (
            <LayBeside
              session={session}
              answer={answer}
              before={planning.before}
              onUndo={editing.undo}
            />
          )}
        </Box>
      </Box>
      {card && batch && (
        <BatchCardView
          session={asked}
          batch={batch.number}
          startsAt={startsAt}
          onEdit={editCups}
          onClose={closeCard}
        />
      )}
      {answer && plan && !trouble && !card && <PrintSheet session={session} answer={answer} />}
    </HowProvider>
  );
}
