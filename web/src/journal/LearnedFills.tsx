import { useState } from "react";
import type { MouldFill, Trouble } from "../api/client";
import { useBehindFill, useLearnedFills, usePlanWithFill } from "../api/queries";
import { EveningsBehind } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { useUnits } from "../units/UnitsProvider";
import { fillText } from "../words/learned";
import { LearnedList } from "./LearnedList";

/** What moulds really take, beside what they were measured to; planned with only when the maker says so. */
export function LearnedFills() {
  const units = useUnits();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const planWith = usePlanWithFill(setTrouble);
  return (
    <Fetched query={useLearnedFills()} loading="Reading the pours…">
      {(fills) => (
        <LearnedList
          title="Your moulds"
          none="Nothing yet. Pour to the rim by eye and weigh what went in: after three evenings this says what a mould really takes. A pour that stops at the scale’s figure teaches nothing."
          before="As measured"
          trouble={trouble}
          rows={fills.map((fill) => ({
            key: `${fill.mouldId} ${fill.cavityId}`,
            ...fillText(fill, units),
            enough: fill.learned.enough,
            taken: fill.taken !== undefined,
            onPlan: (learned) => planWith(fill, learned),
            behind: () => <Behind fill={fill} />,
          }))}
        />
      )}
    </Fetched>
  );
}

function Behind({ fill }: { fill: MouldFill }) {
  return <EveningsBehind query={useBehindFill(fill.mouldId, fill.cavityId)} of="fill" />;
}
