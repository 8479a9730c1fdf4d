import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { type Cavity, errorsUnder, type FieldError } from "../api/client";
import { Fields, type FieldSpec } from "../ui/Fields";
import { Parts } from "./Parts";

type Inner = NonNullable<Cavity["inner"]>;

const INNER: FieldSpec[] = [
  {
    path: "clearanceMm",
    label: "Stands above the floor",
    kind: "number",
    quantity: "LENGTH",
    needed: true,
    width: 190,
  },
  { path: "massG", label: "Weighs", kind: "number", quantity: "MASS" },
];

interface Props {
  inner: Inner | undefined;
  /** What is said of the document that has it, under "inner". */
  errors: FieldError[];
  onChange: (inner: Inner | null) => void;
}

/** A form that stands in the resin and leaves a hollow; of a mould, or of a piece alone. */
export function InnerFields({ inner, errors, onChange }: Props) {
  if (!inner) {
    return (
      <Button
        onClick={() =>
          onChange({
            clearanceMm: 4,
            parts: [{ kind: "CONE_FRUSTUM", widthMm: 10, floorWidthMm: 8, depthMm: 20 }],
          })
        }
      >
        + an inner mould (a hollow)
      </Button>
    );
  }
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      <b>Inner mould, leaves a hollow</b>
      <Fields
        specs={INNER}
        draft={inner}
        errors={errorsUnder(errors, "inner")}
        onChange={onChange}
      />
      <Parts
        parts={inner.parts}
        errors={errors
          .filter((e) => e.field.startsWith("inner.parts"))
          .map((e) => ({ ...e, field: e.field.slice("inner.parts".length) }))}
        onChange={(parts) => onChange({ ...inner, parts })}
      />
      <Box>
        <Button onClick={() => onChange(null)}>No inner mould</Button>
      </Box>
    </Box>
  );
}
