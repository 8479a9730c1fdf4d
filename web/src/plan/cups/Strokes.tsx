import type { Batch, Session } from "../../api/client";
import { useStepCards } from "../../api/asking";
import { ofBatch } from "../../session/place";
import { useUnits } from "../../units/UnitsProvider";
import { ringsWords, sayWords } from "../../words/says";

/** A and B by whole strokes of their pumps, or by the rings of their cup. */
export function Strokes({ batch, session }: { batch: Batch; session: Session }) {
  const units = useUnits();
  const cards = useStepCards(session);
  const says = ["WEIGH_FIRST", "WEIGH_SECOND"].flatMap(
    (step) => cards.get(`${ofBatch(batch.number)}/${step}`)?.says ?? [],
  );
  const pumped = says
    .filter((say) => say.code === "PUMPED")
    .map((say) => sayWords(say, units, String));
  const rings = ringsWords(says);
  const lines = rings === null ? pumped : [...pumped, rings];
  return lines.length > 0 && <div>{lines.join(" ")}</div>;
}
