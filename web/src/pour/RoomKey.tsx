import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { RunState } from "../api/client";
import { show, showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { Keypad } from "./Keypad";
import { Over } from "./Over";
import type { Happened } from "./useRun";

/** No workshop is warmer, °C. */
const MOST_C = 50;

interface Props {
  room: RunState["room"];
  /** What the plan takes it to be, °C. */
  assumedC: number;
  at: (seconds: number) => string;
  tell: (...happened: Happened[]) => void;
  onClose: () => void;
}

/** How warm the room is: read by hand, or taken back where a sensor was wrong. */
export function RoomKey({ room, assumedC, at, tell, onClose }: Props) {
  const units = useUnits();
  const [typing, setTyping] = useState(false);
  const degrees = units.TEMPERATURE;
  return (
    <Over label="How warm the room is" onClose={onClose}>
      <Box component="h2" sx={{ typography: "h1", m: 0, fontSize: { xs: "1.8rem", md: "2.6rem" } }}>
        {room
          ? `${showWith(degrees, room.temperatureC)} since ${at(room.atSeconds)}`
          : `${showWith(degrees, assumedC)}, as planned`}
      </Box>
      <Box sx={{ fontSize: { xs: "1.1rem", md: "1.4rem" }, maxWidth: 900 }}>
        A reading counts from when it is taken. Before it, only what was assumed.
      </Box>
      {typing ? (
        <Keypad
          what="What the thermometer says"
          unit={degrees.symbol}
          done="That is it"
          zeroIs={`0 ${degrees.symbol} is too cold to pour in. Type what the thermometer says.`}
          most={Number(show(degrees, MOST_C))}
          onDone={(value) => {
            const inC = (value - degrees.zeroAt) * degrees.scale;
            tell({ kind: "ROOM", value: Math.round(inC * 10) / 10 });
            onClose();
          }}
          onCancel={() => setTyping(false)}
        />
      ) : (
        <Box sx={{ display: "flex", gap: 1.5, mt: "auto", flexWrap: "wrap" }}>
          {room && (
            <Button
              variant="outlined"
              onClick={() => {
                tell({ kind: "UNDONE", of: room.eventId });
                onClose();
              }}
              sx={{ minHeight: 84, fontSize: "1.2rem", flex: 1 }}
            >
              That was wrong, take it back
            </Button>
          )}
          <Button
            variant="outlined"
            onClick={() => setTyping(true)}
            sx={{ minHeight: 84, fontSize: "1.2rem", flex: 1 }}
          >
            Type a reading
          </Button>
          <Button
            variant="contained"
            onClick={onClose}
            sx={{ minHeight: 84, fontSize: "1.4rem", flex: 2 }}
          >
            Back to the step
          </Button>
        </Box>
      )}
    </Over>
  );
}
