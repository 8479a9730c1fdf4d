import { useEffect, useState } from "react";
import { api, ask, type Cavity, type MeasureAnswer, type Trouble } from "../api/client";

const WAIT_MS = 120;

interface Measured {
  answer: MeasureAnswer | null;
  trouble: Trouble | null;
}

/** What a cavity comes to while it is being typed; the last answer stays while a new one is asked. */
export function useMeasured(cavity: Cavity): Measured {
  const [measured, setMeasured] = useState<Measured>({ answer: null, trouble: null });
  const { measure, depthMm, lengthMm, inner, bed } = cavity;
  useEffect(() => {
    const called = new AbortController();
    const timer = setTimeout(() => {
      ask(
        api.POST("/api/moulds/measure", {
          body: {
            measure,
            ...(depthMm === undefined ? {} : { depthMm }),
            ...(lengthMm === undefined ? {} : { lengthMm }),
            ...(inner === undefined ? {} : { inner }),
            ...(bed === undefined ? {} : { bed }),
          },
          signal: called.signal,
        }),
      ).then(
        (answer) =>
          setMeasured((before) =>
            answer.status === "ok"
              ? { answer: answer.value, trouble: null }
              : { answer: before.answer, trouble: answer.trouble },
          ),
        () => undefined, // called off: a newer one is under way
      );
    }, WAIT_MS);
    return () => {
      clearTimeout(timer);
      called.abort();
    };
  }, [measure, depthMm, lengthMm, inner, bed]);
  return measured;
}
