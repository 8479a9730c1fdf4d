import Box from "@mui/material/Box";
import { useMouldLives } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { Sheet } from "../ui/Sheet";
import { mouldLifeText } from "../words/journal";

/** What the moulds have been through; those that may be worn come first. */
export function MouldLives() {
  return (
    <Fetched query={useMouldLives()} loading="Counting casts…">
      {(moulds) =>
        moulds.length === 0 ? null : (
          <Sheet title="Moulds" aside="casts in this journal">
            <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 900 }}>
              {[...moulds]
                .sort((a, b) => Number(b.worse) - Number(a.worse))
                .map((m) => (
                  <Box
                    component="li"
                    key={m.mouldId}
                    sx={{ py: 0.5, borderBottom: 1, borderColor: "divider" }}
                  >
                    <b>{m.name}</b>: {m.casts} {m.casts === 1 ? "cast" : "casts"}.{" "}
                    <Box component="span" sx={{ color: m.worse ? "error.main" : "text.secondary" }}>
                      {mouldLifeText(m)}
                    </Box>
                  </Box>
                ))}
            </Box>
          </Sheet>
        )
      }
    </Fetched>
  );
}
