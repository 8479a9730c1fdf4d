import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type SessionLine, type Trouble } from "../api/client";
import { useBin, useSessions } from "../api/queries";
import { drafts, dropDraft, isNew } from "../session/drafts";
import { openFile } from "../session/sessionFile";
import { Fetched } from "../ui/Fetched";
import { OneOf } from "../ui/OneOf";
import { Empty, Told } from "../ui/Told";
import { dayAndHour, matches } from "../words/sessions";
import { BinLines } from "./BinLines";
import { Line } from "./Line";

type Which = "all" | "ahead" | "begun" | "done" | "bin";
type Order = "changed" | "start" | "name";

const AHEAD: SessionLine["stands"][] = ["PLANNED", "CONFIRMED", "OVERDUE"];

/** All kept sessions and what was typed and not saved; found, copied, thrown away and brought back. */
export function SessionsScreen() {
  return (
    <Fetched query={useSessions()} loading="Fetching the sessions…">
      {(lines) => <Sessions lines={lines} />}
    </Fetched>
  );
}

function Sessions({ lines }: { lines: SessionLine[] }) {
  const navigate = useNavigate();
  const bin = useBin().data ?? [];
  const [unsaved, setUnsaved] = useState(drafts);
  const [which, setWhich] = useState<Which>("all");
  const [order, setOrder] = useState<Order>("changed");
  const [sought, setSought] = useState("");
  const [removed, setRemoved] = useState<SessionLine | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<Trouble | null>(null);

  const remove = async (line: SessionLine) => {
    const gone = await ask(api.DELETE("/api/sessions/{id}", { params: { path: { id: line.id } } }));
    setRemoved(gone.status === "ok" ? line : null);
    setRefused(gone.status === "ok" ? null : gone.trouble);
  };
  const bringBack = async (line: SessionLine) => {
    const back = await ask(
      api.PUT("/api/sessions/{id}/back", { params: { path: { id: line.id } } }),
    );
    setRemoved(null);
    setRefused(back.status === "ok" ? null : back.trouble);
  };
  const open = async (file: File) => {
    const answer = await openFile(file);
    if (answer.status === "ok") {
      const { id, session } = answer.value;
      void navigate(session.justMix ? `/mix/${id}` : `/plan/${id}`);
    } else {
      setRefused(answer.trouble);
    }
  };

  const shown = sorted(
    lines.filter(
      (l) =>
        matches(l, sought) &&
        (which === "all" ||
          (which === "ahead" && AHEAD.includes(l.stands)) ||
          (which === "begun" && l.stands === "BEGUN") ||
          (which === "done" && l.stands === "DONE")),
    ),
    order,
  );
  const fresh = unsaved.filter((d) => isNew(d.id));
  const changed = new Set(unsaved.filter((d) => !isNew(d.id)).map((d) => d.id));
  return (
    <Box sx={{ pt: 1.5, maxWidth: 1100 }}>
      <Box sx={{ display: "flex", gap: 1, alignItems: "baseline", px: 1, mb: 1, flexWrap: "wrap" }}>
        <Typography variant="h1" sx={{ mr: "auto" }}>
          Sessions
        </Typography>
        <Button onClick={() => picker.current?.click()}>Open a file</Button>
        <input
          ref={picker}
          type="file"
          accept=".json,application/json"
          hidden
          aria-label="Open a session file"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = "";
            if (file) {
              void open(file);
            }
          }}
        />
        <Button variant="contained" href="/plan/new">
          Plan a session
        </Button>
      </Box>
      {refused && <Told trouble={refused} />}
      {removed && (
        <Box role="status" sx={{ px: 1, pb: 1 }}>
          “{removed.name}” is in the bin.{" "}
          <Button onClick={() => void bringBack(removed)}>Bring it back</Button>
        </Box>
      )}
      {fresh.length > 0 && (
        <Box
          component="ul"
          aria-label="Not saved yet"
          sx={{ listStyle: "none", px: 1, m: 0, mb: 1 }}
        >
          {fresh.map((draft) => (
            <Box
              component="li"
              key={draft.id}
              sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}
            >
              <b>draft</b>
              <Link href={`/plan/${draft.id}`}>{draft.name}</Link>
              <Box sx={{ color: "text.secondary" }}>
                not saved yet{draft.at && `, typed ${dayAndHour(draft.at)}`}
              </Box>
              <Button
                aria-label={`Throw away the draft ${draft.name}`}
                onClick={() => {
                  dropDraft(draft.id);
                  setUnsaved(drafts());
                }}
              >
                Throw away
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {lines.length + bin.length > 0 && (
        <Box
          sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "center", px: 1, mb: 1 }}
        >
          <TextField
            label="Find"
            placeholder="name, mould, colour or resin"
            type="search"
            value={sought}
            onChange={(e) => setSought(e.target.value)}
            sx={{ width: { xs: "100%", sm: 280 } }}
          />
          <TextField
            select
            label="Order"
            value={order}
            onChange={(e) => setOrder(e.target.value as Order)}
            sx={{ width: 170 }}
          >
            <MenuItem value="changed">changed last</MenuItem>
            <MenuItem value="start">by day</MenuItem>
            <MenuItem value="name">by name</MenuItem>
          </TextField>
          <OneOf<Which>
            label="Which"
            choices={[
              ["all", "all"],
              ["ahead", "still to come"],
              ["begun", "begun"],
              ["done", "done"],
              ["bin", `bin (${bin.length})`],
            ]}
            chosen={which}
            onChoose={setWhich}
          />
        </Box>
      )}
      {which === "bin" ? (
        <BinLines lines={bin.filter((l) => matches(l, sought))} onBack={bringBack} />
      ) : lines.length === 0 ? (
        <Empty title="Nothing kept yet">
          <p>Sessions you save are kept here, the latest first.</p>
          <Button variant="outlined" href="/plan/new">
            Plan a session
          </Button>
        </Empty>
      ) : shown.length === 0 ? (
        <Box role="status" sx={{ px: 1, py: 2, color: "text.secondary" }}>
          None of {lines.length} {lines.length === 1 ? "session" : "sessions"} matches.
        </Box>
      ) : (
        <Box component="ul" aria-label="Sessions" sx={{ listStyle: "none", p: 0, m: 0 }}>
          {shown.map((line) => (
            <Line
              key={line.id}
              line={line}
              names={lines.map((l) => l.name)}
              changed={changed.has(line.id)}
              onRemove={() => void remove(line)}
              onTrouble={setRefused}
            />
          ))}
        </Box>
      )}
    </Box>
  );
}

function sorted(lines: SessionLine[], order: Order): SessionLine[] {
  // As they come, those that were changed last are first.
  return order === "changed"
    ? lines
    : lines.toSorted((a, b) =>
        order === "name"
          ? a.name.localeCompare(b.name)
          : (b.startsAt ?? "").localeCompare(a.startsAt ?? ""),
      );
}
