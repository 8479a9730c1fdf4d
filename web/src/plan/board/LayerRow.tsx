import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import {
  type FieldError,
  type Layer,
  type LayerView,
  type PieceView,
  type Workshop,
} from "../../api/client";
import { type FillKind, kindOf, toldAs } from "../../session/layerFill";
import { NumberField } from "../../ui/NumberField";
import { Swatch } from "../../ui/Swatch";
import { leftOut } from "../../ui/path";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { LayerAdds, LayerMore } from "./LayerMore";
import { NewColour } from "./NewColour";

const JOINS: { value: NonNullable<Layer["join"]>; words: string }[] = [
  { value: "TOGETHER", words: "together, colours mingle" },
  { value: "THICK", words: "thick, a soft edge" },
  { value: "GEL", words: "at gel, a clean edge" },
  { value: "CURED", words: "cured, a crisp edge" },
];

export interface LayerProps {
  index: number;
  layer: Layer;
  view: LayerView | undefined;
  piece: PieceView | null;
  top: boolean;
  only: boolean;
  chosen: boolean;
  shelf: Required<Workshop>;
  errors: FieldError[];
  at: string;
  onChange: (layer: Layer, field: string | null) => void;
  onRemove: () => void;
  /** Every layer of the session in one colour. */
  onEvery: (colourId: string) => void;
}

const NEW_COLOUR = "+";

export function LayerRow(props: LayerProps) {
  const { index, layer, view, top, only, shelf, errors, onChange } = props;
  const units = useUnits();
  const rich =
    (layer.embeds ?? []).length > 0 ||
    (layer.beside ?? []).length > 0 ||
    (layer.wet ?? []).length > 0 ||
    layer.resinId !== undefined;
  const [more, setMore] = useState(rich);
  const [making, setMaking] = useState(false);
  const fill = layer.fill;
  const kind = kindOf(fill);
  const error = errors.find((e) => e.field.includes(".fill"));
  const colourError = errors.find((e) => e.field === `${props.at}.colourId`);
  const joinError = errors.find((e) => e.field === `${props.at}.join`);
  const place = only ? "Layer" : index === 0 ? "First layer" : `Layer ${index + 1}`;
  const setKind = (next: FillKind) => {
    const others = leftOut(layer, "fill");
    const told = toldAs(next, view, props.piece);
    onChange(told ? { ...others, fill: told } : others, null);
  };
  return (
    <Box
      role="group"
      aria-label={place}
      sx={{
        mt: 1.5,
        pl: 1,
        borderLeft: 3,
        borderColor: props.chosen ? "primary.main" : "transparent",
      }}
    >
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start" }}>
        <TextField
          select
          label={`${place}, colour`}
          value={shelf.colours.some((c) => c.id === layer.colourId) ? layer.colourId : ""}
          onChange={(e) => {
            if (e.target.value === NEW_COLOUR) {
              setMaking(true);
            } else {
              onChange({ ...layer, colourId: e.target.value }, null);
            }
          }}
          error={Boolean(colourError)}
          helperText={colourError?.message}
          sx={{ width: 148 }}
        >
          {shelf.colours.map((c) => (
            <MenuItem key={c.id} value={c.id}>
              <Swatch colour={c.swatch} /> {c.name}
            </MenuItem>
          ))}
          <MenuItem value={NEW_COLOUR}>+ a colour</MenuItem>
        </TextField>
        <TextField
          select
          label="Amount"
          value={kind}
          onChange={(e) => setKind(e.target.value as FillKind)}
          error={Boolean(error && kind === "rest")}
          helperText={kind === "rest" ? error?.message : undefined}
          sx={{ width: 208 }}
        >
          {(top || kind === "rest") && <MenuItem value="rest">the rest</MenuItem>}
          <MenuItem value="depthMm">a depth</MenuItem>
          <MenuItem value="depthShare">a share of the depth</MenuItem>
          <MenuItem value="share">a share</MenuItem>
          <MenuItem value="volumeMl">a volume</MenuItem>
          <MenuItem value="massG">a weight</MenuItem>
        </TextField>
        {(kind === "share" || kind === "depthShare") && (
          <NumberField
            key={kind}
            label={kind === "share" ? "Share" : "Of the depth"}
            symbol="%"
            width={115}
            value={((kind === "share" ? fill?.share : fill?.depthShare) ?? 0) * 100}
            error={error}
            onChange={(v) =>
              v !== null && onChange({ ...layer, fill: { [kind]: v / 100 } }, "fill")
            }
          />
        )}
        {kind === "depthMm" && (
          <NumberField
            key="depth"
            label="Depth"
            unit={units.LENGTH}
            width={115}
            value={fill?.depthMm}
            error={error}
            onChange={(v) => v !== null && onChange({ ...layer, fill: { depthMm: v } }, "fill")}
          />
        )}
        {kind === "volumeMl" && (
          <NumberField
            key="volume"
            label="Volume"
            unit={units.VOLUME}
            width={125}
            value={fill?.volumeMl}
            error={error}
            onChange={(v) => v !== null && onChange({ ...layer, fill: { volumeMl: v } }, "fill")}
          />
        )}
        {kind === "massG" && (
          <NumberField
            key="mass"
            label="Weight"
            unit={units.MASS}
            width={125}
            value={fill?.massG}
            error={error}
            onChange={(v) => v !== null && onChange({ ...layer, fill: { massG: v } }, "fill")}
          />
        )}
        {index > 0 && (
          <TextField
            select
            label="Meets the one below"
            value={layer.join ?? "TOGETHER"}
            onChange={(e) => onChange({ ...layer, join: e.target.value as Layer["join"] }, null)}
            error={Boolean(joinError)}
            helperText={joinError?.message}
            sx={{ width: 200 }}
          >
            {JOINS.map((j) => (
              <MenuItem key={j.value} value={j.value}>
                {j.words}
              </MenuItem>
            ))}
          </TextField>
        )}
        <Button onClick={() => setMore(!more)} aria-expanded={more}>
          {more ? "Fewer options" : "More options"}
        </Button>
        {!only && <Button onClick={props.onRemove}>Remove</Button>}
      </Box>
      {view && (
        <Box sx={{ color: "text.secondary", fontSize: "0.85rem" }}>
          {showWith(units.VOLUME, view.volumeMl)} · {showWith(units.MASS, view.massG)} ·{" "}
          {showWith(units.LENGTH, view.toMm - view.fromMm)} thick
        </Box>
      )}
      {making && (
        <NewColour
          shelf={shelf}
          resinG={view && props.piece ? Math.max(1, view.massG * props.piece.count) : 30}
          onMade={(colourId, everywhere) => {
            setMaking(false);
            if (everywhere) {
              props.onEvery(colourId);
            } else {
              onChange({ ...layer, colourId }, null);
            }
          }}
          onClose={() => setMaking(false)}
        />
      )}
      <LayerAdds
        {...props}
        onChange={(next, field) => {
          setMore(true);
          onChange(next, field);
        }}
      />
      {more && <LayerMore {...props} />}
    </Box>
  );
}
