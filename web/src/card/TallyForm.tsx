import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useTally } from "../api/asking";
import type { AddedColour, Cup, Session } from "../api/client";
import { LoadingBar } from "../drawing/LoadingBar";
import { LookSwatches, lookText } from "../drawing/LookSwatches";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { limitText, loadingText } from "../words/loading";

const UNITS = {
  DROP: ["drop", "drops"],
  QUARTER_SCOOP: ["quarter scoop", "quarter scoops"],
} as const;

/** "A bit more": counts what is stirred in beyond the plan, against the limits. */
export function TallyForm({ session, cup, name }: { session: Session; cup: Cup; name: string }) {
  const units = useUnits();
  const [added, setAdded] = useState<AddedColour[]>([]);
  const { answer: tally, trouble } = useTally(session, cup.id, added);
  if (trouble) {
    return <Told trouble={trouble} />;
  }
  if (!tally) {
    return null;
  }
  const count = (id: string) => added.find((a) => a.colourantId === id)?.counted ?? 0;
  const set = (id: string, counted: number) =>
    setAdded([
      ...added.filter((a) => a.colourantId !== id),
      ...(counted > 0 ? [{ colourantId: id, counted }] : []),
    ]);
  const nearest = tally.loading[0];
  return (
    <Box
      role="group"
      aria-label={`A bit more in ${name}`}
      sx={{ mt: 1.5, "@media print": { display: "none" } }}
    >
      <Box sx={{ fontWeight: 600 }}>A bit more?</Box>
      {tally.doses.map((dose) => {
        const [one, many] = UNITS[dose.unit];
        const left = dose.moreCounted;
        return (
          <Box
            key={dose.colourantId}
            sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", mt: 0.5 }}
          >
            <Button
              variant="outlined"
              sx={{ minHeight: 64, minWidth: 64, fontSize: "1.4rem" }}
              aria-label={`One ${one} of ${dose.colourantName} more`}
              onClick={() => set(dose.colourantId, count(dose.colourantId) + 1)}
            >
              +
            </Button>
            <Button
              sx={{ minHeight: 64, minWidth: 64, fontSize: "1.4rem" }}
              aria-label={`One ${one} of ${dose.colourantName} fewer`}
              disabled={count(dose.colourantId) === 0}
              onClick={() => set(dose.colourantId, count(dose.colourantId) - 1)}
            >
              −
            </Button>
            <Box sx={{ flex: "1 1 220px" }}>
              <b>
                {dose.counted > 0
                  ? `${dose.counted} ${dose.counted === 1 ? one : many} more`
                  : "as planned"}
              </b>
              , {dose.colourantName}: {showWith(units.MASS, dose.massG, 2)} in all.{" "}
              <Box component="span" sx={{ color: "text.secondary" }}>
                {left === undefined
                  ? "Nothing limits it."
                  : left < 0
                    ? "Over the limit."
                    : left === 0
                      ? "No more of it."
                      : `${left} ${left === 1 ? one : many} left to the limit.`}
              </Box>
            </Box>
          </Box>
        );
      })}
      <Box aria-live="polite" sx={{ mt: 1 }}>
        {nearest && (
          <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
            <Box>
              <LoadingBar share={nearest.percent / nearest.limitPercent} />
            </Box>
            <Box sx={{ color: tally.overLimit ? "error.main" : undefined }}>
              {tally.overLimit && <b>Too much: </b>}
              {loadingText(nearest)}, {limitText(nearest)}
              {tally.overLimit &&
                ". Nothing can be taken out again; resin mixed on top of it would bring it back."}
            </Box>
          </Box>
        )}
        {tally.overfullMl > 0 && (
          <Box sx={{ color: "error.main" }}>
            That is {showWith(units.VOLUME, tally.overfullMl)} more than the cup holds.
          </Box>
        )}
        {tally.look && (
          <Box sx={{ mt: 0.5 }}>
            <LookSwatches look={tally.look} size={32} /> {lookText(tally.look)}
          </Box>
        )}
      </Box>
    </Box>
  );
}
