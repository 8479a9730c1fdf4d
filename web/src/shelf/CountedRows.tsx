import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { Colourant, FieldError, RecipeTold } from "../api/client";
import { NumberField } from "../ui/NumberField";
import { Swatch } from "../ui/Swatch";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { doseText } from "../words/doses";
import {
  type CountedIn,
  freshJar,
  inUnit,
  type Row,
  UNIT_WORDS,
  unitsOf,
  usualUnit,
} from "./counted";
import { FORMS } from "./specs";

interface Props {
  rows: Row[];
  /** What they come to; null before it was answered. */
  told: RecipeTold | null;
  jars: readonly Colourant[];
  errors: FieldError[];
  /** Whether only what stands on the shelf can be chosen. */
  shelfOnly?: boolean;
  onChange: (rows: Row[]) => void;
}

const FRESH = "a new jar";

/** The jars of a colour, each typed as it is counted; the other ways to say it stand beside it. */
export function CountedRows({ rows, told, jars, errors, shelfOnly = false, onChange }: Props) {
  const put = (index: number, row: Row) => onChange(rows.map((r, i) => (i === index ? row : r)));
  const others = jars.filter((j) => !rows.some((r) => r.jar.id === j.id));
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      {rows.map((row, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`Jar ${i + 1}`}
          sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start" }}
        >
          <TextField
            select
            label="Jar"
            value={row.fresh ? FRESH : row.jar.id}
            onChange={(e) => {
              const known = jars.find((j) => j.id === e.target.value);
              const jar = known ?? freshJar();
              put(i, { ...row, jar, fresh: !known, in: usualUnit(jar.form) });
            }}
            sx={{ width: 210 }}
          >
            {[...(row.fresh ? [] : [row.jar]), ...others].map((j) => (
              <MenuItem key={j.id} value={j.id}>
                <Swatch colour={j.swatch} /> {j.name}
              </MenuItem>
            ))}
            {!shelfOnly && <MenuItem value={FRESH}>{FRESH}</MenuItem>}
          </TextField>
          {row.fresh && (
            <>
              <TextField
                label="Its name"
                value={row.jar.name}
                onChange={(e) => put(i, { ...row, jar: { ...row.jar, name: e.target.value } })}
                error={errors.some((e) => e.field.endsWith("name"))}
                helperText={errors.find((e) => e.field.endsWith("name"))?.message}
                sx={{ width: 180 }}
              />
              <TextField
                select
                label="It is"
                value={row.jar.form}
                onChange={(e) => {
                  const form = e.target.value as Colourant["form"];
                  put(i, { ...row, jar: { ...row.jar, form }, in: usualUnit(form) });
                }}
                sx={{ width: 180 }}
              >
                {FORMS.map(([form, words]) => (
                  <MenuItem key={form} value={form}>
                    {words}
                  </MenuItem>
                ))}
              </TextField>
              <TextField
                type="color"
                label="Looks"
                value={row.jar.swatch}
                onChange={(e) => put(i, { ...row, jar: { ...row.jar, swatch: e.target.value } })}
                sx={{ width: 90 }}
              />
            </>
          )}
          <NumberField
            key={row.in}
            label="Dose"
            value={row.amount}
            optional
            width={110}
            error={errors.find((e) => e.field === `parts[${i}].amount`)}
            onChange={(amount) => put(i, { ...row, amount })}
          />
          <TextField
            select
            label="in"
            value={row.in}
            onChange={(e) => {
              const unit = e.target.value as CountedIn;
              const same = inUnit(told?.doses[i], unit);
              put(i, { ...row, in: unit, amount: same ?? row.amount });
            }}
            sx={{ width: 140 }}
          >
            {unitsOf(row.jar.form).map((unit) => (
              <MenuItem key={unit} value={unit}>
                {UNIT_WORDS[unit]}
              </MenuItem>
            ))}
          </TextField>
          {rows.length > 1 && (
            <Button onClick={() => onChange(rows.filter((_, other) => other !== i))}>Remove</Button>
          )}
          <Also told={told} index={i} in={row.in} />
        </Box>
      ))}
      {rows.length < 12 && (!shelfOnly || others.length > 0) && (
        <Box>
          <Button
            onClick={() => {
              const jar = others[0] ?? freshJar();
              onChange([
                ...rows,
                { jar, fresh: others.length === 0, amount: null, in: usualUnit(jar.form) },
              ]);
            }}
          >
            + another jar
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** The same dose as it is weighed, counted and shared. */
function Also({
  told,
  index,
  in: unit,
}: {
  told: RecipeTold | null;
  index: number;
  in: CountedIn;
}) {
  const units = useUnits();
  const dose = told?.doses[index];
  if (!dose) {
    return null;
  }
  const counted =
    unit === "DROPS" || unit === "SCOOPS"
      ? ""
      : doseText(
          dose.drops === undefined ? undefined : Math.round(dose.drops),
          dose.scoops === undefined ? undefined : Math.round(dose.scoops * 4) / 4,
        );
  return (
    <Box sx={{ color: "text.secondary", alignSelf: "center" }}>
      {[
        unit === "GRAMS" ? "" : showWith(units.MASS, dose.massG, 2),
        unit === "PERCENT" ? "" : `${dose.percentOfMix.toFixed(2)} %`,
        counted,
      ]
        .filter((words) => words !== "")
        .join(" · ")}
    </Box>
  );
}
