import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Colour, Colourant, ShelfView } from "../api/client";
import { Fields } from "../ui/Fields";
import { NumberField } from "../ui/NumberField";
import { setAt } from "../ui/path";
import { CountedRecipe } from "./CountedRecipe";
import { EditorProps } from "./editors";
import { GoesWith } from "./GoesWith";
import { UNSEEN } from "./unseen";
import { COLOUR_SPECS } from "./specs";

export function ColourEditor({ draft, errors, shelf, ...props }: EditorProps<Colour>) {
  // A colour that nobody gave a look has that of its strongest colourant.
  const onChange = (next: Colour) => {
    const unseen = draft.swatch === UNSEEN || draft.swatch === strongest(draft, shelf)?.swatch;
    const its = strongest(next, shelf);
    props.onChange(
      its && unseen && next.swatch === draft.swatch ? { ...next, swatch: its.swatch } : next,
    );
  };
  const general = errors.find((e) => e.field === "recipe");
  const [counted, setCounted] = useState(false);
  const inParts = draft.strengthPercent !== undefined && draft.strengthPercent !== null;
  const amount = inParts ? "parts" : "percentOfMix";
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Fields specs={COLOUR_SPECS} draft={draft} errors={errors} onChange={onChange} />
      <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start" }}>
        <TextField
          select
          label="Recipe"
          value={counted ? "counted" : inParts ? "parts" : "shares"}
          onChange={(e) => {
            setCounted(e.target.value === "counted");
            if (e.target.value === "parts") {
              onChange(inPartsOf(draft));
            } else if (inParts) {
              onChange(inShares(draft));
            }
          }}
          sx={{ width: 230 }}
        >
          <MenuItem value="shares">shares of the whole mix</MenuItem>
          <MenuItem value="parts">parts beside each other</MenuItem>
          <MenuItem value="counted" disabled={shelf.colourants.length === 0}>
            drops, scoops or grams
          </MenuItem>
        </TextField>
        {inParts && !counted && (
          <NumberField
            label="All together, of the mix"
            symbol="%"
            width={190}
            value={draft.strengthPercent}
            error={errors.find((e) => e.field === "strengthPercent")}
            onChange={(v) => v !== null && onChange({ ...draft, strengthPercent: v })}
          />
        )}
      </Box>
      {counted && (
        <CountedRecipe
          colour={draft}
          jars={shelf.colourants.map((c) => c.colourant)}
          onChange={(recipe) => onChange({ ...draft, recipe })}
        />
      )}
      {(counted ? [] : draft.recipe).map((part, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`Part ${i + 1} of the recipe`}
          sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}
        >
          <NumberField
            label={inParts ? "Parts" : "Of the whole mix"}
            {...(inParts ? {} : { symbol: "%" })}
            width={150}
            value={part[amount]}
            error={errors.find((e) => e.field === `recipe[${i}].${amount}`)}
            onChange={(v) => v !== null && onChange(setAt(draft, `recipe[${i}].${amount}`, v))}
          />
          <TextField
            select
            label="is"
            value={
              shelf.colourants.some((c) => c.colourant.id === part.colourantId)
                ? part.colourantId
                : ""
            }
            onChange={(e) => onChange(setAt(draft, `recipe[${i}].colourantId`, e.target.value))}
            sx={{ width: 240 }}
          >
            {shelf.colourants.map((c) => (
              <MenuItem key={c.colourant.id} value={c.colourant.id}>
                {c.colourant.name}
              </MenuItem>
            ))}
          </TextField>
          <Button
            onClick={() => onChange({ ...draft, recipe: draft.recipe.filter((_, n) => n !== i) })}
          >
            Remove
          </Button>
        </Box>
      ))}
      {general && <Box sx={{ color: "error.main" }}>{general.message}</Box>}
      {shelf.colourants.length === 0 ? (
        <Box>A recipe needs a jar: put a colourant on the shelf first.</Box>
      ) : counted ? null : (
        <Box>
          <Button
            onClick={() =>
              onChange({
                ...draft,
                recipe: [
                  ...draft.recipe,
                  { colourantId: shelf.colourants[0]?.colourant.id ?? "", [amount]: 1 },
                ],
              })
            }
          >
            + a colourant
          </Button>
        </Box>
      )}
      <GoesWith swatch={draft.swatch} />
      <Box sx={{ color: "text.secondary" }}>
        Begin low: nothing can be taken out again. The cured colour differs from the wet one.
      </Box>
    </Box>
  );
}

function strongest(colour: Colour, shelf: ShelfView): Colourant | undefined {
  const share = (part: Colour["recipe"][number]) => part.percentOfMix ?? part.parts ?? 0;
  const [first] = colour.recipe.toSorted((a, b) => share(b) - share(a));
  return shelf.colourants.find((c) => c.colourant.id === first?.colourantId)?.colourant;
}

/** The same recipe in parts: each share is as many parts, their sum is the strength. */
function inPartsOf(draft: Colour): Colour {
  const all = draft.recipe.reduce((sum, p) => sum + (p.percentOfMix ?? 0), 0);
  return {
    ...draft,
    strengthPercent: all > 0 ? all : 1,
    recipe: draft.recipe.map((p) => ({ colourantId: p.colourantId, parts: p.percentOfMix ?? 1 })),
  };
}

/** The same recipe in shares of the mix. */
function inShares(draft: Colour): Colour {
  const all = draft.recipe.reduce((sum, p) => sum + (p.parts ?? 0), 0);
  const strength = draft.strengthPercent ?? 1;
  return {
    id: draft.id,
    name: draft.name,
    swatch: draft.swatch,
    recipe: draft.recipe.map((p) => ({
      colourantId: p.colourantId,
      percentOfMix: all > 0 ? (strength * (p.parts ?? 0)) / all : 1,
    })),
  };
}
