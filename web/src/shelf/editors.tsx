import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useLabelCheck } from "../api/asking";
import {
  type CupKind,
  type Design,
  type Embed,
  errorsUnder,
  type FieldError,
  type Resin,
  type ResinPart,
  type ShelfView,
  type Tool,
} from "../api/client";
import { Fields } from "../ui/Fields";
import { WrongMark } from "../ui/Told";
import { setAt } from "../ui/path";
import { useUnits } from "../units/UnitsProvider";
import { refusalText } from "../words/cure";
import { cupText, labelDoubt } from "../words/shelf";
import { LABEL_TABLES, LabelRows } from "./LabelRows";
import { ResinClock } from "./ResinClock";
import type { Material } from "./kinds";
import {
  CUP_HAVE,
  CUP_SPECS,
  EMBED_SPECS,
  LOT_SPECS,
  PART_SPECS,
  RESIN_GROUPS,
  toolSpecs,
} from "./specs";

export interface EditorProps<T extends Material> {
  draft: T;
  errors: FieldError[];
  shelf: ShelfView;
  onChange: (draft: T) => void;
}

/** A label copied down, held against itself while it is typed. */
export function ResinEditor({ draft, errors, shelf, onChange }: EditorProps<Resin>) {
  const units = useUnits();
  // A label that is not complete yet has nothing to be held against.
  const view = useLabelCheck(draft).answer;
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
        <Box role="status" aria-label="What follows from the label" sx={{ display: "grid" }}>
          <b>What follows from the label</b>
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
