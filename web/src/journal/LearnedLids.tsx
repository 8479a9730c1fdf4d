import { useState } from "react";
import type { LidSurplus, Trouble } from "../api/client";
import { useBehindLid, useLearnedLids, usePlanWithLid } from "../api/queries";
import { EveningsBehind } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { useUnits } from "../units/UnitsProvider";
import { lidText } from "../words/learned";
import { LearnedList } from "./LearnedList";

/** How much closed moulds are to be filled over by; planned with only when the maker says so. */
export function LearnedLids() {
  const units = useUnits();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const planWith = usePlanWithLid(setTrouble);
  return (
    <Fetched query={useLearnedLids()} loading="Reading the lids…">
      {(lids) => (
        <LearnedList
          title="Your closed moulds"
          none="Nothing yet. Weigh what a lid squeezed out, at the bench: after three evenings this says how much to fill its mould over."
          before="As assumed"
          trouble={trouble}
          rows={lids.map((lid) => ({
            key: lid.mouldId,
            ...lidText(lid, units),
            enough: lid.learned.enough,
            taken: lid.taken,
            onPlan: (learned) => planWith(lid, learned),
            behind: () => <Behind lid={lid} />,
          }))}
        />
      )}
    </Fetched>
  );
}

function Behind({ lid }: { lid: LidSurplus }) {
  return <EveningsBehind query={useBehindLid(lid.mouldId)} of="lid" />;
}
