import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { errorsUnder, type WetWork } from "../../api/client";
import { Fields, type FieldSpec } from "../../ui/Fields";
import { leftOut } from "../../ui/path";
import { WET_WORDS } from "../../words/tasks";
import { EmbedRow, newEmbed } from "./EmbedRow";
import type { LayerProps } from "./LayerRow";

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
  ["IN_SPOTS", "each in several spots"],
  ["ONE_CUP", "in one cup, poured at once"],
  ["PRESSED_APART", "the first presses the others apart"],
] as const;

/** What few layers have: a resin of its own, more colours, embeds. */
export function LayerMore({ layer, shelf, errors, at, onChange }: LayerProps) {
  const beside = layer.beside ?? [];
  const embeds = layer.embeds ?? [];
  const resinError = errors.find((e) => e.field === `${at}.resinId`);
  const wet = layer.wet ?? [];
  const setWet = (next: WetWork[]) =>
    onChange(next.length === 0 ? leftOut(layer, "wet") : { ...layer, wet: next }, "wet");
  const embedsError = errors.find((e) => e.field === `${at}.embeds`);
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

/** What can be put into a layer, a key each. */
export function LayerAdds({ layer, shelf, onChange }: LayerProps) {
  const beside = layer.beside ?? [];
  const embeds = layer.embeds ?? [];
  const wet = layer.wet ?? [];
  const setWet = (next: WetWork[]) => onChange({ ...layer, wet: next }, "wet");
  const freeColour = shelf.colours.find(
    (c) => c.id !== layer.colourId && !beside.some((b) => b.colourId === c.id),
  );
  return (
    <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap" }}>
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
      <Button disabled={wet.length >= 4} onClick={() => setWet([...wet, USUAL_WET])}>
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
  );
}
