import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import type { Session } from "../api/client";
import { useDefaults, useWorkshop } from "../api/queries";
import { useSessionEditor } from "../session/useSessionEditor";
import { Loading } from "../ui/Loading";
import { Empty, Told } from "../ui/Told";
import { later } from "../ui/later";
import { Bench } from "./Bench";

const Unsaved = later(() => import("./Unsaved").then((m) => m.Unsaved));

/** Opens a session and hands it to the bench; says so where there is none, or none yet. */
export function PlanScreen({ id }: { id: string }) {
  const editing = useSessionEditor(id);
  const shelf = useWorkshop();
  const defaults = useDefaults();
  const { editor, undo, redo } = editing;

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
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
  if (editor.status === "trouble") {
    return <Told trouble={editor.trouble} onRetry={editing.retry} />;
  }
  const missing = [shelf, defaults].find((q) => q.error && q.data === undefined);
  if (missing?.error) {
    return <Told trouble={missing.error} onRetry={() => void missing.refetch()} />;
  }
  if (editor.status === "empty") {
    return (
      <Empty title="No session yet">
        <p>
          Say which moulds you want to fill and with what; Calm Pour works out the grams, the cups
          and the order. Or mix a batch at once, without any mould.
        </p>
        {shelf.data && (shelf.data.moulds ?? []).length === 0 ? (
          <Button variant="contained" href="/first">
            Begin with a mould, a resin and a colour
          </Button>
        ) : (
          <Button variant="contained" href="/plan/new">
            Plan a session
          </Button>
        )}{" "}
        <Button variant="outlined" href="/mix">
          Just mix
        </Button>
      </Empty>
    );
  }
  if (editor.status === "loading" || !session || !shelf.data || !defaults.data) {
    return <Loading>Laying out the bench…</Loading>;
  }
  if (session.justMix) {
    return (
      <Empty title={session.name}>
        <Button href={`/mix/${editor.kept?.id ?? ""}`}>Open this mix</Button>
      </Empty>
    );
  }
  return (
    <>
      <Unsaved id={id} restored={editing.restored} />
      <Bench editing={editing} session={session} workshop={shelf.data} defaults={defaults.data} />
    </>
  );
}
