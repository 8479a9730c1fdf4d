import Box from "@mui/material/Box";
import type { Session, Workshop } from "../../api/client";
import { emptyCavities } from "../../session/pieces";

/** Small cavities of a tray get overlooked when the cups run out: those that stay empty are told. */
export function StayEmpty({ session, shelf }: { session: Session; shelf: Required<Workshop> }) {
  const empty = emptyCavities(session, shelf.moulds);
  if (empty.length === 0) {
    return null;
  }
  return (
    <Box role="note" sx={{ color: "text.secondary", fontSize: "0.93rem", mt: 0.75 }}>
      {empty
        .map(
          (e) =>
            `${e.count} × ${e.cavity} of ${e.mould} ${e.count === 1 ? "stays" : "stay"} empty.`,
        )
        .join(" ")}
    </Box>
  );
}
