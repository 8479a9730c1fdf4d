import Box from "@mui/material/Box";
import type { RehearsedEvening } from "../api/client";
import { useRehearsed } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { clockTime } from "../words/time";
import { PracticeTabs } from "./PracticeTabs";
import { ScoreView } from "./ScoreView";

/** How a rehearsal ended. */
export function RehearsedScreen({ id }: { id: string }) {
  return (
    <Fetched query={useRehearsed(id)} loading="Judging the pieces…">
      {(evening) => <Judged evening={evening} />}
    </Fetched>
  );
}

function Judged({ evening }: { evening: RehearsedEvening }) {
  const { session } = evening;
  return (
    <Box sx={{ px: 1, display: "grid", gap: 1.5 }}>
      <PracticeTabs here="rehearsal" />
      <Box component="h1" sx={{ typography: "h1", m: 0 }}>
        {session.name}
      </Box>
      <ScoreView
        evening={evening}
        at={(seconds) => clockTime(new Date(evening.begunAt), seconds, session.zoneId)}
      />
    </Box>
  );
}
