import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { errorsUnder, type FieldError, type Solid } from "../api/client";
import { Fields } from "../ui/Fields";
import { SOLIDS } from "./fields";

interface Props {
  parts: Solid[];
  errors: FieldError[];
  onChange: (parts: Solid[]) => void;
  /** Words for the key that adds the first part. */
  begin?: string;
}

const KINDS = Object.keys(SOLIDS) as Solid["kind"][];

/** A shape as solids from the floor up; the one on top stands on top here too. */
export function Parts({ parts, errors, onChange, begin }: Props) {
  const general = errors.find((e) => e.field === "");
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      {parts.length < 12 && (
        <Box>
          <Button onClick={() => onChange([...parts, SOLIDS.CYLINDER.start])}>
            {parts.length === 0 ? (begin ?? "+ a shape") : "+ a part on top"}
          </Button>
        </Box>
      )}
      {parts
        .map((part, i) => (
          <Box
            key={i}
            role="group"
            aria-label={parts.length === 1 ? "Shape" : `Part ${i + 1} from the floor`}
            sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start" }}
          >
            <TextField
              select
              label={parts.length === 1 ? "Shape" : `Part ${i + 1}`}
              value={part.kind}
              onChange={(e) =>
                onChange(
                  parts.map((p, n) =>
                    n === i ? SOLIDS[e.target.value as Solid["kind"]].start : p,
                  ),
                )
              }
              sx={{ width: 185, mt: 0.75 }}
            >
              {KINDS.map((kind) => (
                <MenuItem key={kind} value={kind}>
                  {SOLIDS[kind].name}
                </MenuItem>
              ))}
            </TextField>
            <Fields
              specs={SOLIDS[part.kind].fields}
              draft={part}
              errors={errorsUnder(errors, `[${i}]`)}
              onChange={(next) => onChange(parts.map((p, n) => (n === i ? next : p)))}
            />
            <Button
              onClick={() => onChange(parts.filter((_, n) => n !== i))}
              aria-label={`Remove part ${i + 1}`}
            >
              Remove
            </Button>
          </Box>
        ))
        .reverse()}
      {general && <Box sx={{ color: "error.main" }}>{general.message}</Box>}
    </Box>
  );
}
