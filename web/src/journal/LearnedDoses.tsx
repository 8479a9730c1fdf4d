import { useState } from "react";
import type { CountedDose, Trouble } from "../api/client";
import { useBehindDoses, useLearnedDoses, usePlanWithDoses } from "../api/queries";
import { EveningsBehind } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { useUnits } from "../units/UnitsProvider";
import { doseText } from "../words/learned";
import { LearnedList } from "./LearnedList";

/** What a drop or scoop really weighs; planned with only when the maker says so. */
export function LearnedDoses() {
  const units = useUnits();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const planWith = usePlanWithDoses(setTrouble);
  return (
    <Fetched query={useLearnedDoses()} loading="Reading the doses…">
      {(doses) => (
        <LearnedList
          title="Your drops and scoops"
          none="Nothing yet. Weigh what you count into a cup, at the bench: after three evenings this says what your drop or scoop is."
          before="As told"
          trouble={trouble}
          rows={doses.map((dose) => ({
            key: dose.colourantId,
            ...doseText(dose, units),
            enough: dose.learned.enough,
            taken: dose.taken !== undefined,
            onPlan: (learned) => planWith(dose, learned),
            behind: () => <Behind dose={dose} />,
          }))}
        />
      )}
    </Fetched>
  );
}

function Behind({ dose }: { dose: CountedDose }) {
  return <EveningsBehind query={useBehindDoses(dose.colourantId)} of="doses" />;
}
