import { useState } from "react";
import type { CupStays, Trouble } from "../api/client";
import { useBehindStays, useLearnedStays, usePlanWithStays } from "../api/queries";
import { EveningsBehind } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { useUnits } from "../units/UnitsProvider";
import { staysText } from "../words/learned";
import { LearnedList } from "./LearnedList";

/** What really stays in cups, beside what was reckoned; planned with only when the maker says so. */
export function LearnedStays() {
  const units = useUnits();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const planWith = usePlanWithStays(setTrouble);
  return (
    <Fetched query={useLearnedStays()} loading="Reading the cups…">
      {(kinds) => (
        <LearnedList
          title="Your cups"
          none="Nothing yet. Pour a cup out, weigh it and tell its evening’s page: after three evenings this says what really stays in it."
          before="As reckoned"
          trouble={trouble}
          rows={kinds.map((kind) => ({
            key: kind.kindId,
            ...staysText(kind, units),
            enough: kind.learned.enough,
            taken: kind.taken !== undefined,
            onPlan: (learned) => planWith(kind, learned),
            behind: () => <Behind kind={kind} />,
          }))}
        />
      )}
    </Fetched>
  );
}

function Behind({ kind }: { kind: CupStays }) {
  return <EveningsBehind query={useBehindStays(kind.kindId)} of="stays" />;
}
