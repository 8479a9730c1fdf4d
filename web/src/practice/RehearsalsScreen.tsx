import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ExerciseLine } from "../api/client";
import { useExercises } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { PracticeTabs } from "./PracticeTabs";

/** Evenings that can be gone through at the bench without opening a bottle. */
export function RehearsalsScreen() {
  return (
    <Fetched query={useExercises()} loading="Fetching the exercises…">
      {(exercises) => <Evenings exercises={exercises} />}
    </Fetched>
  );
}

function Evenings({ exercises }: { exercises: ExerciseLine[] }) {
  return (
    <Box sx={{ px: 1 }}>
      <PracticeTabs here="rehearsal" />
      <Box component="h1" sx={{ typography: "h1", m: 0 }}>
        Rehearsal
      </Box>
      <Box sx={{ color: "text.secondary", maxWidth: 760 }}>
        Pour an evening at the bench without opening a bottle. The clock is its own, and your hands
        take as long as hands take. Something goes wrong in each: nobody tells you, you see it.
        Nothing of it goes into the journal.
      </Box>
      <Box component="ol" sx={{ listStyle: "none", p: 0, maxWidth: 900 }}>
        {exercises.map((e) => (
          <Box
            component="li"
            key={e.id}
            sx={{
              display: "flex",
              alignItems: "center",
              gap: 2,
              flexWrap: "wrap",
              py: 1.25,
              borderBottom: 1,
              borderColor: "divider",
            }}
          >
            <Box
              aria-hidden
              sx={{ typography: "h1", width: 44, textAlign: "center", color: "text.secondary" }}
            >
              {e.grade}
            </Box>
            <Box sx={{ minWidth: 0 }}>
              <b>{e.name}</b>
              <Box sx={{ color: "text.secondary" }}>
                {e.pieces} {e.pieces === 1 ? "piece" : "pieces"}
                {e.reached !== undefined && `, best so far ${e.reached} of ${e.most} points`}
              </Box>
            </Box>
            <Button
              variant="contained"
              href={`/practice/rehearsal/${e.id}`}
              aria-label={`Rehearse ${e.name}`}
              sx={{ ml: "auto", minHeight: 56 }}
            >
              Rehearse
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
