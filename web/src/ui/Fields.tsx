import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { FieldError } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import type { Quantity } from "../units/units";
import { later } from "./later";
import type { WhenProps } from "./When";
import { NumberField } from "./NumberField";
import { getAt, setAt } from "./path";

const DayField = later<WhenProps>(() => import("./When").then((m) => m.DayField));
const MomentField = later<WhenProps>(() => import("./When").then((m) => m.MomentField));

interface Base {
  path: string;
  label: string;
  width?: number;
  /** Has to be filled in; everything else may stay unknown. */
  needed?: boolean;
}

export type FieldSpec = Base &
  (
    | { kind: "number"; quantity?: Quantity; symbol?: string; factor?: number }
    | { kind: "text" | "long" | "date" | "moment" | "colour" }
    | { kind: "yesno"; yes: string; no: string }
    | {
        kind: "choice";
        choices: readonly (readonly [value: string, words: string])[];
        blank?: string;
      }
  );

interface Props<T> {
  specs: readonly FieldSpec[];
  draft: T;
  errors: FieldError[];
  onChange: (draft: T) => void;
  label?: string;
}

/** Fields of a document, a row of them; what the server says of each stands at it. */
export function Fields<T>({ specs, draft, errors, onChange, label }: Props<T>) {
  return (
    <Box
      role={label ? "group" : undefined}
      aria-label={label}
      sx={{
        display: "flex",
        gap: 1.25,
        rowGap: 1.5,
        flexWrap: "wrap",
        alignItems: "flex-start",
        pt: 0.75,
      }}
    >
      {specs.map((spec) => (
        <Field
          key={spec.path}
          spec={spec}
          value={getAt(draft, spec.path)}
          error={errors.find((e) => e.field === spec.path)}
          onChange={(value) => onChange(setAt(draft, spec.path, value))}
        />
      ))}
    </Box>
  );
}

interface FieldProps {
  spec: FieldSpec;
  value: unknown;
  error: FieldError | undefined;
  onChange: (value: unknown) => void;
}

function Field({ spec, value, error, onChange }: FieldProps) {
  const units = useUnits();
  if (spec.kind === "number") {
    const factor = spec.factor ?? 1;
    return (
      <NumberField
        label={spec.label}
        value={typeof value === "number" ? value * factor : null}
        optional={!spec.needed}
        error={error}
        onChange={(next) => onChange(next === null ? null : next / factor)}
        width={spec.width ?? 132}
        {...(spec.quantity ? { unit: units[spec.quantity] } : {})}
        {...(spec.symbol ? { symbol: spec.symbol } : {})}
      />
    );
  }
  if (spec.kind === "yesno" || spec.kind === "choice") {
    const choices =
      spec.kind === "choice"
        ? spec.choices
        : ([
            ["true", spec.yes],
            ["false", spec.no],
          ] as const);
    return (
      <TextField
        select
        label={spec.label}
        value={value === undefined || value === null ? "" : String(value)}
        onChange={(e) =>
          onChange(
            e.target.value === ""
              ? null
              : spec.kind === "yesno"
                ? e.target.value === "true"
                : e.target.value,
          )
        }
        error={Boolean(error)}
        helperText={error?.message}
        sx={{ width: spec.width ?? 165 }}
        slotProps={{ select: { displayEmpty: true } }}
      >
        {!spec.needed && (
          <MenuItem value="">{(spec.kind === "choice" && spec.blank) || "not known"}</MenuItem>
        )}
        {choices.map(([key, words]) => (
          <MenuItem key={key} value={key}>
            {words}
          </MenuItem>
        ))}
      </TextField>
    );
  }
  if (spec.kind === "date" || spec.kind === "moment") {
    const When = spec.kind === "date" ? DayField : MomentField;
    return (
      <When
        label={spec.label}
        value={typeof value === "string" ? value : ""}
        onChange={onChange}
        error={error?.message}
        width={spec.width ?? 200}
      />
    );
  }
  return (
    <TextField
      label={spec.label}
      type={spec.kind === "colour" ? "color" : "text"}
      multiline={spec.kind === "long"}
      value={typeof value === "string" ? value : spec.kind === "colour" ? "#8a8f92" : ""}
      onChange={(e) => onChange(e.target.value)}
      error={Boolean(error)}
      helperText={error?.message}
      sx={{ width: spec.width ?? (spec.kind === "long" ? 360 : spec.kind === "colour" ? 92 : 200) }}
    />
  );
}
