import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import {
  errorsUnder,
  type FieldError,
  type FinishStep,
  type PieceWork,
  type SurfaceWork,
  type TopCoat,
  type Workshop,
} from "../../api/client";
import { InnerFields } from "../../moulds/InnerFields";
import { Fields, type FieldSpec } from "../../ui/Fields";
import { leftOut } from "../../ui/path";
import { FINISH_WORDS, SURFACE_WORDS } from "../../words/tasks";
import { KeptPatches } from "./KeptPatches";

interface Props {
  work: PieceWork | undefined;
  shelf: Required<Workshop>;
  errors: FieldError[];
  at: string;
  onChange: (work: PieceWork) => void;
}

const NONE: PieceWork = { surface: [], finishing: [], bubbles: "USUAL", curing: "BENCH" };

const ABOUT: FieldSpec[] = [
  {
    path: "front",
    label: "Front",
    kind: "choice",
    choices: [
      ["FLOOR", "the floor of the mould"],
      ["OPEN", "the open side"],
    ],
    width: 225,
  },
  {
    path: "base",
    label: "Stands on",
    kind: "choice",
    choices: [
      ["FLOOR", "the floor of the mould"],
      ["OPEN", "the open side"],
    ],
    width: 225,
  },
  {
    path: "bubbles",
    label: "Bubbles matter",
    kind: "choice",
    needed: true,
    choices: [
      ["LITTLE", "little"],
      ["USUAL", "as usual"],
      ["MUCH", "much: every look"],
    ],
    width: 180,
  },
  {
    path: "curing",
    label: "Cures",
    kind: "choice",
    needed: true,
    choices: [
      ["BENCH", "on the bench"],
      ["PRESSURE_POT", "in the pressure pot"],
      ["HOT_BOX", "in the warm box"],
    ],
    width: 185,
  },
];

/** How far the mould is filled, where the topmost layer takes what room is left. */
function fillSpecs(kind: NonNullable<PieceWork["fill"]>["kind"] | undefined): FieldSpec[] {
  return [
    {
      path: "fill.kind",
      label: "Filled",
      kind: "choice",
      blank: "as usual here",
      choices: [
        ["FLUSH", "level with the rim"],
        ["DOMED", "to a dome"],
        ["SHORT", "short of the rim"],
      ],
      width: 175,
    },
    ...(kind === "DOMED"
      ? ([
          {
            path: "fill.mm",
            label: "High (1 mm or more if empty)",
            kind: "number",
            quantity: "LENGTH",
            width: 215,
          },
        ] as const)
      : kind === "SHORT"
        ? ([
            {
              path: "fill.mm",
              label: "Below the rim",
              kind: "number",
              quantity: "LENGTH",
              needed: true,
              width: 135,
            },
          ] as const)
        : []),
  ];
}

/** Another way of filling has another figure; none has none. */
function filled(before: PieceWork, next: PieceWork): PieceWork {
  if (next.fill?.kind === before.fill?.kind) {
    return next;
  }
  const kind = next.fill?.kind;
  return kind === undefined
    ? leftOut(next, "fill")
    : { ...next, fill: { kind, ...(kind === "SHORT" ? { mm: 1 } : {}) } };
}

const SURFACE: FieldSpec[] = [
  {
    path: "kind",
    label: "Inside the mould",
    kind: "choice",
    needed: true,
    choices: Object.entries(SURFACE_WORDS),
    width: 195,
  },
  { path: "minutes", label: "A cavity takes", kind: "number", symbol: "min", needed: true },
  { path: "dryingMinutes", label: "Dries for", kind: "number", symbol: "min", needed: true },
  { path: "with", label: "With", kind: "text", width: 180 },
  { path: "patch", label: "The patch that was tried", kind: "text", width: 230 },
];

const FINISHING: FieldSpec[] = [
  {
    path: "kind",
    label: "Afterwards",
    kind: "choice",
    needed: true,
    choices: Object.entries(FINISH_WORDS),
    width: 180,
  },
  { path: "minutes", label: "A piece takes", kind: "number", symbol: "min", needed: true },
  { path: "waitHours", label: "after a wait of", kind: "number", symbol: "h", needed: true },
  { path: "times", label: "Times", kind: "number", needed: true, width: 95 },
  { path: "with", label: "With", kind: "text", width: 180 },
];

/** Front and base, work before the pour, the coat, and what is done when it is out. */
export function PieceWorkEditor({ work, shelf, errors, at, onChange }: Props) {
  const [open, setOpen] = useState(work !== undefined);
  const now = { ...NONE, ...work };
  const surface = now.surface ?? [];
  const finishing = now.finishing ?? [];
  const under = (path: string) => errorsUnder(errors, path === "" ? at : `${at}.${path}`);
  const coat: FieldSpec[] = [
    {
      path: "colourId",
      label: "Top coat",
      kind: "choice",
      needed: true,
      choices: shelf.colours.map((c) => [c.id, c.name] as const),
      width: 130,
    },
    {
      path: "resinId",
      label: "in (the session’s if empty)",
      kind: "choice",
      choices: shelf.resins.map((r) => [r.id, r.name] as const),
      width: 240,
    },
    { path: "thicknessMm", label: "Thick", kind: "number", quantity: "LENGTH", needed: true },
    { path: "areaCm2", label: "Area (if other)", kind: "number", symbol: "cm²", width: 140 },
    { path: "edgesPercent", label: "Edges", kind: "number", symbol: "%", needed: true, width: 105 },
    {
      path: "dripPercent",
      label: "Runs off",
      kind: "number",
      symbol: "%",
      needed: true,
      width: 110,
    },
    {
      path: "side",
      label: "on",
      kind: "choice",
      needed: true,
      choices: [
        ["OPEN", "the open side"],
        ["FLOOR", "the side from the floor"],
      ],
      width: 195,
    },
  ];
  const usualCoat: TopCoat = {
    colourId: "clear",
    thicknessMm: 2,
    edgesPercent: 0,
    dripPercent: 0,
    side: "OPEN",
  };
  const add = (next: PieceWork) => {
    setOpen(true);
    onChange(next);
  };
  const keys = (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
      {!open && <Button onClick={() => setOpen(true)}>Front and base, before and after</Button>}
      <Button
        disabled={surface.length >= 6}
        onClick={() => add({ ...now, surface: [...surface, USUAL_SURFACE] })}
      >
        + surface work before
      </Button>
      {!now.topCoat && (
        <Button onClick={() => add({ ...now, topCoat: usualCoat })}>+ a top coat</Button>
      )}
      <Button
        disabled={finishing.length >= 10}
        onClick={() => add({ ...now, finishing: [...finishing, USUAL_FINISH] })}
      >
        + finishing after
      </Button>
    </Box>
  );
  if (!open) {
    return keys;
  }
  return (
    <Box component="section" aria-label="Before and after" sx={{ mt: 1.5 }}>
      <Fields
        label="Front, base, bubbles, curing"
        specs={[...ABOUT, ...fillSpecs(now.fill?.kind)]}
        draft={now}
        errors={under("")}
        onChange={(next) => onChange(filled(now, next))}
      />
      {now.curing === "PRESSURE_POT" && (
        <Box sx={{ color: "text.secondary", fontSize: "0.87rem", mt: 0.5 }}>
          The pot below its rating and with a relief valve, its lid tightened crosswise, emptied
          before it is opened; local rules come first. Nobody sees inside: a witness cup outside
          tells.
        </Box>
      )}
      {surface.map((step, i) => (
        <Row key={i} onRemove={() => onChange({ ...now, surface: without(surface, i) })}>
          <Fields
            label={`Surface work ${i + 1}`}
            specs={SURFACE}
            draft={step}
            errors={under(`surface[${i}]`)}
            onChange={(next) => onChange({ ...now, surface: put(surface, i, next) })}
          />
          <KeptPatches
            step={step}
            onChange={(next) => onChange({ ...now, surface: put(surface, i, next) })}
          />
        </Row>
      ))}
      {now.topCoat && (
        <Row
          onRemove={() => {
            onChange(leftOut(now, "topCoat"));
          }}
        >
          <Fields
            label="Top coat"
            specs={coat}
            draft={now.topCoat}
            errors={under("topCoat")}
            onChange={(topCoat) => onChange({ ...now, topCoat: topCoat })}
          />
        </Row>
      )}
      {finishing.map((step, i) => (
        <Row key={i} onRemove={() => onChange({ ...now, finishing: without(finishing, i) })}>
          <Fields
            label={`Finishing ${i + 1}`}
            specs={FINISHING}
            draft={step}
            errors={under(`finishing[${i}]`)}
            onChange={(next) => onChange({ ...now, finishing: put(finishing, i, next) })}
          />
        </Row>
      ))}
      <InnerFields
        inner={now.inner}
        errors={under("")}
        onChange={(inner) => onChange(inner ? { ...now, inner } : leftOut(now, "inner"))}
      />
      {keys}
    </Box>
  );
}

const USUAL_SURFACE: SurfaceWork = { kind: "DUST", minutes: 2, dryingMinutes: 0 };
const USUAL_FINISH: FinishStep = { kind: "TRIM_FLASH", minutes: 2, waitHours: 0, times: 1 };

function Row({ children, onRemove }: { children: React.ReactNode; onRemove: () => void }) {
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start", flexWrap: "wrap" }}>
      {children}
      <Button onClick={onRemove} sx={{ mt: 0.75 }}>
        Remove
      </Button>
    </Box>
  );
}

function put<T>(all: T[], index: number, next: T): T[] {
  return all.map((each, i) => (i === index ? next : each));
}

function without<T>(all: T[], index: number): T[] {
  return all.filter((_, i) => i !== index);
}
