import { useMutation } from "@tanstack/react-query";
import { api, type Mend, type Session, type Trouble } from "../api/client";
import { value } from "../api/queries";

interface Mending {
  session: Session;
  onMended: (session: Session, mend: Mend) => void;
  /** Not made in the session: on the board, at the shelf or a mould. */
  onElsewhere: (mend: Mend) => void;
  onTrouble: (trouble: Trouble) => void;
}

/** Makes one of the mends of a finding; what it changes is the server's to know. */
export function useMend({ session, onMended, onElsewhere, onTrouble }: Mending) {
  const asked = useMutation({
    mutationFn: (mend: Mend) => value(api.POST("/api/plan/mended", { body: { session, mend } })),
    onSuccess: (answer, mend) =>
      answer.session ? onMended(answer.session, mend) : onElsewhere(mend),
    onError: onTrouble,
  });
  return asked.mutate;
}
