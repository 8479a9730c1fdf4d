import InputAdornment from "@mui/material/InputAdornment";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { FieldError } from "../api/client";
import { readIn, show, type Unit } from "../units/units";

interface Props {
  label: string;
  value: number | null | undefined;
  onChange: (value: number | null) => void;
  unit?: Unit;
  symbol?: string;
  /** What the server says about this field. */
  error?: FieldError | undefined;
  /** Whether what stands in it can be used; what cannot must not stand behind an answer. */
  onReadable?: (readable: boolean) => void;
  /** Whether an empty field means "unknown" rather than "not yet typed". */
  optional?: boolean;
  width?: number | string;
  autoFocus?: boolean;
  large?: boolean;
}

const PLAIN: Unit = { symbol: "", digits: 3, scale: 1, zeroAt: 0 };

function shown(value: number | null | undefined, unit: Unit): string {
  return value === null || value === undefined
    ? ""
    : String(Number(show(unit, value, Math.max(unit.digits, 3))));
}

/** A number typed by hand. What cannot be read stays in the field, with a word beside it. */
export function NumberField(props: Props) {
  const { value, unit = PLAIN, optional = false } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? shown(value, unit);
  const read = readIn(unit, text);
  const wrong =
    read === undefined
      ? "Enter a number, for example 12.5."
      : read === null && !optional
        ? "This is still empty."
        : props.error && limitText(props.error, unit);
  return (
    <TextField
      label={props.label}
      value={text}
      autoFocus={props.autoFocus ?? false}
      error={Boolean(wrong)}
      helperText={wrong}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = readIn(unit, event.target.value);
        props.onReadable?.(typeof next === "number" || (next === null && optional));
        if (typeof next === "number") {
          props.onChange((next - unit.zeroAt) * unit.scale);
        } else if (next === null && optional) {
          props.onChange(null);
        }
      }}
      onBlur={() => {
        if (!wrong || props.error) {
          setTyped(null);
        }
      }}
      sx={{
        width: props.width ?? 130,
        ...(props.large && { "& input": { fontSize: "1.8rem", fontWeight: 600 } }),
      }}
      slotProps={{
        htmlInput: { inputMode: "decimal", autoComplete: "off" },
        input: {
          endAdornment: (
            <InputAdornment position="end">{props.symbol ?? unit.symbol}</InputAdornment>
          ),
        },
      }}
    />
  );
}

/** What the server says of a value that is outside, with its limits in the unit of the field. */
export function limitText(error: FieldError, unit: Unit): string {
  const { min, max } = error;
  if (error.code !== "out_of_range" || min === undefined || max === undefined || !unit.symbol) {
    return error.message;
  }
  const said = (value: number) => Number(show(unit, value, Math.max(unit.digits, 3)));
  return `This has to be between ${said(min)} and ${said(max)} ${unit.symbol}.`;
}
