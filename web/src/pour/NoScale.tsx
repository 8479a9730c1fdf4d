import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Over } from "./Over";

/** Nothing is connected, and nothing is made up; a way to connect one. */
export function NoScale() {
  const [asks, setAsks] = useState(false);
  return (
    <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
      <Box sx={{ fontSize: "1.1rem" }}>Weigh it; “Other weight” keeps what it was.</Box>
      <Button onClick={() => setAsks(true)} sx={{ minHeight: 56 }}>
        Connect a scale
      </Button>
      {asks && (
        <Over label="Connect a scale" onClose={() => setAsks(false)}>
          <Box
            component="h2"
            sx={{ typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.4rem" } }}
          >
            Connect a scale
          </Box>
          <Box component="ol" sx={{ fontSize: { xs: "1.05rem", md: "1.3rem" }, maxWidth: 900 }}>
            <li>The scale speaks through a serial adapter with an address on your network.</li>
            <li>
              It sends a line several times a second: “= 12.3 g” at rest, “~ 12.3 g” while it moves.
            </li>
            <li>
              Start Calm Pour with that address: <code>./run --own --scale HOST:PORT</code>
            </li>
            <li>From then on its weight is shown here, with a mark where to stop.</li>
          </Box>
          <Button
            variant="contained"
            onClick={() => setAsks(false)}
            sx={{ minHeight: 84, fontSize: "1.4rem", mt: "auto" }}
          >
            Back to the step
          </Button>
        </Over>
      )}
    </Box>
  );
}
