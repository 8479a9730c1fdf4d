import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import {
  errorsUnder,
  type FieldError,
  type Layer,
  type LayerView,
  type PieceView,
  type WetWork,
  type Workshop,
} from "../../api/client";
import { type FillKind, kindOf, toldAs } from "../../session/layerFill";
import { Fields, type FieldSpec } from "../../ui/Fields";
import { NumberField } from "../../ui/NumberField";
import { Swatch } from "../../ui/Swatch";
import { leftOut } from "../../ui/path";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { WET_WORDS } from "../../words/tasks";
import { EmbedRow, newEmbed } from "./EmbedRow";

const JOINS: { value: NonNullable<Layer["join"]>; words: string }[] = [
  { value: "TOGETHER", words: "together, colours mingle" },
  { value: "THICK", words: "thick, a soft edge" },
  { value: "GEL", words: "at gel, a clean edge" },
  { value: "CURED", words: "cured, a crisp edge" },
];

interface LayerProps {
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
}

export function LayerRow(props: LayerProps) {
  const { index, layer, view, top, only, shelf, errors, onChange } = props;
  const units = useUnits();
  const rich =
    (layer.embeds ?? []).length > 0 ||
    (layer.beside ?? []).length > 0 ||
    (layer.wet ?? []).length > 0 ||
    layer.resinId !== undefined;
  const [more, setMore] = useState(rich);
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
      {more && <LayerMore {...props} />}
    </Box>
  );
}

const WET: FieldSpec[] = [
  {
    path: "kind",
    label: "While it flows",
    kind: "choice",
    needed: true,
    choices: Object.entries(WET_WORDS),
    width: 305,
  },
  { path: "minutes", label: "A piece takes", kind: "number", symbol: "min", needed: true },
  { path: "with", label: "With", kind: "text", width: 180 },
];

const USUAL_WET: WetWork = { kind: "DRAWN", minutes: 1 };

const MEETINGS = [
  ["FROM_SIDES", "from two sides, until they meet"],
  ["ONE_CUP", "in one cup, poured at once"],
  ["PRESSED_APART", "the first presses the others apart"],
] as const;

/** What few layers have: a resin of its own, more colours, embeds. */
function LayerMore({ layer, shelf, errors, at, onChange }: LayerProps) {
  const beside = layer.beside ?? [];
  const embeds = layer.embeds ?? [];
  const resinError = errors.find((e) => e.field === `${at}.resinId`);
  const wet = layer.wet ?? [];
  const setWet = (next: WetWork[]) =>
    onChange(next.length === 0 ? leftOut(layer, "wet") : { ...layer, wet: next }, "wet");
  const embedsError = errors.find((e) => e.field === `${at}.embeds`);
  const freeColour = shelf.colours.find(
    (c) => c.id !== layer.colourId && !beside.some((b) => b.colourId === c.id),
  );
  return (
    <Box sx={{ pl: 1, pt: 0.5 }}>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
        <TextField
          select
          label="Resin"
          value={layer.resinId ?? ""}
          onChange={(e) => {
            const others = leftOut(layer, "resinId");
            onChange(e.target.value ? { ...others, resinId: e.target.value } : others, null);
          }}
          error={Boolean(resinError)}
          helperText={resinError?.message}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          sx={{ width: 230 }}
        >
          <MenuItem value="">the session’s</MenuItem>
          {shelf.resins.map((r) => (
            <MenuItem key={r.id} value={r.id}>
              {r.name}
            </MenuItem>
          ))}
        </TextField>
        <Button
          disabled={!freeColour || beside.length >= 4}
          onClick={() =>
            freeColour &&
            onChange(
              {
                ...layer,
                beside: [...beside, { colourId: freeColour.id, share: 0.5 / (beside.length + 1) }],
              },
              null,
            )
          }
        >
          + a colour beside it
        </Button>
        <Button
          disabled={wet.length >= 4}
          onClick={() => onChange({ ...layer, wet: [...wet, USUAL_WET] }, null)}
        >
          + work on the wet face
        </Button>
        <Button
          disabled={shelf.embeds.length === 0 || embeds.length >= 12}
          onClick={() => {
            const first = shelf.embeds[0];
            if (first) {
              onChange({ ...layer, embeds: [...embeds, newEmbed(first.id)] }, null);
            }
          }}
        >
          + an embed
        </Button>
      </Box>
      {beside.length > 0 && (
        <Fields
          label="Colours of this layer"
          draft={{ meeting: layer.meeting ?? "FROM_SIDES" }}
          errors={[]}
          specs={[
            {
              path: "meeting",
              label: "They come together",
              kind: "choice",
              needed: true,
              choices: MEETINGS,
              width: 290,
            },
          ]}
          onChange={({ meeting }) => onChange({ ...layer, meeting }, null)}
        />
      )}
      {beside.map((other, i) => (
        <Box key={i} sx={{ display: "flex", gap: 1, alignItems: "center" }}>
          <Fields
            label={`Colour ${i + 2}`}
            draft={other}
            errors={errors.flatMap((e) =>
              e.field.startsWith(`${at}.beside[${i}].`)
                ? [{ ...e, field: e.field.slice(`${at}.beside[${i}].`.length) }]
                : e.field === `${at}.beside`
                  ? [{ ...e, field: "share" }]
                  : [],
            )}
            specs={[
              {
                path: "colourId",
                label: "Beside it",
                kind: "choice",
                needed: true,
                choices: shelf.colours.map((c) => [c.id, c.name] as const),
              },
              {
                path: "share",
                label: "Share",
                kind: "number",
                symbol: "%",
                factor: 100,
                needed: true,
              },
            ]}
            onChange={(next) =>
              onChange({ ...layer, beside: beside.map((b, k) => (k === i ? next : b)) }, null)
            }
          />
          <Button
            onClick={() => onChange({ ...layer, beside: beside.filter((_, k) => k !== i) }, null)}
          >
            Remove
          </Button>
        </Box>
      ))}
      {wet.map((work, i) => (
        <Box key={i} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
          <Fields
            label={`Wet work ${i + 1}`}
            draft={work}
            errors={errorsUnder(errors, `${at}.wet[${i}]`)}
            specs={WET}
            onChange={(next) => setWet(wet.map((w, k) => (k === i ? next : w)))}
          />
          <Button onClick={() => setWet(wet.filter((_, k) => k !== i))}>Remove</Button>
        </Box>
      ))}
      {wet.length > 0 && (
        <Box sx={{ color: "text.secondary", fontSize: "0.87rem" }}>
          The drawing is a guess: it goes on drifting until it gels.
        </Box>
      )}
      {embedsError && (
        <Box role="alert" sx={{ color: "error.main", mt: 0.5 }}>
          {embedsError.message}
        </Box>
      )}
      {embeds.map((placed, i) => (
        <EmbedRow
          key={i}
          placed={placed}
          shelf={shelf}
          errors={errors
            .filter((e) => e.field.startsWith(`${at}.embeds[${i}].`))
            .map((e) => ({ ...e, field: e.field.slice(`${at}.embeds[${i}].`.length) }))}
          onChange={(next) =>
            onChange({ ...layer, embeds: embeds.map((e, k) => (k === i ? next : e)) }, null)
          }
          onRemove={() => onChange({ ...layer, embeds: embeds.filter((_, k) => k !== i) }, null)}
        />
      ))}
    </Box>
  );
}
