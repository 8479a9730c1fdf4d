import { useCallback, useEffect, useState } from "react";
import {
  api,
  ask,
  type Habits,
  type Hands,
  type Session,
  type Trouble,
  type Workshop,
} from "../api/client";

export interface Defaults {
  habits: Required<Habits>;
  hands: Required<Hands>;
}

export interface Shelves {
  workshop: Workshop | null;
  /** What counts where a session says nothing of its own. */
  defaults: Defaults | null;
  trouble: Trouble | null;
  /** Counts the changes, so that a plan is asked for again. */
  version: number;
  reload: () => void;
}

export function useWorkshop(): Shelves {
  const [workshop, setWorkshop] = useState<Workshop | null>(null);
  const [defaults, setDefaults] = useState<Defaults | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [version, setVersion] = useState(0);
  useEffect(() => {
    let here = true;
    const load = async () => {
      const [shelf, base] = await Promise.all([
        ask(api.GET("/api/workshop")),
        ask(api.GET("/api/defaults")),
      ]);
      if (!here) {
        return;
      }
      if (shelf.status === "trouble" || base.status === "trouble") {
        setTrouble(
          shelf.status === "trouble"
            ? shelf.trouble
            : base.status === "trouble"
              ? base.trouble
              : null,
        );
        return;
      }
      setWorkshop(shelf.value);
      // The server's defaults name every habit; only documents may leave some out.
      setDefaults(base.value as Defaults);
      setTrouble(null);
    };
    void load();
    return () => {
      here = false;
    };
  }, [version]);
  const reload = useCallback(() => setVersion((v) => v + 1), []);
  return { workshop, defaults, trouble, version, reload };
}

/** What the session can choose from: the shelves, and what it carries along itself. */
export function choices(workshop: Workshop | null, session: Session): Required<Workshop> {
  const over = <T extends { id: string }>(below: T[] = [], above: T[] = []): T[] => [
    ...below.filter((b) => !above.some((a) => a.id === b.id)),
    ...above,
  ];
  const carried = session.carried;
  const colours = over(workshop?.colours, carried?.colours);
  if (!colours.some((c) => c.id === "clear")) {
    // Clear resin is known to every workshop, also an empty one.
    colours.unshift({ id: "clear", name: "Clear", swatch: "#dde6e4", recipe: [] });
  }
  return {
    moulds: over(workshop?.moulds, carried?.moulds),
    resins: over(workshop?.resins, carried?.resins),
    colourants: over(workshop?.colourants, carried?.colourants),
    colours,
    cups: over(workshop?.cups, carried?.cups),
    parts: over(workshop?.parts, carried?.parts),
    embeds: over(workshop?.embeds, carried?.embeds),
    tools: over(workshop?.tools, carried?.tools),
    bookings: [],
  };
}
