import { useSyncExternalStore } from "react";
import { Frame } from "./frame/Frame";
import { JustMixScreen } from "./mix/JustMixScreen";
import { PlanScreen } from "./plan/PlanScreen";
import { SessionsScreen } from "./sessions/SessionsScreen";

function subscribe(changed: () => void) {
  window.addEventListener("hashchange", changed);
  return () => window.removeEventListener("hashchange", changed);
}

/** Where in the product we are: the part of the address after #/. */
function useRoute(): string[] {
  const hash = useSyncExternalStore(subscribe, () => window.location.hash);
  return hash.replace(/^#\/?/, "").split("/");
}

export function App() {
  const [room = "", id] = useRoute();
  switch (room) {
    case "sessions":
      return (
        <Frame here="sessions">
          <SessionsScreen />
        </Frame>
      );
    case "mix":
      return (
        <Frame here="mix">
          <JustMixScreen key={id ?? "new"} id={id} />
        </Frame>
      );
    default:
      return (
        <Frame here="plan">
          <PlanScreen key={id ?? "newest"} id={id} />
        </Frame>
      );
  }
}
