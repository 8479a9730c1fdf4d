import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { FieldError, Fill, Layer, Piece, Workshop } from "../api/client";
import { NumberField } from "../units/NumberField";
import { useUnits } from "../units/UnitsProvider";

interface Props {
  line: number;
  piece: Piece;
  shelf: Required<Workshop>;
  errors: FieldError[];
  /** The mould as it was when the session was saved, when it has since been removed. */
  onBringBack: (() => void) | null;
  onChange: (piece: Piece, field: string | null) => void;
  onRemove: () => void;
  onRemoveLayer: (layer: number) => void;
  onClose: () => void;
}

type FillKind = "rest" | "share" | "depthMm" | "volumeMl";

const JOINS: { value: NonNullable<Layer["join"]>; words: string }[] = [
  { value: "TOGETHER", words: "together, colours mingle" },
  { value: "THICK", words: "thick, a soft edge" },
  { value: "GEL", words: "at gel, a clean edge" },
  { value: "CURED", words: "cured, a crisp edge" },
];

/** One line of pieces, opened in place: which mould, which layers. */
export function PieceEditor(props: Props) {
  const { line, piece, shelf, errors } = props;
  const at = `pieces[${line}]`;
  const errorAt = (field: string | null) => errors.find((e) => e.field === field);
  const cavities = shelf.moulds.find((m) => m.id === piece.mouldId)?.cavities ?? [];
  const mouldError = errorAt(`${at}.mouldId`);
  const setLayer = (index: number, layer: Layer, field: string | null) =>
    props.onChange(
      { ...piece, layers: piece.layers.map((l, i) => (i === index ? layer : l)) },
      field && `${at}.layers[${index}].${field}`,
    );
  return (
    <Box component="section" aria-label={`Line ${line + 1}`} sx={{ pt: 1 }}>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-start" }}>
        <TextField
          select
          label="Mould"
          value={shelf.moulds.some((m) => m.id === piece.mouldId) ? piece.mouldId : ""}
          onChange={(e) =>
            props.onChange(
              { mouldId: e.target.value, count: piece.count, layers: piece.layers },
              null,
            )
          }
          error={Boolean(mouldError)}
          helperText={mouldError?.message}
          sx={{ minWidth: 170, maxWidth: 300 }}
        >
          {shelf.moulds.map((m) => (
            <MenuItem key={m.id} value={m.id}>
              {m.name}
            </MenuItem>
          ))}
        </TextField>
        {cavities.length > 1 && (
          <TextField
            select
            label="Cavity"
            value={piece.cavityId ?? cavities[0]?.id ?? ""}
            onChange={(e) => props.onChange({ ...piece, cavityId: e.target.value }, null)}
            sx={{ minWidth: 130 }}
          >
            {cavities.map((c) => (
              <MenuItem key={c.id} value={c.id}>
                {c.name}
              </MenuItem>
            ))}
          </TextField>
        )}
        <NumberField
          label="Pieces"
          value={piece.count}
          width={100}
          error={errorAt(`${at}.count`)}
          onChange={(count) => count !== null && props.onChange({ ...piece, count }, `${at}.count`)}
        />
        <Box sx={{ ml: "auto", display: "flex" }}>
          <Button onClick={props.onRemove} color="error">
            Take off the board
          </Button>
          <Button onClick={props.onClose}>Done</Button>
        </Box>
      </Box>
      {props.onBringBack && (
        <Button variant="outlined" onClick={props.onBringBack} sx={{ mt: 1 }}>
          Use it as it was when this session was saved
        </Button>
      )}
      {/* The top layer stands on top here too, as it lies in the mould. */}
      {piece.layers
        .map((layer, i) => (
          <LayerRow
            key={i}
            index={i}
            layer={layer}
            top={i === piece.layers.length - 1}
            only={piece.layers.length === 1}
            shelf={shelf}
            errors={errors.filter((e) => e.field.startsWith(`${at}.layers[${i}]`))}
            onChange={(next, field) => setLayer(i, next, field)}
            onRemove={() => props.onRemoveLayer(i)}
          />
        ))
        .reverse()}
      <Button
        onClick={() => props.onChange({ ...piece, layers: withOneMore(piece.layers) }, null)}
        disabled={piece.layers.length >= 6}
      >
        + a layer on top
      </Button>
    </Box>
  );
}

/** The layer below gives up half the mould, so that there is room for the new one. */
function withOneMore(layers: Layer[]): Layer[] {
  const below = layers.map((l) => (l.fill ? l : { ...l, fill: { share: 0.5 } }));
  return [...below, { colourId: "clear", join: "TOGETHER" }];
}

interface LayerProps {
  index: number;
  layer: Layer;
  top: boolean;
  only: boolean;
  shelf: Required<Workshop>;
  errors: FieldError[];
  onChange: (layer: Layer, field: string | null) => void;
  onRemove: () => void;
}

function LayerRow({ index, layer, top, only, shelf, errors, onChange, onRemove }: LayerProps) {
  const units = useUnits();
  const fill = layer.fill;
  const kind: FillKind = !fill
    ? "rest"
    : fill.share !== undefined
      ? "share"
      : fill.depthMm !== undefined
        ? "depthMm"
        : "volumeMl";
  const error = errors.find((e) => e.field.includes(".fill"));
  const colourError = errors.find((e) => e.field.endsWith(".colourId"));
  const place = only ? "Layer" : index === 0 ? "First layer" : `Layer ${index + 1}`;
  const setKind = (next: FillKind) => {
    const fills: Record<FillKind, Fill | undefined> = {
      rest: undefined,
      share: { share: 0.5 },
      depthMm: { depthMm: 3 },
      volumeMl: { volumeMl: 3 },
    };
    const others: Layer = { colourId: layer.colourId, join: layer.join ?? "TOGETHER" };
    const chosen = fills[next];
    onChange(chosen ? { ...others, fill: chosen } : others, null);
  };
  return (
    <Box
      role="group"
      aria-label={place}
      sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start", mt: 1.5 }}
    >
      <TextField
        select
        label={`${place}, colour`}
        value={shelf.colours.some((c) => c.id === layer.colourId) ? layer.colourId : ""}
        onChange={(e) => onChange({ ...layer, colourId: e.target.value }, null)}
        error={Boolean(colourError)}
        helperText={colourError?.message}
        sx={{ width: 148 }}
      >
        {shelf.colours.map((c) => (
          <MenuItem key={c.id} value={c.id}>
            <Swatch colour={c.swatch} /> {c.name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Takes"
        value={kind}
        onChange={(e) => setKind(e.target.value as FillKind)}
        error={Boolean(error && kind === "rest")}
        helperText={kind === "rest" ? error?.message : undefined}
        sx={{ width: 122 }}
      >
        {(top || kind === "rest") && <MenuItem value="rest">the rest</MenuItem>}
        <MenuItem value="share">a share</MenuItem>
        <MenuItem value="depthMm">a depth</MenuItem>
        <MenuItem value="volumeMl">a volume</MenuItem>
      </TextField>
      {kind === "share" && (
        <NumberField
          key="share"
          label="Share"
          symbol="%"
          width={105}
          value={(fill?.share ?? 0) * 100}
          error={error}
          onChange={(v) => v !== null && onChange({ ...layer, fill: { share: v / 100 } }, "fill")}
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
      {index > 0 && (
        <TextField
          select
          label="Meets the one below"
          value={layer.join ?? "TOGETHER"}
          onChange={(e) => onChange({ ...layer, join: e.target.value as Layer["join"] }, null)}
          sx={{ width: 200 }}
        >
          {JOINS.map((j) => (
            <MenuItem key={j.value} value={j.value}>
              {j.words}
            </MenuItem>
          ))}
        </TextField>
      )}
      {!only && <Button onClick={onRemove}>Remove</Button>}
    </Box>
  );
}

export function Swatch({ colour }: { colour: string }) {
  return (
    <Box
      component="span"
      aria-hidden="true"
      sx={{
        display: "inline-block",
        width: 14,
        height: 14,
        borderRadius: "3px",
        bgcolor: colour,
        border: 1,
        borderColor: "divider",
        mr: 0.75,
        verticalAlign: "-2px",
      }}
    />
  );
}
