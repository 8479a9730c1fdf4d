import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { api, ask, type Design, type Piece, type Session, type Trouble } from "../../api/client";
import { useDesigns } from "../../api/queries";
import { Told } from "../../ui/Told";
import { leftOut } from "../../ui/path";

interface Props {
  session: Session;
  line: number;
  piece: Piece;
  onChange: (piece: Piece, field: string | null) => void;
  /** The same change for every line of the board. */
  onEvery: (change: (piece: Piece) => Piece) => void;
}

/** Designs that are kept under a name: poured here, or this one kept for other moulds. */
export function Designs({ session, line, piece, onChange, onEvery }: Props) {
  const kept = useDesigns();
  const designs = kept.data ?? [];
  const [failed, setTrouble] = useState<Trouble | null>(null);
  const trouble = failed ?? kept.error;
  const [name, setName] = useState<string | null>(null);
  const [everywhere, setEverywhere] = useState(false);
  const apply = (id: string) => {
    const design = designs.find((d) => d.id === id);
    const pour = (each: Piece): Piece => {
      const poured = { ...leftOut(each, "work"), layers: design?.layers ?? each.layers };
      return design?.work ? { ...poured, work: design.work } : poured;
    };
    if (design && everywhere) {
      onEvery(pour);
    } else if (design) {
      onChange(pour(piece), null);
    }
  };
  const keep = async () => {
    const scaled = await ask(
      api.POST("/api/plan/design", {
        body: { session, line },
      }),
    );
    if (scaled.status === "trouble") {
      setTrouble(scaled.trouble);
      return;
    }
    const called = (name ?? "").trim();
    const id = called.toLowerCase().replace(/[^a-z0-9]+/g, "-") || "design";
    const design: Design = {
      id,
      name: called,
      layers: scaled.value,
      ...(piece.work ? { work: piece.work } : {}),
    };
    const kept = await ask(
      api.PUT("/api/designs/{id}", { params: { path: { id } }, body: design }),
    );
    if (kept.status === "trouble") {
      setTrouble(kept.trouble);
      return;
    }
    setTrouble(null);
    setName(null);
  };
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
      <TextField
        select
        label="Pour a kept design"
        value=""
        onChange={(e) => apply(e.target.value)}
        disabled={designs.length === 0}
        sx={{ width: 190 }}
      >
        {designs.map((d) => (
          <MenuItem key={d.id} value={d.id}>
            {d.name}
          </MenuItem>
        ))}
      </TextField>
      {(session.pieces ?? []).length > 1 && (
        <FormControlLabel
          control={
            <Checkbox checked={everywhere} onChange={(e) => setEverywhere(e.target.checked)} />
          }
          label="in every mould"
        />
      )}
      {name === null ? (
        <Button onClick={() => setName("")}>Keep this design</Button>
      ) : (
        <>
          <TextField
            label="Name of the design"
            value={name}
            autoFocus
            onChange={(e) => setName(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 80 } }}
            helperText={
              designs.some((d) => d.name === name.trim()) ? "Takes the place of the one kept" : ""
            }
            sx={{ width: 190 }}
          />
          <Button variant="contained" disabled={name.trim() === ""} onClick={() => void keep()}>
            Keep
          </Button>
          <Button onClick={() => setName(null)}>Leave it</Button>
        </>
      )}
      {trouble && <Told trouble={trouble} />}
    </Box>
  );
}
