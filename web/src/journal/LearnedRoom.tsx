import Box from "@mui/material/Box";
import type { RoomDrift, RoomFelt, Usual } from "../api/client";
import { useBehindRoom, useLearnedDrift, useLearnedRoom, useUsual } from "../api/queries";
import { EveningsBehind, OfDrift } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { leftOut } from "../ui/path";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { AS_TOLD_K, driftText, roomText, STEADY_K } from "../words/learned";
import { LearnedUsual } from "./LearnedUsual";

/** How warm the room really is, and how it goes on while somebody works in it. */
export function LearnedRoom() {
  const drift = useLearnedDrift().data;
  return (
    <Fetched query={useLearnedRoom()} loading="Reading the room…">
      {(room) => <Room room={room} drift={drift} />}
    </Fetched>
  );
}

function Room({ room, drift }: { room: RoomFelt; drift: RoomDrift | undefined }) {
  const units = useUnits();
  const told = useUsual().data?.usual.room;
  const text = roomText(room, units);
  const goes = drift ? driftText(drift, units) : null;
  if (text === null || !told) {
    return null;
  }
  const warmer = tenths(told.temperatureC + room.warmerK);
  const warms = tenths(drift?.warmerKPerHour ?? 0);
  const wanted = Math.abs(warms) < STEADY_K ? undefined : warms;
  return (
    <Box component="section" aria-label="Learned: your room" sx={{ display: "grid", gap: 1 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Your room
      </Box>
      <LearnedUsual
        of="Your room"
        text={text}
        plan={
          room.enough && Math.abs(room.warmerK) >= AS_TOLD_K
            ? `Plan with ${showWith(units.TEMPERATURE, warmer, 1)}`
            : null
        }
        taken={(usual) => ({ ...usual, room: { ...usual.room, temperatureC: warmer } })}
        putBack={(usual, was) => ({
          ...usual,
          room: { ...usual.room, temperatureC: was.room.temperatureC },
        })}
        behind={() => <OfRoom />}
      />
      {drift && goes !== null && (
        <LearnedUsual
          of="How your room goes on"
          text={goes}
          plan={
            drift.enough && wanted !== told.warmsPerHourK
              ? wanted === undefined
                ? "Plan with a steady room"
                : `Plan with ${showWith(units.TEMPERATURE_DIFFERENCE, wanted, 1)} an hour`
              : null
          }
          taken={(usual) => ({ ...usual, room: going(usual.room, wanted) })}
          putBack={(usual, was) => ({
            ...usual,
            room: going(usual.room, was.room.warmsPerHourK),
          })}
          behind={() => <OfDrift />}
        />
      )}
    </Box>
  );
}

/** A room that warms so much in an hour of work; missing for one that stays as it is. */
function going(room: Usual["room"], warmsPerHourK: number | undefined): Usual["room"] {
  return warmsPerHourK === undefined ? leftOut(room, "warmsPerHourK") : { ...room, warmsPerHourK };
}

const tenths = (of: number) => Math.round(of * 10) / 10;

function OfRoom() {
  return <EveningsBehind query={useBehindRoom()} of="room" />;
}
