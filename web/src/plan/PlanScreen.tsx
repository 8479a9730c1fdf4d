import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useEffect, useMemo, useState } from "react";
import type { Session } from "../api/client";
import { Empty, Told } from "../frame/Told";
import { Bench } from "./Bench";
import { useSessionEditor } from "./useSessionEditor";
import { useWorkshop } from "./useWorkshop";

/** Opens a session and hands it to the bench; says so where there is none, or none yet. */
export function PlanScreen({ id }: { id: string | undefined }) {
  const editing = useSessionEditor(id);
  const shelves = useWorkshop();
  const { editor, undo, redo } = editing;

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement;
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z" && !typing) {
        event.preventDefault();
        (event.shiftKey ? redo : undo)();
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [undo, redo]);

  const [leaving] = useState(() => (event: BeforeUnloadEvent) => event.preventDefault());
  useEffect(() => {
    // Drafts survive on this browser; the question is only for a session never saved anywhere.
    if (editing.dirty && editor.status === "open" && !editor.kept) {
      window.addEventListener("beforeunload", leaving);
      return () => window.removeEventListener("beforeunload", leaving);
    }
    return undefined;
  }, [editing.dirty, editor, leaving]);

  const session: Session | null = editor.status === "open" ? editor.history.now : null;
  const ready = useMemo(
    () => (session && shelves.workshop && shelves.defaults ? shelves.defaults : null),
    [session, shelves.workshop, shelves.defaults],
  );

  if (editor.status === "trouble") {
    return <Told trouble={editor.trouble} onRetry={editing.retry} />;
  }
  if (shelves.trouble) {
    return <Told trouble={shelves.trouble} onRetry={shelves.reload} />;
  }
  if (editor.status === "empty") {
    return (
      <Empty title="No session yet">
        <p>
          Say which moulds you want to fill and with what; Calm Pour works out the grams, the cups
          and the order. Or mix a batch at once, without any mould.
        </p>
        {shelves.workshop && (shelves.workshop.moulds ?? []).length === 0 ? (
          <Button variant="contained" href="#/first">
            Begin with a mould, a resin and a colour
          </Button>
        ) : (
          <Button variant="contained" href="#/plan/new">
            Plan a session
          </Button>
        )}{" "}
        <Button variant="outlined" href="#/mix">
          Just mix
        </Button>
      </Empty>
    );
  }
  if (editor.status === "loading" || !session || !ready) {
    return (
      <Box role="status" sx={{ p: 3, color: "text.secondary" }}>
        Laying out the bench…
      </Box>
    );
  }
  if (session.justMix) {
    return (
      <Empty title={session.name}>
        <Link href={`#/mix/${editor.kept?.id ?? ""}`}>Open this mix</Link>
      </Empty>
    );
  }
  return <Bench editing={editing} session={session} shelves={shelves} defaults={ready} />;
}
