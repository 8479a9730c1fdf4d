import { useCallback, useEffect, useState } from "react";
import { api, ask, type ShelfView, type Trouble } from "../api/client";

interface Shelf {
  shelf: ShelfView | null;
  trouble: Trouble | null;
  reload: () => void;
}

/** Every material but the moulds, with what follows from what is known of it. */
export function useShelf(): Shelf {
  const [shelf, setShelf] = useState<ShelfView | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [version, setVersion] = useState(0);
  useEffect(() => {
    let here = true;
    void ask(api.GET("/api/shelf")).then((answer) => {
      if (here) {
        setTrouble(answer.status === "ok" ? null : answer.trouble);
        if (answer.status === "ok") {
          setShelf(answer.value);
        }
      }
    });
    return () => {
      here = false;
    };
  }, [version]);
  const reload = useCallback(() => setVersion((v) => v + 1), []);
  return { shelf, trouble, reload };
}
