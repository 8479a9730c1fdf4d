import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import type { SessionLine } from "../api/client";
import { useSessions } from "../api/queries";
import { BoardStrip } from "../drawing/BoardStrip";
import { dayAndTime } from "../words/time";

type Dated = SessionLine & { startsAt: string };

const SHOWN = 4;
const DAY = 86_400_000;

/** Sessions that are still to come, the next first. */
export function usePlanned(now: number): Dated[] {
  const { data } = useSessions();
  return (data ?? [])
    .filter(
      (s): s is Dated =>
        s.startsAt !== undefined &&
        (s.stands === "PLANNED" || s.stands === "CONFIRMED") &&
        Date.parse(s.startsAt) > now - DAY,
    )
    .sort((a, b) => a.startsAt.localeCompare(b.startsAt))
    .slice(0, SHOWN);
}

/** What comes next at the bench. */
export function Planned({ sessions }: { sessions: Dated[] }) {
  if (sessions.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Planned" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Planned
      </Box>
      {sessions.map((session) => (
        <Box
          key={session.id}
          sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", py: 0.75 }}
        >
          {/* A session has no zone but the wall's where it is made. */}
          <Box sx={{ width: { xs: "100%", sm: 190 }, color: "text.secondary" }}>
            {dayAndTime(new Date(`${session.startsAt}Z`), "UTC")}
          </Box>
          <Link href={`/plan/${session.id}`}>{session.name}</Link>
          {session.stands === "CONFIRMED" && <span>confirmed</span>}
          {session.board && <BoardStrip board={session.board} />}
        </Box>
      ))}
    </Box>
  );
}
