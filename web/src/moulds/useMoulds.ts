import { useCallback, useEffect, useState } from "react";
import { api, ask, type MouldView, type Trouble } from "../api/client";

interface Moulds {
  moulds: MouldView[] | null;
  trouble: Trouble | null;
  reload: () => void;
}

/** All moulds with what they hold. */
export function useMoulds(): Moulds {
  const [moulds, setMoulds] = useState<MouldView[] | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [version, setVersion] = useState(0);
  useEffect(() => {
    let here = true;
    void ask(api.GET("/api/moulds")).then((answer) => {
      if (!here) {
        return;
      }
      if (answer.status === "ok") {
        setMoulds(answer.value);
        setTrouble(null);
      } else {
        setTrouble(answer.trouble);
      }
    });
    return () => {
      here = false;
    };
  }, [version]);
  const reload = useCallback(() => setVersion((v) => v + 1), []);
  return { moulds, trouble, reload };
}
