import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { FieldError, Hours } from "../api/client";
import { ClockField } from "../ui/When";
import { leftOut } from "../ui/path";
import { minutesOf, wallClock } from "../words/time";

interface Props {
  hours: Hours | undefined;
  /** What is wrong with them, by paths from the hours on. */
  errors: FieldError[];
  onChange: (hours: Hours | undefined) => void;
}

type OfWeek = NonNullable<Hours["weekly"]>[number];

const USUAL: Hours = { fromMinutes: 7 * 60, toMinutes: 23 * 60, otherwise: [] };

const DAYS: readonly (readonly [OfWeek["day"], string])[] = [
  ["MONDAY", "Monday"],
  ["TUESDAY", "Tuesday"],
  ["WEDNESDAY", "Wednesday"],
  ["THURSDAY", "Thursday"],
  ["FRIDAY", "Friday"],
  ["SATURDAY", "Saturday"],
  ["SUNDAY", "Sunday"],
];

/** A field for a time of day knows no 24:00. */
function until(text: string): number | null {
  const all = minutesOf(text);
  return all === 0 || all === 1_439 ? 1_440 : all;
}

/** From when to when somebody is there, and the days of the week that have hours of their own. */
export function HoursFields({ hours, errors, onChange }: Props) {
  const error = errors.find((e) => !e.field.startsWith("weekly"));
  const row = { display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start" } as const;
  if (!hours) {
    return (
      <Box role="group" aria-label="Hours" sx={{ ...row, pt: 0.75 }}>
        <Button variant="outlined" onClick={() => onChange(USUAL)}>
          Say when somebody is there
        </Button>
      </Box>
    );
  }
  const weekly = hours.weekly ?? [];
  const setWeekly = (next: OfWeek[]) =>
    onChange(next.length === 0 ? leftOut(hours, "weekly") : { ...hours, weekly: next });
  const put = (index: number, day: OfWeek) =>
    setWeekly(weekly.map((d, i) => (i === index ? day : d)));
  const free = DAYS.find(([day]) => !weekly.some((w) => w.day === day));
  return (
    <Box role="group" aria-label="Hours" sx={{ display: "grid", gap: 1.25, pt: 0.75 }}>
      <Box sx={row}>
        <From
          label="Somebody is there from"
          minutes={hours.fromMinutes}
          onChange={(fromMinutes) => onChange({ ...hours, fromMinutes })}
        />
        <Until
          minutes={hours.toMinutes}
          error={error?.message}
          onChange={(toMinutes) => onChange({ ...hours, toMinutes })}
        />
        <Button onClick={() => onChange(undefined)}>Any hour, day or night</Button>
      </Box>
      {weekly.map((own, i) => (
        <Box key={own.day} role="group" aria-label={`Hours of day ${i + 1}`} sx={row}>
          <TextField
            select
            label="On"
            value={own.day}
            onChange={(e) => put(i, { ...own, day: e.target.value as OfWeek["day"] })}
            error={errors.some((e) => e.field === `weekly[${i}].day`)}
            sx={{ width: 145 }}
          >
            {DAYS.map(([day, words]) => (
              <MenuItem
                key={day}
                value={day}
                disabled={day !== own.day && weekly.some((w) => w.day === day)}
              >
                {words}
              </MenuItem>
            ))}
          </TextField>
          {own.fromMinutes === undefined || own.toMinutes === undefined ? (
            <Button
              onClick={() => put(i, { day: own.day, fromMinutes: 18 * 60, toMinutes: 22 * 60 })}
            >
              Not at home; give hours
            </Button>
          ) : (
            <>
              <From
                label="from"
                minutes={own.fromMinutes}
                onChange={(fromMinutes) => put(i, { ...own, fromMinutes })}
              />
              <Until
                minutes={own.toMinutes}
                error={errors.find((e) => e.field.startsWith(`weekly[${i}].`))?.message}
                onChange={(toMinutes) => put(i, { ...own, toMinutes })}
              />
              <Button onClick={() => put(i, { day: own.day })}>Not at home that day</Button>
            </>
          )}
          <Button onClick={() => setWeekly(weekly.filter((_, other) => other !== i))}>
            As on other days
          </Button>
        </Box>
      ))}
      {free && (
        <Box>
          <Button
            onClick={() =>
              setWeekly([
                ...weekly,
                { day: free[0], fromMinutes: hours.fromMinutes, toMinutes: hours.toMinutes },
              ])
            }
          >
            + a day of its own
          </Button>
        </Box>
      )}
    </Box>
  );
}

function From(props: { label: string; minutes: number; onChange: (minutes: number) => void }) {
  return (
    <ClockField
      label={props.label}
      value={wallClock(props.minutes)}
      onChange={(time) => {
        const from = minutesOf(time);
        if (from !== null) {
          props.onChange(from);
        }
      }}
      needed
      width={190}
    />
  );
}

function Until(props: {
  minutes: number;
  error: string | undefined;
  onChange: (minutes: number) => void;
}) {
  return (
    <ClockField
      label="until"
      value={wallClock(props.minutes)}
      onChange={(time) => {
        const to = until(time);
        if (to !== null) {
          props.onChange(to);
        }
      }}
      error={props.error}
      needed
      width={150}
    />
  );
}
