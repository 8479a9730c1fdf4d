import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import { useNavigate } from "react-router";
import { anotherNew, drafts, isNew } from "../session/drafts";

/** What was typed earlier and not saved: what is open, and what lies beside it. */
export function Unsaved({ id, restored }: { id: string; restored: boolean }) {
  const navigate = useNavigate();
  const [others] = useState(() => drafts().filter((d) => isNew(d.id) && d.id !== id));
  const earlier = isNew(id) && restored;
  const [newest] = others;
  if (!earlier && !newest) {
    return null;
  }
  return (
    <Box
      role="status"
      sx={{
        display: "flex",
        gap: 1,
        alignItems: "center",
        flexWrap: "wrap",
        color: "text.secondary",
        px: 1,
        pt: 0.75,
        "@media print": { display: "none" },
      }}
    >
      {earlier && (
        <>
          You began this earlier and did not save it.
          <Button onClick={() => void navigate(`/plan/${anotherNew()}`)}>Start fresh</Button>
        </>
      )}
      {newest && (
        <span>
          Not saved yet: <Link href={`/plan/${newest.id}`}>{newest.name}</Link>
          {others.length > 1 && `, and ${others.length - 1} more under Sessions`}
        </span>
      )}
    </Box>
  );
}
