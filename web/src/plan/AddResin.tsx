import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { api, ask, type FieldError, type Resin } from "../api/client";
import { NumberField } from "../units/NumberField";

interface Props {
  onAdded: (resin: Resin) => void;
  onClose: () => void;
}

const KINDS: { value: Resin["kind"]; words: string }[] = [
  { value: "CASTING", words: "casting" },
  { value: "DEEP", words: "deep casting" },
  { value: "FAST", words: "fast casting" },
  { value: "COATING", words: "coating" },
  { value: "POLYURETHANE", words: "polyurethane" },
];

/** A resin by its label: the ratio is needed, all else may stay unknown. */
export function AddResin({ onAdded, onClose }: Props) {
  const [name, setName] = useState("");
  const [kind, setKind] = useState<Resin["kind"]>("CASTING");
  const [partsA, setA] = useState<number | null>(2);
  const [partsB, setB] = useState<number | null>(1);
  const [basis, setBasis] = useState<Resin["ratio"]["basis"]>("WEIGHT");
  const [potLifeMinutes, setPotLife] = useState<number | null>(null);
  const [largestBatchG, setLargest] = useState<number | null>(null);
  const [errors, setErrors] = useState<FieldError[]>([]);
  const [note, setNote] = useState("");
  const errorAt = (field: string | null) => errors.find((e) => e.field === field);
  const add = async () => {
    if (partsA === null || partsB === null) {
      return;
    }
    const resin: Resin = {
      id: `resin-${crypto.randomUUID().slice(0, 8)}`,
      name,
      kind,
      ratio: { partsA, partsB, basis },
      ...(potLifeMinutes === null ? {} : { potLifeMinutes }),
      ...(largestBatchG === null ? {} : { largestBatchG }),
    };
    const answer = await ask(
      api.PUT("/api/resins/{id}", { params: { path: { id: resin.id } }, body: resin }),
    );
    if (answer.status === "ok") {
      onAdded(resin);
    } else {
      setErrors(answer.trouble.errors);
      setNote(answer.trouble.errors.length > 0 ? "" : answer.trouble.detail);
    }
  };
  return (
    <Box
      component="form"
      aria-label="Add a resin"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
      sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start", mt: 1.5 }}
    >
      <TextField
        label="A new resin: what is on the label"
        value={name}
        onChange={(e) => setName(e.target.value)}
        error={Boolean(errorAt("name"))}
        helperText={errorAt("name")?.message}
        sx={{ width: 260 }}
      />
      <TextField
        select
        label="Kind"
        value={kind}
        onChange={(e) => setKind(e.target.value as Resin["kind"])}
        sx={{ width: 150 }}
      >
        {KINDS.map((k) => (
          <MenuItem key={k.value} value={k.value}>
            {k.words}
          </MenuItem>
        ))}
      </TextField>
      <NumberField
        label="Parts of A"
        value={partsA}
        onChange={setA}
        width={105}
        error={errorAt("ratio.partsA")}
      />
      <NumberField
        label="Parts of B"
        value={partsB}
        onChange={setB}
        width={105}
        error={errorAt("ratio.partsB")}
      />
      <TextField
        select
        label="Ratio is"
        value={basis}
        onChange={(e) => setBasis(e.target.value as Resin["ratio"]["basis"])}
        sx={{ width: 130 }}
      >
        <MenuItem value="WEIGHT">by weight</MenuItem>
        <MenuItem value="VOLUME">by volume</MenuItem>
      </TextField>
      <NumberField
        label="Pot life (if known)"
        symbol="min"
        value={potLifeMinutes}
        onChange={setPotLife}
        optional
        width={165}
        error={errorAt("potLifeMinutes")}
      />
      <NumberField
        label="Largest batch (if known)"
        symbol="g"
        value={largestBatchG}
        onChange={setLargest}
        optional
        width={190}
        error={errorAt("largestBatchG")}
      />
      <Button type="submit" variant="contained">
        Put it on the shelf
      </Button>
      <Button onClick={onClose}>Close</Button>
      {note && <Box sx={{ color: "error.main" }}>{note}</Box>}
    </Box>
  );
}
