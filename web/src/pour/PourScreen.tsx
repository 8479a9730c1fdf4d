import { AboutProvider } from "../api/asking";
import { Loading } from "../ui/Loading";
import { Told } from "../ui/Told";
import { clockTime } from "../words/time";
import { Bench } from "./Bench";
import { useAwake } from "./useBenchTools";
import { useRun } from "./useRun";

/** A run at the bench, once it is there. */
export function PourScreen({ id }: { id: string }) {
  const run = useRun(id);
  useAwake();
  if (run.view.status === "loading") {
    return <Loading>Opening the evening…</Loading>;
  }
  if (run.view.status === "trouble") {
    return <Told trouble={run.view.trouble} onRetry={() => void run.reload()} />;
  }
  const { begunAt, session } = run.view.opened;
  const about = {
    session: null,
    id: undefined,
    run: { id, at: (s: number) => clockTime(new Date(begunAt), s, session.zoneId) },
  };
  return (
    <AboutProvider value={about}>
      <Bench run={run} running={run.view} />
    </AboutProvider>
  );
}
