import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from "react";
import { api, ask } from "../api/client";
import { METRIC, usUnits, type Units, type UnitSystem } from "./units";

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
  const [us, setUs] = useState<Units | null>(null);
  useEffect(() => {
    if (system === "us" && !us) {
      void ask(api.GET("/api/units")).then((answer) => {
        if (answer.status === "ok") {
          setUs(usUnits(answer.value));
        }
      });
    }
  }, [system, us]);
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
