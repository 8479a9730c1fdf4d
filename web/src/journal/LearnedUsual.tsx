import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { type ReactNode, useState } from "react";
import type { Usual } from "../api/client";
import { useKeepUsual } from "../ways/useKeepUsual";
import { useUsual } from "../api/queries";
import { Told } from "../ui/Told";

interface Props {
  /** What it is of, for keys that stand beside others. */
  of: string;
  text: string;
  /** The key that takes it over; null where there is nothing to take. */
  plan: string | null;
  /** The workshop's ways with it. */
  taken: (usual: Usual) => Usual;
  /** The ways as they are now with this alone as it was before it was taken over. */
  putBack: (usual: Usual, was: Usual) => Usual;
  behind: () => ReactNode;
}

/** Something learned of the workshop's own ways: taken over with one key, put back with another. */
export function LearnedUsual({ of, text, plan, taken, putBack, behind }: Props) {
  const kept = useUsual().data;
  const { put, trouble } = useKeepUsual(kept);
  const [before, setBefore] = useState<Usual | null>(null);
  const [open, setOpen] = useState(false);
  if (!kept) {
    return null;
  }
  const set = async (next: Usual, was: Usual | null) => {
    if (await put(next)) {
      setBefore(was);
    }
  };
  return (
    <Box>
      {trouble && <Told trouble={trouble} />}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
        <span>{text}</span>
        <Button
          aria-label={`Which evenings? ${of}`}
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          Which evenings?
        </Button>
        {before !== null ? (
          <Button
            aria-label={`As before: ${of}`}
            onClick={() => void set(putBack(kept.usual, before), null)}
          >
            As before
          </Button>
        ) : (
          plan !== null && (
            <Button variant="outlined" onClick={() => void set(taken(kept.usual), kept.usual)}>
              {plan}
            </Button>
          )
        )}
      </Box>
      {open && behind()}
    </Box>
  );
}
