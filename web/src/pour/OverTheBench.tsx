import type { CupNow, Plan, RunState } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import type { SoonTold } from "../words/soon";
import { HotCup, Return, SteppedAway } from "./Overlays";
import { wakeSound } from "./sounds";
import type { useRun } from "./useRun";
import { WhichCup } from "./WhichCup";

interface Props {
  state: RunState;
  plan: Plan;
  now: number;
  /** What is lost unless somebody goes on; null for nothing. */
  soon: SoonTold | null;
  tell: ReturnType<typeof useRun>["tell"];
  returning: boolean;
  onReturning: (returning: boolean) => void;
  /** Cups that got hot and were not looked at yet. */
  hot: CupNow[];
  onSeenHot: () => void;
  /** Told which cup gets hot; null while nobody is asked. */
  asksHot: ((cupId: string) => void) | null;
  onAsked: () => void;
}

/** What lies over the step until it is answered. */
export function OverTheBench(props: Props) {
  const { state, plan, now, tell, returning, onReturning, hot, asksHot } = props;
  const units = useUnits();
  return (
    <>
      {asksHot && (
        <WhichCup
          cups={state.cups.filter((c) => !c.hot)}
          onChosen={asksHot}
          onClose={props.onAsked}
        />
      )}
      {returning && (
        <Return
          state={state}
          plan={plan}
          units={units}
          onGiveUp={() => {
            for (const of of state.giveUp) {
              tell({ kind: "GIVEN_UP", of });
            }
          }}
          onGoOn={() => onReturning(false)}
        />
      )}
      {state.awaySinceSeconds !== undefined && (
        <SteppedAway
          state={state}
          now={now}
          soon={props.soon}
          onBack={() => {
            wakeSound();
            tell({ kind: "BACK" });
            onReturning(true);
          }}
        />
      )}
      {hot.length > 0 && <HotCup cups={hot} onSeen={props.onSeenHot} />}
    </>
  );
}
