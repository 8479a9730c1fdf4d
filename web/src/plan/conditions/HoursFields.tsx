import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { FieldError, Hours, Session } from "../../api/client";
import { arranged } from "../../session/arranging";
import { ClockField } from "../../ui/When";
import { leftOut } from "../../ui/path";
import { minutesOf, wallClock } from "../../words/time";

interface Props {
  session: Session;
  errors: FieldError[];
  onChange: (session: Session, field: string | null) => void;
}

const USUAL: Hours = { fromMinutes: 8 * 60, toMinutes: 22 * 60, otherwise: [] };

/** A field for a time of day knows no 24:00. */
function until(text: string): number | null {
  const all = minutesOf(text);
  return all === 0 || all === 1_439 ? 1_440 : all;
}

/** From when to when somebody is there, every day; days that differ are set below, among the days. */
export function HoursFields({ session, errors, onChange }: Props) {
  const hours = session.arrangement?.hours;
  const error = errors.find((e) => e.field.startsWith("arrangement.hours"));
  const set = (next: Hours) => onChange(arranged(session, { hours: next }), "arrangement.hours");
  return (
    <Box
      role="group"
      aria-label="Hours"
      sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start", mt: 2 }}
    >
      {hours ? (
        <>
          <ClockField
            label="Somebody is there from"
            value={wallClock(hours.fromMinutes)}
            onChange={(time) => {
              const from = minutesOf(time);
              if (from !== null) {
                set({ ...hours, fromMinutes: from });
              }
            }}
            needed
            width={190}
          />
          <ClockField
            label="until"
            value={wallClock(hours.toMinutes)}
            onChange={(time) => {
              const to = until(time);
              if (to !== null) {
                set({ ...hours, toMinutes: to });
              }
            }}
            error={error?.message}
            needed
            width={150}
          />
          <Button
            onClick={() => {
              const arrangement = leftOut(session.arrangement ?? {}, "hours");
              onChange({ ...session, arrangement }, null);
            }}
          >
            Any hour, day or night
          </Button>
        </>
      ) : (
        <Button variant="outlined" onClick={() => set(USUAL)}>
          Say when somebody is there
        </Button>
      )}
    </Box>
  );
}
