import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type PlanAnswer, type Session, type Trouble } from "../../api/client";
import { useSessions } from "../../api/queries";
import { Sheet } from "../../ui/Sheet";
import { Told } from "../../ui/Told";
import { Beside, type Held } from "./Beside";

interface Props {
  session: Session;
  answer: PlanAnswer;
  /** The plan before the last change; null where there was none. */
  before: PlanAnswer | null;
  onUndo: () => void;
}

/** Lays the plan beside the one before the last change, or beside another session's. */
export function LayBeside({ session, answer, before, onUndo }: Props) {
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const kept = (useSessions().data ?? []).filter((s) => !s.justMix);
  const [other, setOther] = useState<Held | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [shown, setShown] = useState<string | null>(null);

  const unfold = () => setOpen(!open);
  const choose = async (id: string) => {
    if (id === "before" && before) {
      setOther(held("before", "Before the last change", before, onUndo));
      return;
    }
    const opened = await ask(api.GET("/api/sessions/{id}", { params: { path: { id } } }));
    const planned =
      opened.status === "ok"
        ? await ask(
            api.POST("/api/plan", { body: opened.value.session, params: { query: { id } } }),
          )
        : opened;
    if (opened.status === "ok" && planned.status === "ok") {
      setTrouble(null);
      setOther(
        held(id, opened.value.session.name, planned.value as PlanAnswer, () => {
          void navigate(`/plan/${id}`);
        }),
      );
    } else if (planned.status === "trouble") {
      setTrouble(planned.trouble);
    }
  };
  const present: Held = held("present", session.name, answer, null);
  return (
    <>
      <Button onClick={unfold} aria-expanded={open}>
        Compare plans
      </Button>
      {open && (
        <Box sx={{ flexBasis: "100%" }}>
          <Sheet title="Side by side">
            <TextField
              select
              label="Beside"
              value={other?.key ?? ""}
              onChange={(e) => void choose(e.target.value)}
              sx={{ minWidth: 260, my: 1 }}
            >
              {before && <MenuItem value="before">before the last change</MenuItem>}
              {kept.map((s) => (
                <MenuItem key={s.id} value={s.id}>
                  {s.name}
                </MenuItem>
              ))}
            </TextField>
            {trouble && <Told trouble={trouble} />}
            {other && <Beside held={[present, other]} shown={shown} onShow={setShown} />}
          </Sheet>
        </Box>
      )}
    </>
  );
}

function held(key: string, title: string, answer: PlanAnswer, onTake: (() => void) | null): Held {
  return {
    key,
    title,
    plan: answer.plan,
    startsAt: new Date(answer.startsAt),
    zoneId: answer.zoneId,
    onTake,
  };
}
