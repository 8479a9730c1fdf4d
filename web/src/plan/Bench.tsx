// Longer than 400 lines: what may be done to the open session stands in one place, with the sheets it is done from.
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useCallback, useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { AboutProvider } from "../api/asking";
import type { Mend, Piece, Session, Trouble, Workshop } from "../api/client";
import type { Defaults } from "../api/queries";
import { sittings } from "../drawing/pourLineLayout";
import { notOnPurpose, onPurpose, pinned, released } from "../session/arranging";
import { choices } from "../session/choices";
import {
  carrying,
  withMould,
  withoutPiece,
  withoutPieceLayer,
  withPiece,
  withPieces,
} from "../session/pieces";
import { withTrial } from "../session/trials";
import { useMend } from "../session/useMend";
import { usePlan } from "../session/usePlan";
import type { useSessionEditor } from "../session/useSessionEditor";
import { Cautions } from "../ui/Cautions";
import { useAddressed } from "../ui/Going";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { later } from "../ui/later";
import { isHeat } from "../words/heat";
import { lateIn, sureOf } from "../words/plan";
import { minutes } from "../words/time";
import { ADD_MOULD, BoardSheet } from "./board/BoardSheet";
import { CupsSheet } from "./cups/CupsSheet";
import { Fig } from "./how/How";
import { Legend } from "./how/Legend";
import { TitleLine } from "./verdict/TitleLine";

const AddMould = later(() => import("./board/AddMould").then((m) => m.AddMould));
const CupRecipe = later(() => import("./cups/CupRecipe").then((m) => m.CupRecipe));
const BatchCardView = later(() => import("../card/BatchCardView").then((m) => m.BatchCardView));
const Conditions = later(() => import("./conditions/Conditions").then((m) => m.Conditions));
const PouredAlready = later(() => import("../pour/PouredAlready").then((m) => m.PouredAlready));
const PieceEditor = later(() => import("./board/PieceEditor").then((m) => m.PieceEditor));
const LayBeside = later(() => import("./verdict/LayBeside").then((m) => m.LayBeside));
const PrintSheet = later(() => import("./print/PrintSheet").then((m) => m.PrintSheet));
const Findings = later(() => import("./verdict/Findings").then((m) => m.Findings));
const Story = later(() => import("./verdict/Story").then((m) => m.Story));
const Ways = later(() => import("./verdict/Ways").then((m) => m.Ways));
const LayerStates = later(() => import("./how/States").then((m) => m.LayerStates));
// Below what is seen at once, or drawn once there is a plan.
const PourLine = later(() => import("../drawing/PourLine").then((m) => m.PourLine));
const Days = later(() => import("./days/Days").then((m) => m.Days));
const Assumed = later(() => import("./how/Margins").then((m) => m.Assumed));

/** The board of the shelf that a mend is about. */
function shelfOf(target: string | undefined): string {
  const [kind = ""] = (target ?? "").split("/");
  const board = kind === "part" ? "bottles" : kind.endsWith("s") || kind === "" ? kind : `${kind}s`;
  return `/shelf/${board}`;
}

interface Props {
  editing: ReturnType<typeof useSessionEditor>;
  session: Session;
  workshop: Workshop;
  defaults: Defaults;
}

/** The plan as a bench: pieces, cups, and the pour line below them. */
export function Bench({ editing, session, workshop, defaults }: Props) {
  const navigate = useNavigate();
  const { edit, editor } = editing;
  const keptId = editor.status === "open" ? editor.kept?.id : undefined;
  const planning = usePlan(session, workshop, keptId);
  const { answer, trouble } = planning;
  const asked = planning.asked ?? session;
  const about = useMemo(() => ({ session: asked, id: keptId }), [asked, keptId]);
  const [line, setLine] = useAddressed("line");
  const selected = line === null ? null : Number(line) - 1;
  const setSelected = (to: number | null) => setLine(to === null ? null : String(to + 1));
  const [adding, setAdding] = useState((session.pieces ?? []).length === 0);
  const [story, setStory] = useState(false);
  const [conditions, setConditions] = useState(session.resinId === "");
  const [fileTrouble, setFileTrouble] = useState<Trouble | null>(null);
  const [batchShown, setBatchShown] = useAddressed("batch");
  // "Back" closes what lies over the plan.
  const [cardShown, setCardShown] = useAddressed("card", true);
  const card = cardShown !== null;

  const shelf = choices(workshop, session);
  const pieces = session.pieces ?? [];
  const habits = { ...defaults.habits, ...session.habits };
  const errors = trouble?.errors ?? [];
  const plan = pieces.length > 0 && answer ? answer.plan : null;
  const startsAt = new Date(answer?.startsAt ?? 0);
  const zoneId = session.zoneId;
  const batch = plan?.batches.find((b) => b.number === Number(batchShown ?? 1)) ?? plan?.batches[0];
  const snapshot = editor.status === "open" ? (editor.kept?.snapshot ?? null) : null;
  const chosen = selected === null ? undefined : pieces[selected];

  const chosenName = shelf.moulds.find((m) => m.id === chosen?.mouldId)?.name ?? "Missing mould";

  const editCups = useCallback((next: Session) => edit(next, null), [edit]);

  const setPiece = (line: number, piece: Piece, field: string | null) =>
    edit(withPiece(session, line, piece), field);
  const remove = (line: number) => {
    setSelected(null);
    edit(withoutPiece(session, line), null);
  };
  const add = (mouldId: string, count: number) => {
    setAdding(false);
    const mould = shelf.moulds.find((m) => m.id === mouldId);
    edit(withMould(session, mouldId, mould, count), null);
    setSelected(pieces.length);
    setConditions((open) => open || session.resinId === "");
    // The choice it was in is gone: whoever works by keys goes on here, not at the top again.
    document.getElementById(ADD_MOULD)?.focus({ preventScroll: true });
  };
  const elsewhere = (way: Mend) => {
    if (way.kind === "LEAVE_OUT") {
      remove(way.value);
    } else if (way.kind === "CHANGE_HOURS") {
      setConditions(true);
    } else if (way.kind === "OPEN_PIECE") {
      setSelected(way.value);
    } else if (way.target?.startsWith("mould/")) {
      void navigate(`/moulds/${way.target.slice("mould/".length)}`);
    } else {
      void navigate(shelfOf(way.target));
    }
  };
  const mend = useMend({
    session,
    onMended: (next, way) => {
      if (way.kind === "ANEW") {
        planning.anew();
      }
      edit(next, null);
    },
    onElsewhere: elsewhere,
    onTrouble: setFileTrouble,
  });
  /** The mould as the saved plan knew it, to be carried along by the session from now on. */
  const bringBack = (piece: Piece): (() => void) | null => {
    const lost = snapshot?.moulds?.find((m) => m.id === piece.mouldId);
    if (!lost || shelf.moulds.some((m) => m.id === piece.mouldId)) {
      return null;
    }
    return () => edit(carrying(session, lost), null);
  };

  const how =
    pieces.length === 0
      ? { wrong: false, text: "Put a mould on the board to begin." }
      : session.resinId === ""
        ? { wrong: false, text: "Choose a resin, and the plan follows." }
        : trouble
          ? { wrong: true, text: trouble.detail }
          : { wrong: false, text: "Working it out…" };
  const late = plan ? lateIn(plan) : new Set<string>();
  const wrong = plan?.findings.some(
    (f) => (f.severity === "BREACH" && f.accepted === undefined) || isHeat(f),
  );
  const stands = plan && !trouble && session.resinId !== "" ? answer : null;
  const pairs = habits.planning?.pairsOfHands ?? 1;
  const sitting = batch && plan && sittings(plan).find((s) => s.includes(batch));
  // While the conditions are open they stand below the board, which is what a condition changes.
  const waysOut = answer && wrong && !trouble && (
    <Ways
      session={asked}
      answer={answer}
      resins={shelf.resins}
      onTake={(next) => {
        planning.anew();
        edit(next, null);
      }}
    />
  );

  return (
    <AboutProvider value={about}>
      <Box sx={{ "@media print": { display: "none" } }}>
        <TitleLine
          editing={editing}
          session={session}
          how={how}
          answer={stands}
          before={planning.before}
          resin={shelf.resins.find((r) => r.id === session.resinId)?.name ?? "no resin yet"}
          open={conditions}
          onOpen={() => setConditions(!conditions)}
          story={story}
          onStory={plan && !trouble ? () => setStory(!story) : null}
          planned={planning.asked}
          tried={planning.tried}
          onEnough={planning.enough}
        />
        {story && plan && !trouble && (
          <Story
            plan={plan}
            startsAt={startsAt}
            zoneId={zoneId}
            least={plan.arranged?.leastBatches ?? null}
            batches={plan.batches.length}
          />
        )}
        {conditions && (
          <Conditions
            session={session}
            shelf={shelf}
            errors={errors}
            defaults={defaults}
            onChange={edit}
          />
        )}
        {trouble && errors.length === 0 && <Told trouble={trouble} onRetry={planning.retry} />}
        {plan && !trouble && (
          <Findings
            plan={plan}
            session={session}
            startsAt={startsAt}
            onMend={mend}
            onAccept={(finding, reason) => edit(onPurpose(session, finding, reason), null)}
            onTakeBack={(finding) => edit(notOnPurpose(session, finding), null)}
            few={conditions}
          />
        )}
        {!conditions && waysOut}
        <Box
          sx={{
            display: "grid",
            gap: 1.5,
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 19fr) minmax(0, 37fr)" },
            // A plan that no longer fits what is typed is shown, but not as if it did.
            "& .stale": { opacity: trouble ? 0.45 : 1 },
          }}
        >
          <BoardSheet
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
            onAdding={() => setAdding(pieces.length === 0 || !adding)}
          />
          <CupsSheet
            batch={batch}
            plan={plan}
            session={session}
            shelf={shelf}
            errors={errors}
            startsAt={startsAt}
            zoneId={zoneId}
            onEdit={editCups}
            onBatch={(number) => setBatchShown(String(number))}
            onCard={trouble ? null : () => setCardShown("open")}
          />
          {(adding || chosen) && (
            <Box sx={{ gridColumn: "1 / -1", minWidth: 0 }}>
              <Sheet title={adding ? "Another mould" : chosenName}>
                {adding && (
                  <AddMould
                    shelf={shelf}
                    focus={pieces.length > 0}
                    onChosen={add}
                    onClose={() => setAdding(false)}
                  />
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
                    onEvery={(change) => edit(withPieces(session, pieces.map(change)), null)}
                    onTrial={(trial) => {
                      setSelected(pieces.length);
                      edit(withTrial(session, selected, trial), null);
                    }}
                    onRemove={() => remove(selected)}
                    onRemoveLayer={(layer) =>
                      edit(withoutPieceLayer(session, selected, layer), null)
                    }
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
                  {plan?.chance && !trouble && <span>{sureOf(plan.chance.percent)}</span>}
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
                  <Box sx={{ color: "text.secondary" }}>
                    The order of the work against the working time.
                  </Box>
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
        {conditions && waysOut}
        {plan && <Assumed plan={plan} session={asked} />}
        <Cautions />
        <Box sx={{ px: 2.5, pt: 1, display: "flex", gap: 1, flexWrap: "wrap" }}>
          <Button onClick={() => window.print()} disabled={!plan} variant="outlined">
            Print for the bench
          </Button>
          <Button
            onClick={() =>
              void import("../session/sessionFile")
                .then((file) => file.sendAsFile(session))
                .then(setFileTrouble)
            }
            disabled={!plan || trouble !== null}
          >
            Save as a file
          </Button>
          {plan && <PouredAlready session={asked} sessionId={keptId} />}
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
          recipe={(cup) => (
            <CupRecipe cup={cup} session={session} shelf={shelf} onEdit={editCups} />
          )}
          onClose={() => setCardShown(null)}
        />
      )}
      {answer && plan && !trouble && !card && <PrintSheet session={session} answer={answer} />}
    </AboutProvider>
  );
}
