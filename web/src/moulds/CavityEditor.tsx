import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useMeasured } from "../api/asking";
import { type Cavity, errorsUnder, type FieldError } from "../api/client";
import { Fields, type FieldSpec } from "../ui/Fields";
import { Told } from "../ui/Told";
import { CavityFigures } from "./CavityFigures";
import { InnerFields } from "./InnerFields";
import { MeasureForm } from "./MeasureForm";

interface Props {
  cavity: Cavity;
  errors: FieldError[];
  /** Whether it is the mould's only kind of cavity; then it needs no name of its own. */
  only: boolean;
  startOpen: boolean;
  onChange: (cavity: Cavity) => void;
  onRemove: () => void;
}

const NAME: FieldSpec[] = [
  { path: "name", label: "This cavity is the", kind: "text", needed: true, width: 190 },
  { path: "count", label: "How many of it", kind: "number", needed: true, width: 125 },
];
const BED: FieldSpec[] = [
  {
    path: "bulkMl",
    label: "Room it takes as it lies",
    kind: "number",
    quantity: "VOLUME",
    needed: true,
    width: 190,
  },
  { path: "massG", label: "Weighs", kind: "number", quantity: "MASS", needed: true },
  { path: "density", label: "Density, if known", kind: "number", symbol: "g/mL", width: 160 },
];

/** One cavity: its section to scale, what it holds, and how that is known. */
export function CavityEditor({ cavity, errors, only, startOpen, onChange, onRemove }: Props) {
  const [open, setOpen] = useState(startOpen);
  const { answer, trouble } = useMeasured(cavity);
  const all = [...errors, ...(trouble?.errors ?? [])];
  const { inner, bed } = cavity;
  const drawn = answer && answer.section.length > 1 ? answer : null;
  return (
    <Box
      component="section"
      aria-label={cavity.name}
      sx={{
        display: "grid",
        gap: 2,
      }}
    >
      <Box sx={{ opacity: trouble ? 0.45 : 1, minWidth: 0, overflowX: "auto" }}>
        {drawn ? (
          <CavityFigures
            name={cavity.name}
            method={cavity.measure.method}
            answer={drawn}
            own={cavity.own}
          />
        ) : (
          <Box role="status" sx={{ color: "text.secondary", py: 4 }}>
            {trouble ? "The drawing follows as soon as the figures fit." : "Drawing…"}
          </Box>
        )}
      </Box>
      <Box sx={{ display: "grid", gap: 1.75, alignContent: "start", minWidth: 0 }}>
        {!only && (
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
            <Fields specs={NAME} draft={cavity} errors={all} onChange={onChange} />
            <Button onClick={onRemove}>Remove this cavity</Button>
          </Box>
        )}
        {trouble && trouble.errors.length === 0 && <Told trouble={trouble} />}
        {open ? (
          <>
            <MeasureForm cavity={cavity} errors={all} onChange={onChange} />
            <Box role="group" aria-label="Inner mould">
              <InnerFields
                inner={inner}
                errors={all}
                onChange={(next) =>
                  onChange(next ? { ...cavity, inner: next } : without(cavity, "inner"))
                }
              />
              {!bed && (
                <Button onClick={() => onChange({ ...cavity, bed: { bulkMl: 2, massG: 2 } })}>
                  + a bed of chips on the floor
                </Button>
              )}
            </Box>
            {bed && (
              <Box role="group" aria-label="Bed of chips" sx={{ display: "grid", gap: 1.5 }}>
                <b>Bed of chips, the resin runs in between</b>
                <Fields
                  specs={BED}
                  draft={bed}
                  errors={errorsUnder(all, "bed")}
                  onChange={(next) => onChange({ ...cavity, bed: next })}
                />
                <Box>
                  <Button onClick={() => onChange(without(cavity, "bed"))}>No bed</Button>
                </Box>
              </Box>
            )}
          </>
        ) : (
          <Box>
            <Button variant="outlined" onClick={() => setOpen(true)}>
              {only ? "Measure again" : `Measure the ${cavity.name.toLowerCase()} again`}
            </Button>
          </Box>
        )}
      </Box>
    </Box>
  );
}

function without(cavity: Cavity, part: "inner" | "bed"): Cavity {
  return Object.fromEntries(Object.entries(cavity).filter(([key]) => key !== part)) as Cavity;
}
