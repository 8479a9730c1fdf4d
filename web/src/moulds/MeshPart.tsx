import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useRef, useState } from "react";
import { api, ask, type MeshAnswer, type MeshShape, type Trouble } from "../api/client";
import { NumberField } from "../ui/NumberField";
import { Told } from "../ui/Told";

interface Props {
  mesh: MeshShape | undefined;
  onChange: (mesh: MeshShape) => void;
}

/** What the server takes at most; said before a long way for nothing. */
const LARGEST_BYTES = 90_000_000;

type MeshUnit = MeshShape["unit"];

const UNITS: readonly (readonly [MeshUnit, string])[] = [
  ["MILLIMETRE", "millimetres"],
  ["CENTIMETRE", "centimetres"],
  ["INCH", "inches"],
  ["METRE", "metres"],
  ["MICROMETRE", "micrometres"],
  ["FOOT", "feet"],
];

const CHANGES: Record<MeshAnswer["changes"][number], string> = {
  CORNERS_JOINED: "corners that missed each other by a rounding were joined",
  FLAT_HOLE_CLOSED: "a flat hole was closed",
  FACING_MADE_ONE: "triangles that faced both ways were made to agree",
  TURNED_OUTSIDE_OUT: "the surface was inside out and was turned",
};

/** A 3D model: taken in, its unit asked, turned the way it lies in the mould. */
export function MeshPart({ mesh, onChange }: Props) {
  const [taken, setTaken] = useState<MeshAnswer | null>(null);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const input = useRef<HTMLInputElement>(null);

  const shape = async (id: string, unit: MeshUnit, turnXDegrees: number, turnYDegrees: number) => {
    setBusy(true);
    const answer = await ask(
      api.POST("/api/meshes/{id}/shape", {
        params: { path: { id } },
        body: { unit, turnXDegrees, turnYDegrees },
      }),
    );
    setBusy(false);
    if (answer.status === "ok") {
      setTrouble(null);
      onChange(answer.value);
    } else {
      setTrouble(answer.trouble);
    }
  };

  const take = async (file: File) => {
    if (file.size > LARGEST_BYTES) {
      setTrouble({
        title: "Too large",
        detail:
          "This model is larger than 90 MB. A tenth of the triangles gives the same volume: let the drawing program reduce them, or save as binary STL.",
        status: 0,
        errors: [],
      });
      return;
    }
    setBusy(true);
    setTrouble(null);
    const answer = await ask<MeshAnswer>(
      fetch(`/api/meshes?name=${encodeURIComponent(file.name)}`, {
        method: "POST",
        headers: { "content-type": "application/octet-stream" },
        body: file,
      }).then(async (response) => {
        const body: unknown = await response.json();
        return response.ok ? { data: body as MeshAnswer, response } : { error: body, response };
      }),
    );
    setBusy(false);
    if (answer.status === "trouble") {
      setTaken(null);
      setTrouble(answer.trouble);
      return;
    }
    setTaken(answer.value);
    const unit = answer.value.unit ?? answer.value.fits[0] ?? "MILLIMETRE";
    const millimetres = answer.value.fits.includes("MILLIMETRE");
    await shape(answer.value.id, answer.value.unit ?? (millimetres ? "MILLIMETRE" : unit), 0, 0);
  };

  const turn = (x: number, y: number) => {
    if (mesh) {
      const wrap = (degrees: number) => ((degrees % 360) + 360) % 360;
      void shape(mesh.fileId, mesh.unit, wrap(mesh.turnXDegrees + x), wrap(mesh.turnYDegrees + y));
    }
  };

  const depth = mesh?.levels.at(-1)?.depthMm ?? 0;
  const wide = mesh
    ? Math.max(...mesh.levels.map((l) => l.rightMm)) - Math.min(...mesh.levels.map((l) => l.leftMm))
    : 0;
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Button variant="outlined" onClick={() => input.current?.click()} disabled={busy}>
          {mesh ? "Another model…" : "Choose a model…"}
        </Button>
        <input
          ref={input}
          type="file"
          accept=".stl,.obj,.3mf"
          hidden
          aria-label="3D model"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = "";
            if (file) {
              void take(file);
            }
          }}
        />
        <span role="status">
          {busy
            ? "Slicing…"
            : mesh
              ? `${mesh.fileName}: ${mesh.triangles.toLocaleString("en-GB")} triangles`
              : "STL, OBJ or 3MF, up to 90 MB"}
        </span>
      </Box>
      {trouble && <Told trouble={trouble} />}
      {taken && taken.changes.length > 0 && (
        <Box>Put right on the way in: {taken.changes.map((c) => CHANGES[c]).join("; ")}.</Box>
      )}
      {taken && taken.shells > 1 && (
        <Box>{taken.shells} separate bodies in one file; they are counted together.</Box>
      )}
      {mesh && (
        <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start" }}>
          <TextField
            select
            label="One unit of the file is"
            value={mesh.unit}
            onChange={(e) =>
              void shape(
                mesh.fileId,
                e.target.value as MeshUnit,
                mesh.turnXDegrees,
                mesh.turnYDegrees,
              )
            }
            helperText={
              depth > 600 || wide > 600 || Math.max(depth, wide) < 3
                ? `That makes it ${wide.toFixed(wide < 1 ? 2 : 0)} mm wide and ${depth.toFixed(depth < 1 ? 2 : 0)} mm deep. Another unit?`
                : `${wide.toFixed(0)} mm wide, ${depth.toFixed(0)} mm deep as it lies`
            }
            sx={{ width: 240 }}
          >
            {UNITS.map(([unit, words]) => (
              <MenuItem key={unit} value={unit}>
                {words}
              </MenuItem>
            ))}
          </TextField>
          <Button variant="outlined" onClick={() => turn(180, 0)}>
            Turn over
          </Button>
          <Button variant="outlined" onClick={() => turn(90, 0)}>
            Tip forward
          </Button>
          <Button variant="outlined" onClick={() => turn(0, 90)}>
            Tip sideways
          </Button>
          <NumberField
            label="Lean forward"
            symbol="°"
            width={120}
            value={mesh.turnXDegrees}
            onChange={(v) => v !== null && void shape(mesh.fileId, mesh.unit, v, mesh.turnYDegrees)}
          />
          <NumberField
            label="Lean sideways"
            symbol="°"
            width={125}
            value={mesh.turnYDegrees}
            onChange={(v) => v !== null && void shape(mesh.fileId, mesh.unit, mesh.turnXDegrees, v)}
          />
        </Box>
      )}
    </Box>
  );
}
