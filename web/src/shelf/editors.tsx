import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import {
  api,
  ask,
  errorsUnder,
  type Colour,
  type Colourant,
  type CupKind,
  type Embed,
  type FieldError,
  type Resin,
  type ResinPart,
  type ResinView,
  type ShelfView,
  type Design,
  type Tool,
} from "../api/client";
import { Fields } from "../form/Fields";
import { setAt } from "../form/path";
import { WrongMark } from "../frame/Told";
import { refusalText } from "../practice/wording";
import { NumberField } from "../units/NumberField";
import { useUnits } from "../units/UnitsProvider";
import { liquid, UNSEEN, type Material } from "./kinds";
import { LABEL_TABLES, LabelRows } from "./LabelRows";
import { ResinClock } from "./ResinClock";
import {
  CHIP_SPECS,
  COLOUR_SPECS,
  COLOURANT_SPECS,
  CUP_HAVE,
  CUP_SPECS,
  EMBED_SPECS,
  LOT_SPECS,
  PART_SPECS,
  RESIN_GROUPS,
  toolSpecs,
} from "./specs";
import { cupText, labelDoubt } from "./wording";

export interface EditorProps<T extends Material> {
  draft: T;
  errors: FieldError[];
  shelf: ShelfView;
  onChange: (draft: T) => void;
}

const WAIT_MS = 250;

/** A label copied down, held against itself while it is typed. */
export function ResinEditor({ draft, errors, shelf, onChange }: EditorProps<Resin>) {
  const units = useUnits();
  const [view, setView] = useState<ResinView | null>(null);
  useEffect(() => {
    let here = true;
    const timer = setTimeout(() => {
      // A label that is not complete yet has nothing to be held against.
      void ask(
        api.POST("/api/resins/check", { body: { ...draft, name: draft.name || "this label" } }),
      ).then((answer) => {
        if (here && answer.status === "ok") {
          setView(answer.value);
        }
      });
    }, WAIT_MS);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [draft]);
  const bottles = (side: "A" | "B") => shelf.parts.filter((p) => p.side === side);
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      {view && view.doubts.length > 0 && (
        <Box role="status" aria-label="Label check" sx={{ display: "grid", gap: 0.75 }}>
          <b>The label against itself</b>
          {view.doubts.map((doubt) => (
            <Box key={doubt.kind} sx={{ display: "flex", gap: 1, color: "error.main" }}>
              <WrongMark />
              <span>{labelDoubt(doubt, units)}</span>
            </Box>
          ))}
        </Box>
      )}
      {view && view.doubts.length === 0 && (
        <Box role="status" aria-label="Label check" sx={{ color: "text.secondary" }}>
          Nothing on this label contradicts the rest of it.
        </Box>
      )}
      {view && view.refusals.length > 0 && (
        <Box role="status" aria-label="What the cure engine makes of it" sx={{ display: "grid" }}>
          <b>The label and the cure engine</b>
          {view.refusals.map((refusal) => (
            <Box key={refusal.why} sx={{ display: "flex", gap: 1, color: "error.main" }}>
              <WrongMark />
              <span>{refusalText(refusal)}</span>
            </Box>
          ))}
        </Box>
      )}
      {RESIN_GROUPS.map((group) => (
        <Box key={group.title} role="group" aria-label={group.title}>
          <Typography variant="h3" sx={{ mb: 1.25 }}>
            {group.title}
          </Typography>
          <Fields specs={group.specs} draft={draft} errors={errors} onChange={onChange} />
          {group.table && (
            <LabelRows
              table={LABEL_TABLES[group.table]}
              draft={draft}
              errors={errors}
              onChange={onChange}
            />
          )}
        </Box>
      ))}
      {view?.clock && <ResinClock clock={view.clock} />}
      <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap" }}>
        {(["A", "B"] as const).map((side) => (
          <TextField
            key={side}
            select
            label={`Its bottle of ${side}`}
            value={draft[`part${side}Id`] ?? ""}
            onChange={(e) => onChange(setAt(draft, `part${side}Id`, e.target.value))}
            sx={{ width: 240 }}
            slotProps={{ select: { displayEmpty: true } }}
          >
            <MenuItem value="">not kept on the shelf</MenuItem>
            {bottles(side).map((p) => (
              <MenuItem key={p.id} value={p.id}>
                {p.name}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
      {view && (
        <Box sx={{ color: "text.secondary", fontSize: "0.92rem" }}>
          What the label leaves out is taken as: A {view.densityA.value} and B {view.densityB.value}{" "}
          g/mL
          {view.densityA.origin === "ASSUMED" || view.densityB.origin === "ASSUMED"
            ? " (assumed where not given)"
            : ""}
          , mixed {view.mixedDensity.toFixed(3)} g/mL; pot life {view.potLifeMinutes.value} min for{" "}
          {view.potLifeMassG.value} g at {view.potLifeTemperatureC.value} °C
          {[view.potLifeMinutes, view.potLifeMassG, view.potLifeTemperatureC].some(
            (k) => k.origin === "ASSUMED",
          )
            ? " (assumed in part)"
            : ""}
          . Every plan says which of these it used.
        </Box>
      )}
      {draft.kind === "COATING" && (
        <Box>A piece cast in a coating resin may bend, more when warm, and stay so for months.</Box>
      )}
    </Box>
  );
}

export function PartEditor({ draft, errors, onChange }: EditorProps<ResinPart>) {
  const lots = draft.lots ?? [];
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Fields specs={PART_SPECS} draft={draft} errors={errors} onChange={onChange} />
      {lots.map((lot, i) => (
        <Box key={i} sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          <Fields
            label={`Lot ${i + 1}`}
            specs={LOT_SPECS}
            draft={lot}
            errors={errorsUnder(errors, `lots[${i}]`)}
            onChange={(next) =>
              onChange({ ...draft, lots: lots.map((l, n) => (n === i ? next : l)) })
            }
          />
          <Button onClick={() => onChange({ ...draft, lots: lots.filter((_, n) => n !== i) })}>
            Remove
          </Button>
        </Box>
      ))}
      <Box>
        <Button
          onClick={() =>
            onChange({ ...draft, lots: [...lots, { code: `lot ${lots.length + 1}` }] })
          }
        >
          + a lot
        </Button>
      </Box>
      <Box sx={{ color: "text.secondary" }}>
        Use the oldest opened bottle first. One A may go with a slow and with a brisk B: make two
        resins of them.
      </Box>
    </Box>
  );
}

export function ColourantEditor({ draft, errors, onChange }: EditorProps<Colourant>) {
  const what = liquid(draft) ? "drops" : "scoops";
  const weighed = draft.shelf?.weighed;
  const weighings = weighed?.weighingsG ?? [];
  const [each, setEach] = useState<{ eachG: number; spread: number } | null>(null);
  useEffect(() => {
    let here = true;
    const asked = weighed && weighed.weighingsG.length > 0 ? weighed : null;
    const answered = asked
      ? ask(api.POST("/api/colourants/weigh", { body: asked })).then((answer) =>
          answer.status === "ok" ? answer.value : null,
        )
      : Promise.resolve(null);
    void answered.then((value) => here && setEach(value));
    return () => {
      here = false;
    };
  }, [weighed]);
  const setWeighings = (list: number[]) =>
    onChange(
      list.length === 0
        ? setAt(draft, "shelf.weighed", null)
        : setAt(draft, "shelf.weighed", {
            count: weighed?.count ?? (liquid(draft) ? 20 : 5),
            weighingsG: list,
          }),
    );
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Fields specs={COLOURANT_SPECS} draft={draft} errors={errors} onChange={onChange} />
      <Box role="group" aria-label={`Weigh ${what}`} sx={{ display: "grid", gap: 1.25 }}>
        <Typography variant="h3">What one of its {what} weighs</Typography>
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start" }}>
          {weighings.length > 0 && (
            <NumberField
              label={`${what} each time`}
              value={weighed?.count}
              onChange={(v) => v !== null && onChange(setAt(draft, "shelf.weighed.count", v))}
              error={errors.find((e) => e.field === "shelf.weighed.count")}
            />
          )}
          {weighings.map((g, i) => (
            <NumberField
              key={i}
              label={`Weighing ${i + 1}`}
              symbol="g"
              value={g}
              onChange={(v) =>
                v !== null && setWeighings(weighings.map((w, n) => (n === i ? v : w)))
              }
              error={errors.find((e) => e.field === `shelf.weighed.weighingsG[${i}]`)}
            />
          ))}
          <Button
            onClick={() =>
              setWeighings([...weighings, weighings.at(-1) ?? (liquid(draft) ? 0.7 : 1)])
            }
          >
            + a weighing
          </Button>
          {weighings.length > 0 && (
            <Button onClick={() => setWeighings(weighings.slice(0, -1))}>Remove the last</Button>
          )}
        </Box>
        {each && (
          <Box aria-live="polite" sx={{ fontSize: "1.2rem", fontWeight: 600 }}>
            {(each.eachG * 1000).toFixed(1)} mg each, ± {(each.spread * 100).toFixed(0)} %
          </Box>
        )}
        <Box sx={{ color: "text.secondary" }}>
          {liquid(draft)
            ? "Shake it, set the scale to zero, count twenty drops; do it three times. Droppers differ threefold."
            : "Level scoops, five at a time, three times, with the scoop that stays with this jar."}
        </Box>
      </Box>
      <Box role="group" aria-label="A cured chip on white and on black">
        {draft.shelf?.swatches ? (
          <>
            <Fields
              specs={CHIP_SPECS}
              draft={draft.shelf.swatches}
              errors={errorsUnder(errors, "shelf.swatches")}
              onChange={(swatches) => onChange(setAt(draft, "shelf.swatches", swatches))}
            />
            <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
              <Box sx={{ color: "text.secondary", flex: "1 1 300px" }}>
                Both in the same light; then the look of every layer with this jar is worked out
                from the chip instead of guessed.
              </Box>
              <Button onClick={() => onChange(setAt(draft, "shelf.swatches", null))}>
                Take the chip away
              </Button>
            </Box>
          </>
        ) : (
          <Button
            onClick={() =>
              onChange(
                setAt(draft, "shelf.swatches", {
                  percentOfMix: 1,
                  thicknessMm: 3,
                  overWhite: draft.swatch,
                  overBlack: "#101010",
                  white: "#ffffff",
                  black: "#000000",
                }),
              )
            }
          >
            + a cured chip, seen on white and on black
          </Button>
        )}
      </Box>
      {draft.form === "ACRYLIC_PAINT" && (
        <Box>Water-based paint can spoil the cure: at most a tenth, and try it first.</Box>
      )}
    </Box>
  );
}

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
  const inParts = draft.strengthPercent !== undefined && draft.strengthPercent !== null;
  const amount = inParts ? "parts" : "percentOfMix";
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Fields specs={COLOUR_SPECS} draft={draft} errors={errors} onChange={onChange} />
      <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start" }}>
        <TextField
          select
          label="Recipe"
          value={inParts ? "parts" : "shares"}
          onChange={(e) =>
            onChange(e.target.value === "parts" ? inPartsOf(draft) : inShares(draft))
          }
          sx={{ width: 230 }}
        >
          <MenuItem value="shares">shares of the whole mix</MenuItem>
          <MenuItem value="parts">parts beside each other</MenuItem>
        </TextField>
        {inParts && (
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
      {draft.recipe.map((part, i) => (
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
      ) : (
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

export function EmbedEditor({ draft, errors, onChange }: EditorProps<Embed>) {
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      <Fields specs={EMBED_SPECS} draft={draft} errors={errors} onChange={onChange} />
      <Box sx={{ color: "text.secondary" }}>
        Two of weight, volume and density are enough. For the volume, see how far water rises in a
        narrow marked cup with ten of them in it, and take a tenth.
      </Box>
    </Box>
  );
}

export function CupEditor({ draft, errors, onChange }: EditorProps<CupKind>) {
  const words = cupText(draft.material);
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      <Fields specs={[...CUP_SPECS, CUP_HAVE]} draft={draft} errors={errors} onChange={onChange} />
      {words && <Box>{words}</Box>}
    </Box>
  );
}

export function ToolEditor({ draft, errors, onChange }: EditorProps<Tool>) {
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      <Fields specs={toolSpecs(draft.kind)} draft={draft} errors={errors} onChange={onChange} />
      {draft.kind === "PRESSURE_POT" && (
        <Box>
          Below its rating, with a relief valve; the lid tightened crosswise; emptied before it is
          opened. Local rules come first.
        </Box>
      )}
    </Box>
  );
}

/** Its layers are drawn on a mould, in a session; here it is only named. */
export function DesignEditor({ draft, errors, onChange }: EditorProps<Design>) {
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      <Fields
        specs={[{ path: "name", label: "Name", kind: "text", needed: true, width: 240 }]}
        draft={draft}
        errors={errors}
        onChange={onChange}
      />
      <Box sx={{ color: "text.secondary" }}>
        A design is drawn on a mould in a session, and kept from there. It is poured in any other by
        that mould’s own depth.
      </Box>
    </Box>
  );
}
