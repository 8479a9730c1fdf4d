import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import { type ChangeEvent, useState } from "react";
import { useNavigate } from "react-router";
import type { PlanAnswer, Session, Trouble } from "../../api/client";
import type { useSessionEditor } from "../../session/useSessionEditor";
import { Told, WrongMark } from "../../ui/Told";
import { later } from "../../ui/later";
import { useUnits } from "../../units/UnitsProvider";
import { showWith, type Units } from "../../units/units";
import { told } from "./told";
import { dateFormat } from "../../words/dates";

const Standing = later(() => import("./Standing").then((m) => m.Standing));
const Begin = later(() => import("../../pour/Begin").then((m) => m.Begin));

interface Props {
  editing: ReturnType<typeof useSessionEditor>;
  session: Session;
  /** The plan that stands, which says of itself how; null while there is none. */
  answer: PlanAnswer | null;
  /** The plan it was changed from; null where it was not. */
  before: PlanAnswer | null;
  /** Why there is none. */
  how: { wrong: boolean; text: string };
  resin: string;
  open: boolean;
  onOpen: () => void;
  /** Whether the plan is told in sentences as well; null while there is none to tell. */
  story: boolean;
  onStory: (() => void) | null;
  /** As it was planned last; null before the first plan. */
  planned: Session | null;
  /** What was tried so far, while a plan takes long; null otherwise. */
  tried: number | null;
  onEnough: () => void;
}

/** The session's name, a sentence that says how the plan stands, and saving. */
export function TitleLine(props: Props) {
  const navigate = useNavigate();
  const { editing, session, answer, resin, open, onOpen } = props;
  const units = useUnits();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [saving, setSaving] = useState(false);
  const { editor } = editing;
  const history = editor.status === "open" ? editor.history : null;
  const kept = editor.status === "open" ? editor.kept : null;
  const save = async (asNew: boolean) => {
    setSaving(true);
    const result = await editing.save(asNew, props.planned);
    setSaving(false);
    if ("status" in result) {
      setTrouble(result);
    } else {
      setTrouble(null);
      if (result.id !== kept?.id) {
        void navigate(`/plan/${result.id}`);
      }
    }
  };
  const when = dateFormat({
    weekday: "long",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  }).format(new Date(session.startsAt));
  const damp = session.room.humidityPercent;
  return (
    <Box sx={{ px: 1, pt: 0.75, pb: 1 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", columnGap: 2, flexWrap: "wrap" }}>
        <Box component="h1" sx={{ m: 0, minWidth: 0, flex: { xs: "1 1 100%", sm: "0 1 auto" } }}>
          <Box
            component="input"
            value={session.name}
            onChange={(e: ChangeEvent<HTMLInputElement>) =>
              editing.edit({ ...session, name: e.target.value }, "name")
            }
            aria-label="Name of the session"
            maxLength={80}
            sx={{
              typography: "h1",
              color: "inherit",
              bgcolor: "transparent",
              border: 0,
              p: 0,
              pb: "3px",
              maxWidth: "100%",
              minWidth: "8ch",
              textOverflow: "ellipsis",
              fieldSizing: "content",
              "&:hover, &:focus": { boxShadow: "0 2px 0 0 currentColor", outline: "none" },
            }}
          />
        </Box>
        {answer ? (
          <Standing
            answer={answer}
            before={props.before}
            zoneId={session.zoneId}
            starts={session.startsAt}
          />
        ) : (
          <Box role="status" sx={told(props.how.wrong)}>
            {props.how.wrong && <WrongMark />}
            {props.how.text}
          </Box>
        )}
        {props.tried !== null && (
          <Box aria-live="polite" sx={{ display: "flex", alignItems: "center", gap: 1 }}>
            Arranging… {props.tried} ways tried
            <Button onClick={props.onEnough} variant="outlined">
              Enough, take the best so far
            </Button>
          </Box>
        )}
      </Box>
      <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, flexWrap: "wrap" }}>
        <ButtonBase
          onClick={onOpen}
          aria-expanded={open}
          sx={{
            font: "inherit",
            textAlign: "left",
            color: "text.secondary",
            fontSize: "0.95rem",
            py: 0.75,
            mr: "auto",
            "&:hover": { textDecoration: "underline" },
          }}
        >
          {showWith(units.TEMPERATURE, session.room.temperatureC)}
          {laterRoom(session, units)}
          {damp !== undefined && ` · ${damp} %`} · {when} · {resin} · {open ? "close" : "change"}
        </ButtonBase>
        <Button href="/plan/new">New session</Button>
        {props.onStory && (
          <Button onClick={props.onStory} aria-expanded={props.story}>
            {props.story ? "Hide summary" : "Summary"}
          </Button>
        )}
        <Button onClick={editing.undo} disabled={!history || history.past.length === 0}>
          Undo
        </Button>
        <Button onClick={editing.redo} disabled={!history || history.future.length === 0}>
          Redo
        </Button>
        {kept && (
          <Button onClick={() => void save(true)} disabled={saving}>
            Save as another
          </Button>
        )}
        {kept && (
          <Button
            aria-pressed={kept.confirmed}
            title="A confirmed session keeps its hours and moulds: others plan round it."
            onClick={() => void editing.confirm(!kept.confirmed).then(setTrouble)}
          >
            {kept.confirmed ? "Confirmed" : "Confirm"}
          </Button>
        )}
        <Begin
          session={props.planned ?? session}
          sessionId={kept?.id}
          plan={answer?.plan ?? null}
          disabled={props.planned === null}
        />
        <Button
          variant="contained"
          onClick={() => void save(false)}
          disabled={saving || (!editing.dirty && kept !== null)}
        >
          {saving ? "Saving…" : editing.dirty || !kept ? "Save" : "Saved"}
        </Button>
      </Box>
      {kept?.workshopChanged && (
        <Box sx={{ color: "text.secondary", fontSize: "0.9rem" }}>
          The workshop has changed since this was saved; the plan below uses what is there now.
        </Box>
      )}
      {trouble && <Told trouble={trouble} />}
    </Box>
  );
}

/** How cold or warm the room gets by itself, beside how warm it is at first. */
function laterRoom(session: Session, units: Units): string {
  const first = session.room.temperatureC;
  const later = (session.room.later ?? []).map((c) => c.temperatureC);
  const coldest = Math.min(first, ...later);
  const warmest = Math.max(first, ...later);
  const said = (to: string, at: number) => ` ${to} ${showWith(units.TEMPERATURE, at)}`;
  return `${coldest < first ? said("down to", coldest) : ""}${warmest > first ? said("up to", warmest) : ""}`;
}
