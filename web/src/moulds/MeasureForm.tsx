import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { type Cavity, errorsUnder, type FieldError, type Measurement } from "../api/client";
import { Fields, type FieldSpec } from "../ui/Fields";
import { MeshPart } from "./MeshPart";
import { Parts } from "./Parts";
import { type Method, METHOD_FIELDS, METHOD_ORDER, METHODS } from "./fields";

interface Props {
  cavity: Cavity;
  errors: FieldError[];
  onChange: (cavity: Cavity) => void;
}

const SIZES: FieldSpec[] = [
  { path: "depthMm", label: "Deep, floor to rim", kind: "number", quantity: "LENGTH", width: 160 },
  { path: "lengthMm", label: "Longer side", kind: "number", quantity: "LENGTH" },
];

/** How a cavity was measured, guided: first the way, then what it needs. */
export function MeasureForm({ cavity, errors, onChange }: Props) {
  const { measure } = cavity;
  const parts = measure.parts ?? [];
  const levels = measure.levels ?? [];
  const set = (next: Measurement) => onChange({ ...cavity, measure: next });
  const own = errorsUnder(errors, "measure");
  const water = METHODS[measure.method].name.includes("water");
  const shaped = measure.method === "SOLID" || measure.method === "MESH";
  return (
    <Box sx={{ display: "grid", gap: 1.75 }}>
      <TextField
        select
        label="How it was measured"
        value={measure.method}
        onChange={(e) => set({ ...measure, method: e.target.value as Method })}
        helperText={METHODS[measure.method].how}
        sx={{ maxWidth: 560 }}
      >
        {METHOD_ORDER.map((method) => (
          <MenuItem key={method} value={method}>
            {METHODS[method].name}
          </MenuItem>
        ))}
      </TextField>
      {METHOD_FIELDS[measure.method].length > 0 && (
        <Fields
          key={measure.method}
          specs={METHOD_FIELDS[measure.method]}
          draft={measure}
          errors={own}
          onChange={set}
        />
      )}
      {measure.method === "MESH" && (
        <MeshPart mesh={measure.mesh} onChange={(mesh) => set({ ...measure, mesh })} />
      )}
      {measure.method === "PARTIAL_POUR" && (
        <Box sx={{ display: "grid", gap: 1.25 }}>
          {levels.map((level, i) => (
            <Box key={i} sx={{ display: "flex", gap: 1 }}>
              <Fields
                label={`Reading ${i + 1}`}
                specs={[
                  {
                    path: "volumeMl",
                    label: "Poured in all",
                    kind: "number",
                    quantity: "VOLUME",
                    needed: true,
                  },
                  {
                    path: "depthMm",
                    label: "Reached",
                    kind: "number",
                    quantity: "LENGTH",
                    needed: true,
                  },
                ]}
                draft={level}
                errors={errorsUnder(own, `levels[${i}]`)}
                onChange={(next) =>
                  set({ ...measure, levels: levels.map((l, n) => (n === i ? next : l)) })
                }
              />
              <Button
                onClick={() => set({ ...measure, levels: levels.filter((_, n) => n !== i) })}
                aria-label={`Remove reading ${i + 1}`}
              >
                Remove
              </Button>
            </Box>
          ))}
          <Box>
            <Button
              onClick={() =>
                set({
                  ...measure,
                  levels: [
                    ...levels,
                    {
                      volumeMl: (levels.at(-1)?.volumeMl ?? 0) + 2,
                      depthMm: (levels.at(-1)?.depthMm ?? 0) + 5,
                    },
                  ],
                })
              }
            >
              + a reading
            </Button>
          </Box>
        </Box>
      )}
      {!shaped && <Fields specs={SIZES} draft={cavity} errors={errors} onChange={onChange} />}
      {measure.method !== "MESH" && measure.method !== "TOLD" && (
        <Parts
          parts={parts}
          errors={errorsUnder(own, "parts").concat(listErrors(own, "parts"))}
          onChange={(next) => set({ ...measure, parts: next })}
          begin={water ? "+ its shape (water says how much, the shape how it fills)" : "+ a shape"}
        />
      )}
    </Box>
  );
}

/** Errors at places of a list, with the place kept: `parts[1].widthMm` as `[1].widthMm`. */
function listErrors(errors: FieldError[], list: string): FieldError[] {
  return errors
    .filter((e) => e.field.startsWith(`${list}[`))
    .map((e) => ({ ...e, field: e.field.slice(list.length) }));
}
