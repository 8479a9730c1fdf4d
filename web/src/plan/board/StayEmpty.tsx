import Box from "@mui/material/Box";
import type { Session, Workshop } from "../../api/client";
import { useMoulds } from "../../api/queries";
import { CavitySection } from "../../drawing/CavitySection";
import { boardScale } from "../../drawing/boardScale";
import { type EmptyCavities, emptyCavities } from "../../session/pieces";

const SMALL = { widest: 60, tallest: 36, flattest: 10 };

/** Small cavities of a tray get overlooked when the cups run out: those that stay empty are told. */
export function StayEmpty({ session, shelf }: { session: Session; shelf: Required<Workshop> }) {
  const empty = emptyCavities(session, shelf.moulds);
  return empty.length === 0 ? null : (
    <Box
      component="ul"
      aria-label="Stays empty"
      sx={{
        listStyle: "none",
        display: "flex",
        flexWrap: "wrap",
        gap: 1.5,
        m: 0,
        p: 0,
        color: "text.secondary",
        fontSize: "0.93rem",
      }}
    >
      {empty.map((e) => (
        <Box
          component="li"
          key={`${e.mouldId} ${e.cavityId}`}
          sx={{ display: "flex", gap: 1, alignItems: "center" }}
        >
          <Drawn cavity={e} />
          {e.count} × {e.cavity} of {e.mould} {e.count === 1 ? "stays" : "stay"} empty.
        </Box>
      ))}
    </Box>
  );
}

/** The cavity with nothing in it; nothing until the moulds are here. */
function Drawn({ cavity }: { cavity: EmptyCavities }) {
  const view = useMoulds()
    .data?.find((m) => m.mould.id === cavity.mouldId)
    ?.cavities.find((c) => c.id === cavity.cavityId);
  if (!view || view.section.length < 2) {
    return null;
  }
  const widthMm =
    Math.max(...view.section.map((r) => r.rightMm)) -
    Math.min(...view.section.map((r) => r.leftMm));
  const scale = boardScale([{ widthMm, depthMm: view.depthMm }], SMALL);
  return (
    <CavitySection
      section={view.section}
      pxPerMm={scale.pxPerMm}
      heights={scale.heights}
      assumed={view.depthAssumed}
      wall={5}
      label={`${cavity.cavity}, empty`}
    />
  );
}
