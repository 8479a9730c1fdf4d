import Box from "@mui/material/Box";
import { useDepths } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { useUnits } from "../units/UnitsProvider";
import { depthText } from "../words/found";

/** How deep resins were poured here and came out well, beside their labels. */
export function ProvenDepths() {
  const units = useUnits();
  return (
    <Fetched query={useDepths()} loading="Reading the pieces…">
      {(depths) => (
        <Box
          component="section"
          aria-label="Learned: how deep"
          sx={{ display: "grid", gap: 1, maxWidth: 900 }}
        >
          <Box component="h2" sx={{ typography: "h2", m: 0 }}>
            How deep
          </Box>
          {depths.length === 0 && (
            <Box>
              Nothing yet. Look over your pieces: what three good ones reached in one layer is shown
              here.
            </Box>
          )}
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {depths.map((depth) => {
              const { learned, beside } = depthText(depth, units);
              return (
                <Box
                  component="li"
                  key={depth.resinId}
                  sx={{ py: 1, borderBottom: 1, borderColor: "divider" }}
                >
                  <b>{depth.resinName}</b>
                  <Box>{learned}</Box>
                  <Box sx={{ color: "text.secondary" }}>{beside}</Box>
                </Box>
              );
            })}
          </Box>
        </Box>
      )}
    </Fetched>
  );
}
