import { useCallback, useState } from "react";
import { api, ask, type Trouble, type Usual, type UsualView } from "../api/client";
import type { Ways } from "./group";

/** Changes what is usual in this workshop; what was not read yet cannot be changed. */
export function useKeepUsual(view: UsualView | undefined) {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [saving, setSaving] = useState(false);
  const put = useCallback(
    async (usual: Usual, over = view) => {
      if (!over) {
        return false;
      }
      setSaving(true);
      const answer = await ask(
        api.PUT("/api/usual", { params: { query: { revision: over.revision } }, body: usual }),
      );
      setSaving(false);
      setTrouble(answer.status === "trouble" ? answer.trouble : null);
      return answer.status === "ok";
    },
    [view],
  );
  return {
    trouble,
    saving,
    put,
    /** The same workshop with other ways. */
    change: (ways: Ways) => void (view && put(withUsualWays(view.usual, ways))),
  };
}

export function withUsualWays(usual: Usual, { habits, hands, room, hours }: Ways): Usual {
  const others = { ...usual };
  delete others.hours;
  return { ...others, habits, hands, room, ...(hours ? { hours } : {}) };
}
