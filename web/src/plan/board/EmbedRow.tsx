import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { FieldError, PlacedEmbed, Workshop } from "../../api/client";
import { Fields, type FieldSpec } from "../../ui/Fields";

export function newEmbed(embedId: string): PlacedEmbed {
  return {
    embedId,
    count: 1,
    moment: "HALF_FILL",
    anchored: false,
    standsOutPercent: 0,
    prepare: [],
  };
}

const MOMENTS = [
  ["BEFORE_POUR", "laid first, then covered"],
  ["HALF_FILL", "half fill, rest, put in, cover"],
  ["AFTER_POUR", "straight into the fresh layer"],
  ["WHEN_THICK", "when the layer has thickened"],
] as const;

const PREPARE = [
  ["TRIM", "trim"],
  ["DRY_FIT", "dry-fit"],
  ["GLUE", "glue, and let it dry"],
  ["WET", "wet with resin"],
] as const;

interface EmbedProps {
  placed: PlacedEmbed;
  shelf: Required<Workshop>;
  errors: FieldError[];
  onChange: (placed: PlacedEmbed) => void;
  onRemove: () => void;
}

export function EmbedRow({ placed, shelf, errors, onChange, onRemove }: EmbedProps) {
  const specs: FieldSpec[] = [
    {
      path: "embedId",
      label: "Embed",
      kind: "choice",
      needed: true,
      choices: shelf.embeds.map((e) => [e.id, e.name] as const),
      width: 215,
    },
    { path: "count", label: "How many", kind: "number", needed: true, width: 105 },
    {
      path: "moment",
      label: "Goes in",
      kind: "choice",
      needed: true,
      choices: MOMENTS,
      width: 245,
    },
    {
      path: "anchored",
      label: "It is",
      kind: "yesno",
      needed: true,
      yes: "anchored",
      no: "free",
      width: 125,
    },
    {
      path: "standsOutPercent",
      label: "Stands out",
      kind: "number",
      symbol: "%",
      needed: true,
      width: 115,
    },
    { path: "facing", label: "Facing", kind: "text", width: 190 },
  ];
  const prepare = placed.prepare ?? [];
  return (
    <Box role="group" aria-label="Embed" sx={{ mt: 0.5 }}>
      <Fields specs={specs} draft={placed} errors={errors} onChange={onChange} />
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 0.5 }}>
        <Box component="span" sx={{ color: "text.secondary" }}>
          Beforehand:
        </Box>
        {PREPARE.map(([value, words]) => (
          <Button
            key={value}
            size="small"
            variant={prepare.includes(value) ? "contained" : "outlined"}
            aria-pressed={prepare.includes(value)}
            sx={{ py: 0, minHeight: 30 }}
            onClick={() =>
              onChange({
                ...placed,
                prepare: prepare.includes(value)
                  ? prepare.filter((p) => p !== value)
                  : [...prepare, value],
              })
            }
          >
            {words}
          </Button>
        ))}
        <Button onClick={onRemove} sx={{ ml: "auto" }}>
          Take the embed out
        </Button>
      </Box>
    </Box>
  );
}
