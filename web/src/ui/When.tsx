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

/**
 * @param kept in which form it is kept
 */
function useWhen({ label, value, onChange, error, width, needed }: WhenProps, kept: string) {
  /** What the field holds while that is no day or time, and what counts instead; null while it is. */
  const [typed, setTyped] = useState<{ shown: Dayjs | null; instead: string } | null>(null);
  const wrong = typed !== null && typed.instead === value;
  const told = error ?? (wrong ? "No such day or time." : undefined);
  return {
    label,
    // What hangs on a wall knows no zone; no hour is missing in it.
    timezone: "UTC",
    // Half a date is given back as it is: for null the field would forget what was typed of it.
    value: wrong ? typed.shown : value === "" ? null : dayjs.utc(value, kept),
    onChange: (next: Dayjs | null) => {
      const there = next === null ? needed !== true : next.isValid();
      setTyped(there ? null : { shown: next, instead: value });
      if (there) {
        onChange(next?.format(kept) ?? "");
      }
    },
    sx: { width: width ?? 200 },
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
