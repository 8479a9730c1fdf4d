import { DatePicker } from "@mui/x-date-pickers/DatePicker";
import { AdapterDayjs } from "@mui/x-date-pickers/AdapterDayjs";
import { DateTimePicker } from "@mui/x-date-pickers/DateTimePicker";
import { LocalizationProvider } from "@mui/x-date-pickers/LocalizationProvider";
import { TimePicker } from "@mui/x-date-pickers/TimePicker";
import dayjs, { type Dayjs } from "dayjs";
import "dayjs/locale/en-gb";
import customParse from "dayjs/plugin/customParseFormat";
import utc from "dayjs/plugin/utc";
import { useState, type ReactNode } from "react";

dayjs.extend(utc);
dayjs.extend(customParse);

export interface WhenProps {
  label: string;
  /** "2026-12-04T18:30:00", "2026-12-04" or "18:30"; "" while nothing is known. */
  value: string;
  /** Called with the same form; "" where it is taken out. What is half typed is not told. */
  onChange: (value: string) => void;
  error?: string | undefined;
  width?: number;
  /** Something has to stand there: while nothing does, what was there before counts. */
  needed?: boolean;
}

/** A month by its name is read alike on both sides of the ocean. */
const DAY = "DD MMM YYYY";
const CLOCK = "HH:mm";

/** A calendar beside a clock needs room; where there is none it fills the screen. */
const ROOM = "@media (pointer: fine) and (min-width: 700px)";
const MOMENT = `${DAY} ${CLOCK}`;

function Local({ children }: { children: ReactNode }) {
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale="en-gb">
      {children}
    </LocalizationProvider>
  );
}

/** On its way to the year that is meant; nobody poured before. */
const EARLIEST_YEAR = 1000;

/** What stands in a field while somebody types. */
interface Typed {
  shown: Dayjs | null;
  /** What counts. */
  said: string;
  /** What counts until that arrives: what stood there, and what was typed on the way; then empty. */
  before: string[];
  /** Whether it is no day or time, and what was there before counts. */
  wrong: boolean;
}

/**
 * @param kept in which form it is kept
 */
function useWhen({ label, value, onChange, error, width, needed }: WhenProps, kept: string) {
  const [typed, setTyped] = useState<Typed | null>(null);
  if (typed !== null && typed.before.length > 0 && typed.said === value) {
    // It arrived: from here on another value is somebody else's, such as an undo.
    setTyped({ ...typed, before: [] });
  }
  const mine = typed !== null && (value === typed.said || typed.before.includes(value));
  const told = error ?? (mine && typed.wrong ? "No such day or time." : undefined);
  return {
    label,
    // What hangs on a wall knows no zone; no hour is missing in it.
    timezone: "UTC",
    // What was typed is given back as it is: for anything else the field would forget half a date.
    value: mine ? typed.shown : value === "" ? null : dayjs.utc(value, kept),
    onChange: (next: Dayjs | null) => {
      const there =
        next === null ? needed !== true : next.isValid() && next.year() >= EARLIEST_YEAR;
      const said = there ? (next?.format(kept) ?? "") : value;
      // Who types quickly is ahead of what arrives, by more than one figure at times.
      setTyped((now) => ({
        shown: next,
        said,
        before: [...(now && now.before.length > 0 ? [...now.before, now.said] : []), value],
        wrong: !there,
      }));
      if (there) {
        onChange(said);
      }
    },
    // Labels stand in the outline in every field, an empty one as well: the gap for it too.
    sx: { width: width ?? 200, "& legend": { maxWidth: "100%" } },
    slotProps: {
      // It would say the month before the day.
      toolbar: { hidden: true },
      textField: { error: told !== undefined, helperText: told, size: "small" as const },
    },
  };
}

export function MomentField(props: WhenProps) {
  const when = useWhen(props, "YYYY-MM-DDTHH:mm:ss");
  return (
    <Local>
      <DateTimePicker {...when} desktopModeMediaQuery={ROOM} format={MOMENT} ampm={false} />
    </Local>
  );
}

export function DayField(props: WhenProps) {
  const when = useWhen(props, "YYYY-MM-DD");
  return (
    <Local>
      <DatePicker {...when} desktopModeMediaQuery={ROOM} format={DAY} />
    </Local>
  );
}

export function ClockField(props: WhenProps) {
  const when = useWhen(props, CLOCK);
  return (
    <Local>
      <TimePicker {...when} desktopModeMediaQuery={ROOM} format={CLOCK} ampm={false} />
    </Local>
  );
}
