import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { SurfaceWork } from "../../api/client";
import { useSwatches } from "../../api/queries";
import { patchText } from "../../words/swatches";

interface Props {
  step: SurfaceWork;
  onChange: (step: SurfaceWork) => void;
}

/** Most are of other work; the latest are wanted first. */
const MOST = 4;

/** Patches of the swatch book that this work can go by; nothing once it goes by one. */
export function KeptPatches({ step, onChange }: Props) {
  const { data } = useSwatches();
  const patches = (data?.chips ?? [])
    .filter((view) => view.chip.wall)
    .toSorted((a, b) => b.chip.madeOn.localeCompare(a.chip.madeOn))
    .slice(0, MOST);
  if (step.patch || patches.length === 0) {
    return null;
  }
  return (
    <Box
      role="group"
      aria-label="Patches in the swatch book"
      sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, alignItems: "center" }}
    >
      In the swatch book:
      {patches.map(({ chip }) => (
        <Button key={chip.id} onClick={() => onChange({ ...step, patch: patchText(chip) })}>
          {patchText(chip)}
        </Button>
      ))}
    </Box>
  );
}
