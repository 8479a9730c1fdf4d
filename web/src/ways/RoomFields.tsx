import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { FieldError, Room } from "../api/client";
import { useDefaults } from "../api/queries";
import { NumberField } from "../ui/NumberField";
import { leftOut } from "../ui/path";
import { ClockField } from "../ui/When";
import { useUnits } from "../units/UnitsProvider";
import { minutesOf, wallClock } from "../words/time";

interface Props {
  room: Room;
  /** What is wrong with it, by paths from the room on. */
  errors: FieldError[];
  onChange: (room: Room) => void;
}

type Change = NonNullable<Room["later"]>[number];

const DAYS: readonly (readonly [Change["days"], string])[] = [
  ["EVERY_DAY", "every day"],
  ["WORKDAYS", "Monday to Friday"],
  ["WEEKEND", "at the weekend"],
];

const MOST = 12;

/** When the room gets warmer or colder by itself: what cures over night follows it. */
export function RoomFields({ room, errors, onChange }: Props) {
  const units = useUnits();
  const later = room.later ?? [];
  const set = (next: Change[]) =>
    onChange(next.length === 0 ? leftOut(room, "later") : { ...room, later: next });
  const put = (index: number, change: Partial<Change>) =>
    set(later.map((c, i) => (i === index ? { ...c, ...change } : c)));
  const at = (index: number, field: string) =>
    errors.find((e) => e.field === `later[${index}].${field}`);
  const night = useDefaults().data?.coldNight;
  const warms = errors.find((e) => e.field === "warmsPerHourK");
  return (
    <Box role="group" aria-label="The room later on" sx={{ pt: 0.75, display: "grid", gap: 1.25 }}>
      <NumberField
        label="Warmer in an hour of work"
        unit={units.TEMPERATURE_DIFFERENCE}
        value={room.warmsPerHourK}
        optional
        width={230}
        error={warms}
        onChange={(v) =>
          onChange(
            v === null || v === 0 ? leftOut(room, "warmsPerHourK") : { ...room, warmsPerHourK: v },
          )
        }
      />
      {later.map((change, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`Change ${i + 1}`}
          sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start" }}
        >
          <ClockField
            label="From"
            value={wallClock(change.fromMinutes)}
            onChange={(time) => {
              const from = minutesOf(time);
              if (from !== null) {
                put(i, { fromMinutes: from });
              }
            }}
            error={at(i, "fromMinutes")?.message}
            needed
            width={130}
          />
          <NumberField
            label="the room is at"
            unit={units.TEMPERATURE}
            value={change.temperatureC}
            width={140}
            error={at(i, "temperatureC")}
            onChange={(v) => v !== null && put(i, { temperatureC: v })}
          />
          <TextField
            select
            label="on"
            value={change.days}
            onChange={(e) => put(i, { days: e.target.value as Change["days"] })}
            sx={{ width: 180 }}
          >
            {DAYS.map(([days, words]) => (
              <MenuItem key={days} value={days}>
                {words}
              </MenuItem>
            ))}
          </TextField>
          <Button onClick={() => set(later.filter((_, other) => other !== i))} sx={{ mt: 0.75 }}>
            Remove
          </Button>
        </Box>
      ))}
      <Box>
        {later.length === 0 ? (
          <Button
            variant="outlined"
            disabled={!night}
            onClick={() =>
              night &&
              set([
                {
                  fromMinutes: night.fromMinutes,
                  temperatureC: Math.max(5, room.temperatureC - night.colderK),
                  days: "EVERY_DAY",
                },
                {
                  fromMinutes: night.toMinutes,
                  temperatureC: room.temperatureC,
                  days: "EVERY_DAY",
                },
              ])
            }
          >
            The room gets cold at night
          </Button>
        ) : (
          <Button
            disabled={later.length >= MOST}
            onClick={() =>
              set([
                ...later,
                { fromMinutes: 18 * 60, temperatureC: room.temperatureC, days: "WEEKEND" },
              ])
            }
          >
            + another change
          </Button>
        )}
      </Box>
    </Box>
  );
}
