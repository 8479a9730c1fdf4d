import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type Session, type SessionLine, type Trouble } from "../api/client";
import { useSessions } from "../api/queries";
import { openFile } from "../session/sessionFile";
import { Fetched } from "../ui/Fetched";
import { Empty, Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";

/** All kept sessions, and removing one with a way back. */
export function SessionsScreen() {
  return (
    <Fetched query={useSessions()} loading="Fetching the sessions…">
      {(lines) => <Sessions lines={lines} />}
    </Fetched>
  );
}

function Sessions({ lines }: { lines: SessionLine[] }) {
  const units = useUnits();
  const navigate = useNavigate();
  const [removed, setRemoved] = useState<Session | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<Trouble | null>(null);
  const remove = async (id: string) => {
    const whole = await ask(api.GET("/api/sessions/{id}", { params: { path: { id } } }));
    const gone = await ask(api.DELETE("/api/sessions/{id}", { params: { path: { id } } }));
    if (whole.status === "ok" && gone.status === "ok") {
      setRemoved(whole.value.session);
    }
  };
  const bringBack = async (session: Session) => {
    const answer = await ask(api.POST("/api/sessions", { body: session }));
    if (answer.status === "ok") {
      setRemoved(null);
    }
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
  return (
    <Box sx={{ pt: 1.5, maxWidth: 900 }}>
      <Box sx={{ display: "flex", gap: 1, alignItems: "baseline", px: 1, mb: 1 }}>
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
          “{removed.name}” is removed.{" "}
          <Button onClick={() => void bringBack(removed)}>Bring it back</Button>
        </Box>
      )}
      {lines.length === 0 ? (
        <Empty title="Nothing kept yet">
          <p>Sessions you save stand here, the latest first.</p>
        </Empty>
      ) : (
        <Box component="ul" aria-label="Sessions" sx={{ listStyle: "none", p: 0, m: 0 }}>
          {lines.map((line) => (
            <Box
              component="li"
              key={line.id}
              sx={{
                bgcolor: "background.paper",
                borderRadius: "10px",
                px: 2.5,
                py: 1.25,
                mb: 1,
                display: "flex",
                alignItems: "center",
                columnGap: 2,
                flexWrap: "wrap",
              }}
            >
              <Link
                href={line.justMix ? `/mix/${line.id}` : `/plan/${line.id}`}
                underline="hover"
                color="inherit"
                sx={{ fontFamily: "h2.fontFamily", fontSize: "1.2rem", py: 0.5 }}
              >
                {line.name}
              </Link>
              <Box sx={{ color: "text.secondary", mr: "auto" }}>
                {line.startsAt === undefined
                  ? "cannot be read"
                  : new Intl.DateTimeFormat("en-GB", {
                      weekday: "short",
                      day: "numeric",
                      month: "short",
                      hour: "2-digit",
                      minute: "2-digit",
                    }).format(new Date(line.startsAt))}
                {line.cavities > 0 && ` · ${line.cavities} cavities`}
                {line.resinG !== undefined && ` · ${showWith(units.MASS, line.resinG)} of resin`}
              </Box>
              <Button onClick={() => void remove(line.id)} aria-label={`Remove ${line.name}`}>
                Remove
              </Button>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
