import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { ResinPace, Trouble } from "../api/client";
import { useLearnedPaces, usePlanWithPace } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { Told } from "../ui/Told";
import { paceText } from "../words/learned";

/** How slow or quick resins are here, beside their labels; planned with only when the maker says so. */
export function LearnedPaces() {
  return (
    <Fetched query={useLearnedPaces()} loading="Reading the cure diaries…">
      {(paces) => <Paces paces={paces} />}
    </Fetched>
  );
}

function Paces({ paces }: { paces: ResinPace[] }) {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const planWith = usePlanWithPace(setTrouble);
  return (
    <Box
      component="section"
      aria-label="Learned: your resins"
      sx={{ display: "grid", gap: 1, maxWidth: 900 }}
    >
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Your resins
      </Box>
      {paces.length === 0 && (
        <Box>
          Nothing yet. On the bench, or on an evening’s page, say how a cup or a piece is: after
          three evenings its own clock stands here.
        </Box>
      )}
      {trouble && <Told trouble={trouble} />}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {paces.map((pace) => {
          const text = paceText(pace);
          return (
            <Box
              component="li"
              key={`${pace.resinId} ${pace.of}`}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "minmax(0, 1fr) auto" },
                columnGap: 2,
                alignItems: "center",
                py: 1,
                borderBottom: 1,
                borderColor: "divider",
              }}
            >
              <Box>
                <b>{text.what}</b>
                <Box>{text.learned}</Box>
                <Box sx={{ color: "text.secondary" }}>{text.by}</Box>
              </Box>
              {!pace.learned.enough ? (
                <span>too few evenings yet</span>
              ) : pace.taken ? (
                <Button
                  aria-label={`As on the label: ${text.what}`}
                  onClick={() => planWith(pace, false)}
                >
                  As on the label
                </Button>
              ) : (
                <Button
                  variant="outlined"
                  aria-label={`Plan with it: ${text.what}`}
                  onClick={() => planWith(pace, true)}
                >
                  Plan with it
                </Button>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
