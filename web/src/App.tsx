import { useSyncExternalStore } from "react";
import { FirstVisit } from "./first/FirstVisit";
import { Frame } from "./frame/Frame";
import { JustMixScreen } from "./mix/JustMixScreen";
import { MakeMould } from "./moulds/MakeMould";
import { MouldsScreen } from "./moulds/MouldsScreen";
import { PlanScreen } from "./plan/PlanScreen";
import { PourScreen } from "./pour/PourScreen";
import { RecordScreen } from "./pour/RecordScreen";
import { RunsScreen } from "./pour/RunsScreen";
import { PracticeScreen } from "./practice/PracticeScreen";
import { RehearsalScreen } from "./practice/RehearsalScreen";
import { RehearsalsScreen } from "./practice/RehearsalsScreen";
import { SessionsScreen } from "./sessions/SessionsScreen";
import { TodayScreen } from "./today/TodayScreen";
import { ShelfScreen } from "./shelf/ShelfScreen";

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
  const [room = "", id, more] = useRoute();
  switch (room) {
    case "today":
      return (
        <Frame here="today">
          <TodayScreen />
        </Frame>
      );
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
    case "moulds":
      return (
        <Frame here="moulds">
          {id === "make" ? <MakeMould /> : <MouldsScreen key={id ?? "all"} id={id} />}
        </Frame>
      );
    case "shelf":
      return (
        <Frame here="shelf">
          <ShelfScreen kind={id} />
        </Frame>
      );
    case "pour":
      if (id && more === "record") {
        return (
          <Frame here="pour">
            <RecordScreen key={id} id={id} />
          </Frame>
        );
      }
      return id ? (
        <PourScreen key={id} id={id} />
      ) : (
        <Frame here="pour">
          <RunsScreen />
        </Frame>
      );
    case "practice":
      return (
        <Frame here="practice">
          {id !== "rehearsal" ? (
            <PracticeScreen />
          ) : more ? (
            <RehearsalScreen key={more} id={more} />
          ) : (
            <RehearsalsScreen />
          )}
        </Frame>
      );
    case "first":
      return (
        <Frame here="plan">
          <FirstVisit />
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
