import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { errorsUnder, type FieldError, type Resin } from "../api/client";
import { Fields, type FieldSpec } from "../ui/Fields";
import { getAt, setAt } from "../ui/path";

interface Table {
  path: string;
  /** What one row is. */
  row: string;
  add: string;
  specs: FieldSpec[];
}

/** Tables that some labels have, beyond their one figure. */
export const LABEL_TABLES = {
  potLives: {
    path: "facts.potLifeRows",
    row: "Pot life",
    add: "Add a pot life",
    specs: [
      { path: "minutes", label: "Pot life", kind: "number", symbol: "min", needed: true },
      { path: "massG", label: "for a mass of", kind: "number", quantity: "MASS", needed: true },
      {
        path: "temperatureC",
        label: "at",
        kind: "number",
        quantity: "TEMPERATURE",
        needed: true,
      },
    ],
  },
  depths: {
    path: "times.demouldRows",
    row: "Demould by depth",
    add: "Add a depth",
    specs: [
      { path: "depthMm", label: "At a depth of", kind: "number", quantity: "LENGTH", needed: true },
      { path: "fromHours", label: "demould after", kind: "number", symbol: "h", needed: true },
      { path: "toHours", label: "or up to", kind: "number", symbol: "h" },
    ],
  },
} satisfies Record<string, Table>;

interface Props {
  table: Table;
  draft: Resin;
  errors: FieldError[];
  onChange: (draft: Resin) => void;
}

export function LabelRows({ table, draft, errors, onChange }: Props) {
  const found = getAt(draft, table.path);
  const rows: unknown[] = Array.isArray(found) ? found : [];
  const put = (next: unknown[]) => onChange(setAt(draft, table.path, next.length ? next : null));
  return (
    <Box sx={{ display: "grid", gap: 0.75, mt: 1 }}>
      {rows.map((row, i) => (
        <Box key={i} sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
          <Fields
            label={`${table.row} ${i + 1}`}
            specs={table.specs}
            draft={row}
            errors={errorsUnder(errors, `${table.path}[${i}]`)}
            onChange={(next) => put(rows.map((r, n) => (n === i ? next : r)))}
          />
          <Button onClick={() => put(rows.filter((_, n) => n !== i))}>Remove</Button>
        </Box>
      ))}
      <Box>
        <Button variant="outlined" onClick={() => put([...rows, {}])}>
          {table.add}
        </Button>
      </Box>
    </Box>
  );
}
