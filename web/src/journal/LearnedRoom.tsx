import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { RoomFelt } from "../api/client";
import { useBehindRoom, useLearnedRoom, useUsual } from "../api/queries";
import { EveningsBehind } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { useKeepUsual } from "../ways/useKeepUsual";
import { AS_TOLD_K, roomText } from "../words/learned";

/** How warm the room really is. */
export function LearnedRoom() {
  return (
    <Fetched query={useLearnedRoom()} loading="Reading the room…">
      {(room) => <Room room={room} />}
    </Fetched>
  );
}

function Room({ room }: { room: RoomFelt }) {
  const units = useUnits();
  const usual = useUsual().data;
  const { put, trouble } = useKeepUsual(usual);
  const [before, setBefore] = useState<number | null>(null);
  const [open, setOpen] = useState(false);
  const text = roomText(room, units);
  if (text === null || !usual) {
    return null;
  }
  const told = usual.usual.room.temperatureC;
  const set = async (temperatureC: number, was: number | null) => {
    if (await put({ ...usual.usual, room: { ...usual.usual.room, temperatureC } })) {
      setBefore(was);
    }
  };
  const warmer = Math.round((told + room.warmerK) * 10) / 10;
  return (
    <Box component="section" aria-label="Learned: your room" sx={{ display: "grid", gap: 1 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Your room
      </Box>
      {trouble && <Told trouble={trouble} />}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
        <span>{text}</span>
        <Button
          aria-label="Which evenings? Your room"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          Which evenings?
        </Button>
        {before !== null ? (
          <Button onClick={() => void set(before, null)}>As before</Button>
        ) : (
          room.enough &&
          Math.abs(room.warmerK) >= AS_TOLD_K && (
            <Button variant="outlined" onClick={() => void set(warmer, told)}>
              Plan with {showWith(units.TEMPERATURE, warmer, 1)}
            </Button>
          )
        )}
      </Box>
      {open && <OfRoom />}
    </Box>
  );
}

function OfRoom() {
  return <EveningsBehind query={useBehindRoom()} of="room" />;
}
