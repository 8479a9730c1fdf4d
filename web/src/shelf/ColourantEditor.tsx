import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useWeighed } from "../api/asking";
import { type Colourant, errorsUnder } from "../api/client";
import { Fields } from "../ui/Fields";
import { NumberField } from "../ui/NumberField";
import { setAt } from "../ui/path";
import { EditorProps } from "./editors";
import { liquid } from "./kinds";
import { CHIP_SPECS, COLOURANT_SPECS } from "./specs";

export function ColourantEditor({ draft, errors, onChange }: EditorProps<Colourant>) {
  const what = liquid(draft) ? "drops" : "scoops";
  const weighed = draft.shelf?.weighed;
  const weighings = weighed?.weighingsG ?? [];
  const each = useWeighed(weighed);
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
