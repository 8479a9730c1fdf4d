import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { api, ask, type RunState, type Simulated } from "../api/client";

interface Props {
  state: RunState;
  speed: number;
  targetG: number | undefined;
  onClock: () => void;
  onClose: () => void;
}

const SPEEDS = [1, 10, 60, 120];

/** A jump of the clock, s. */
const QUARTER = 900;
const ROOMS = [18, 22, 26, 30];

/** Drives what is not really on the bench: the clock, the scale and the thermometers of the demo. */
export function StandIns({ state, speed, targetG, onClock, onClose }: Props) {
  const [said, setSaid] = useState("");
  const [plugged, setPlugged] = useState(true);
  const simulate = async (what: Simulated, words: string) => {
    const answer = await ask(api.POST("/api/devices/simulated", { body: what }));
    setSaid(answer.status === "ok" ? words : answer.trouble.detail);
  };
  const runAt = async (times: number, aheadSeconds = 0) => {
    const answer = await ask(api.PUT("/api/clock", { body: { speed: times, aheadSeconds } }));
    const words =
      aheadSeconds > 0
        ? `${aheadSeconds / 60} minutes have gone by.`
        : `The clock runs at ×${times}.`;
    setSaid(answer.status === "ok" ? words : answer.trouble.detail);
    onClock();
  };
  const key = { minHeight: 56, fontSize: "1.05rem" };
  return (
    <Box
      role="dialog"
      aria-label="Simulated devices"
      sx={{
        position: "fixed",
        right: 16,
        top: 72,
        zIndex: 1150,
        width: "min(420px, calc(100vw - 32px))",
        maxHeight: "calc(100dvh - 90px)",
        overflow: "auto",
        bgcolor: "background.paper",
        border: 2,
        borderColor: "text.primary",
        borderRadius: 2,
        p: 2,
        display: "grid",
        gap: 1.25,
      }}
    >
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Simulated devices of the demo
      </Box>
      <Row title="Clock">
        {SPEEDS.map((s) => (
          <Button
            key={s}
            variant={s === speed ? "contained" : "outlined"}
            onClick={() => void runAt(s)}
            sx={key}
          >
            ×{s}
          </Button>
        ))}
        <Button variant="outlined" onClick={() => void runAt(speed, QUARTER)} sx={key}>
          15 min on
        </Button>
      </Row>
      <Row title="Scale">
        <Button
          variant="outlined"
          disabled={targetG === undefined}
          onClick={() => void simulate({ pourToG: targetG ?? 0 }, "A hand pours to the mark.")}
          sx={key}
        >
          Pour to the mark
        </Button>
        <Button
          variant="outlined"
          disabled={targetG === undefined}
          onClick={() =>
            void simulate({ pourToG: (targetG ?? 0) * 1.2 }, "A hand pours a fifth too much.")
          }
          sx={key}
        >
          Over-pour
        </Button>
        <Button
          variant="outlined"
          onClick={() => {
            void simulate({ plugged: !plugged }, plugged ? "Unplugged." : "Plugged in.");
            setPlugged(!plugged);
          }}
          sx={key}
        >
          {plugged ? "Unplug" : "Plug in"}
        </Button>
      </Row>
      <Row title="Room">
        {ROOMS.map((c) => (
          <Button
            key={c}
            variant="outlined"
            onClick={() => void simulate({ roomC: c }, `The room is at ${c} °C.`)}
            sx={key}
          >
            {c} °C
          </Button>
        ))}
      </Row>
      <Row title="Warm a cup">
        {state.cups.length === 0 && "None is open."}
        {state.cups.map((cup) => (
          <Button
            key={cup.cupId}
            variant="outlined"
            onClick={() =>
              void simulate(
                { cupId: cup.cupId, cupWarmerC: 40, roomC: state.room?.temperatureC ?? 22 },
                `${cup.colourName} reads 40 °C more from the next reading on.`,
              )
            }
            sx={key}
          >
            {cup.colourName}
          </Button>
        ))}
      </Row>
      <Box role="status" sx={{ minHeight: "1.5em" }}>
        {said}
      </Box>
      <Button onClick={onClose} sx={key}>
        Close
      </Button>
    </Box>
  );
}

function Row({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box role="group" aria-label={title}>
      <Box sx={{ color: "text.secondary", mb: 0.5 }}>{title}</Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>{children}</Box>
    </Box>
  );
}
