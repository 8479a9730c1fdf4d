import { createContext, type ReactNode, useContext, useEffect, useMemo } from "react";
import { useUnitLines, useUsual } from "../api/queries";
import { METRIC, type Units, usUnits } from "./units";

const Context = createContext<Units>(METRIC);

/** As it was the last time, so that nothing is drawn in one unit and then in another. */
const KEY = "calm-pour/units";

/** Converts once, at the edge of the screen: below it everything is g, mL, mm and °C. */
export function UnitsProvider({ children }: { children: ReactNode }) {
  const kept = useUsual().data?.usual.units;
  const us = kept === undefined ? localStorage.getItem(KEY) === "us" : kept === "US";
  useEffect(() => {
    if (kept !== undefined) {
      localStorage.setItem(KEY, kept === "US" ? "us" : "metric");
    }
  }, [kept]);
  const lines = useUnitLines(us).data;
  const units = useMemo(() => (us && lines ? usUnits(lines) : METRIC), [us, lines]);
  return <Context value={units}>{children}</Context>;
}

export function useUnits(): Units {
  return useContext(Context);
}
