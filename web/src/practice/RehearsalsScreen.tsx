import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ExerciseLine } from "../api/client";
import { useExercises } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { MISHAPS } from "../words/rehearsal";
import { PracticeTabs } from "./PracticeTabs";

/** Six evenings that can be gone through without opening a bottle. */
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
        The program pours, at speed. Things go wrong, and you decide what to do about them.
        Afterwards: what was saved, what was lost, and why.
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
                {e.pieces} {e.pieces === 1 ? "piece" : "pieces"};{" "}
                {e.mishaps.map((m) => MISHAPS[m]).join(", ")}
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
