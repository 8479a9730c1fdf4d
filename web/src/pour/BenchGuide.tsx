import Button from "@mui/material/Button";
import { GuidePanel } from "../ui/GuidePanel";
import { Over } from "./Over";

/** What the bench is for and its keys, over it until it is closed; the clocks go on. */
export function BenchGuide({ onClose }: { onClose: () => void }) {
  return (
    <Over label="Guide to the bench" onClose={onClose}>
      <GuidePanel room="pour" onClose={onClose} />
      <Button
        variant="contained"
        onClick={onClose}
        sx={{ minHeight: 96, fontSize: "1.5rem", mt: "auto" }}
      >
        Back to the step
      </Button>
    </Over>
  );
}
