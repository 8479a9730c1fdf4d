import Box from "@mui/material/Box";
import { usePlansHeld } from "../api/queries";
import { later } from "../ui/later";
import { heldText, leftText, sureText } from "../words/journal";

const PlansPlot = later(() => import("./PlansPlot").then((m) => m.PlansPlot));

/** How good the plans were: in sentences, and drawn. */
export function HowGood() {
  const plans = usePlansHeld().data;
  if (!plans || plans.held.pours === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="How good were the plans?" sx={{ display: "grid", gap: 1 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        How good were the plans?
      </Box>
      <Box>{heldText(plans.held)}</Box>
      {plans.left && <Box>{leftText(plans.left)}</Box>}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {plans.sure.map((group) => (
          <li key={group.fromPercent}>{sureText(group)}</li>
        ))}
      </Box>
      {plans.latest.length > 0 && <PlansPlot latest={plans.latest} />}
    </Box>
  );
}
