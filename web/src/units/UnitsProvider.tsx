import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import { useUnitLines } from "../api/queries";
import { METRIC, type Units, type UnitSystem, usUnits } from "./units";

interface Chosen {
  units: Units;
  system: UnitSystem;
  choose: (system: UnitSystem) => void;
}

const Context = createContext<Chosen>({ units: METRIC, system: "metric", choose: () => undefined });
const KEY = "calm-pour/units";

/** Converts once, at the edge of the screen: below it everything is g, mL, mm and °C. */
export function UnitsProvider({ children }: { children: ReactNode }) {
  const [system, setSystem] = useState<UnitSystem>(() =>
    localStorage.getItem(KEY) === "us" ? "us" : "metric",
  );
  const lines = useUnitLines(system === "us").data;
  const us = useMemo(() => (lines ? usUnits(lines) : null), [lines]);
  const chosen = useMemo(
    () => ({
      units: system === "us" && us ? us : METRIC,
      system,
      choose: (next: UnitSystem) => {
        localStorage.setItem(KEY, next);
        setSystem(next);
      },
    }),
    [system, us],
  );
  return <Context value={chosen}>{children}</Context>;
}

export function useUnits(): Units {
  return useContext(Context).units;
}

export function useUnitSystem(): Chosen {
  return useContext(Context);
}
