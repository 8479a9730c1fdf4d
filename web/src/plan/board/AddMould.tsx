import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import TextField from "@mui/material/TextField";
import { useEffect, useRef, useState } from "react";
import { api, ask, type FieldError, type Mould, type Workshop } from "../../api/client";
import { NumberField } from "../../ui/NumberField";
import { OneOf } from "../../ui/OneOf";
import { useUnits } from "../../units/UnitsProvider";

/** How far a total read from a marked cup may be off; starting value, no source. */
const READING_PERCENT = 3;

interface Props {
  shelf: Required<Workshop>;
  /** Whether its first key has the focus: it was just asked for. */
  focus: boolean;
  /** A mould from the shelf, or a new one that has just been put there. */
  onChosen: (mouldId: string, count: number) => void;
  onClose: () => void;
}

/** Chooses a mould for the board, or adds one that the workshop does not know yet. */
export function AddMould({ shelf, focus, onChosen, onClose }: Props) {
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (focus) {
      form.current?.querySelector<HTMLElement>("button, input")?.focus();
    }
  }, [focus]);
  const units = useUnits();
  const [name, setName] = useState("");
  const [volumeMl, setVolume] = useState<number | null>(null);
  const [depthMm, setDepth] = useState<number | null>(null);
  const [count, setCount] = useState<number | null>(1);
  const [errors, setErrors] = useState<FieldError[]>([]);
  const [note, setNote] = useState("");
  /** Water of several moulds that was tipped together: only their total is known. */
  const [together, setTogether] = useState(false);
  const errorAt = (field: string | null) => errors.find((e) => e.field === field);
  const add = async () => {
    if (volumeMl === null || count === null) {
      setErrors([
        {
          field: "volumeMl",
          code: "missing",
          message: together
            ? "How much water they held together."
            : "How much it holds to the rim, in mL.",
        },
      ]);
      return;
    }
    const called = name || (together ? `${count} moulds together` : "");
    const mould: Mould = {
      id: `mould-${crypto.randomUUID().slice(0, 8)}`,
      name: called,
      cavities: [
        {
          id: "main",
          name: called || "Main",
          count: 1,
          // Of each only its share is known; what they hold together was read from a cup.
          measure: together
            ? { method: "TOLD", toldMl: volumeMl / count, plusMinusPercent: READING_PERCENT }
            : { method: "TOLD", toldMl: volumeMl },
          ...(depthMm === null ? {} : { depthMm }),
        },
      ],
    };
    const answer = await ask(
      api.PUT("/api/moulds/{id}", { params: { path: { id: mould.id } }, body: mould }),
    );
    if (answer.status === "ok") {
      onChosen(mould.id, count);
    } else {
      setErrors(answer.trouble.errors);
      setNote(answer.trouble.errors.length > 0 ? "" : answer.trouble.detail);
    }
  };
  return (
    <Box
      component="form"
      ref={form}
      aria-label="Add a mould"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
      sx={{ pt: 1 }}
    >
      {shelf.moulds.length > 0 && (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, mb: 1.5 }}>
          {shelf.moulds.map((m) => (
            <Button
              key={m.id}
              variant="outlined"
              onClick={() => onChosen(m.id, Math.max(1, Math.round(count ?? 1)))}
            >
              {m.name}
            </Button>
          ))}
        </Box>
      )}
      <OneOf
        label="What you know"
        choices={[
          [false, "what one mould holds"],
          [true, "the water of several, tipped together"],
        ]}
        chosen={together}
        onChoose={setTogether}
      />
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start", mt: 1.25 }}>
        <NumberField
          label={together ? "Moulds" : "Pieces"}
          value={count}
          onChange={setCount}
          width={95}
        />
        <TextField
          label="A new mould: its name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          error={Boolean(errorAt("name"))}
          helperText={errorAt("name")?.message}
          sx={{ width: 200 }}
        />
        <NumberField
          label={together ? "All of them hold" : "Holds"}
          unit={units.VOLUME}
          value={volumeMl}
          onChange={setVolume}
          optional
          error={errorAt("volumeMl") ?? errorAt("cavities[0].measure.toldMl")}
        />
        <NumberField
          label="Deep (if known)"
          unit={units.LENGTH}
          value={depthMm}
          onChange={setDepth}
          optional
          error={errorAt("cavities[0].depthMm")}
          width={150}
        />
        <Button type="submit" variant="contained">
          Put it on the board
        </Button>
        <Button onClick={onClose}>Close</Button>
      </Box>
      {note && <Box sx={{ color: "error.main" }}>{note}</Box>}
      <Box sx={{ color: "text.secondary", fontSize: "0.87rem", mt: 0.75 }}>
        {together
          ? "Water that was read from a marked cup is taken as ± 3 %. A and B together are that much, not each. "
          : "A volume from memory is taken as ± 10 %, and that much more is mixed. "}
        <Link href="/moulds/new">Measure it with water instead</Link>
      </Box>
    </Box>
  );
}
