import { useState } from "react";
import type { ResinPace, Trouble } from "../api/client";
import { useBehindPace, useLearnedPaces, usePlanWithPace } from "../api/queries";
import { EveningsBehind } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { paceText } from "../words/learned";
import { LearnedList } from "./LearnedList";

/** How slow or quick resins are here, beside their labels; planned with only when the maker says so. */
export function LearnedPaces() {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const planWith = usePlanWithPace(setTrouble);
  return (
    <Fetched query={useLearnedPaces()} loading="Reading the cure diaries…">
      {(paces) => (
        <LearnedList
          title="Your resins"
          none="Nothing yet. On the bench, or on an evening’s page, say how a cup or a piece is: after three evenings its own clock is shown here."
          before="As on the label"
          trouble={trouble}
          rows={paces.map((pace) => ({
            key: `${pace.resinId} ${pace.of}`,
            ...paceText(pace),
            enough: pace.learned.enough,
            taken: pace.taken !== undefined,
            onPlan: (learned) => planWith(pace, learned),
            behind: () => <Behind pace={pace} />,
          }))}
        />
      )}
    </Fetched>
  );
}

function Behind({ pace }: { pace: ResinPace }) {
  return <EveningsBehind query={useBehindPace(pace.resinId, pace.of)} of="pace" />;
}
