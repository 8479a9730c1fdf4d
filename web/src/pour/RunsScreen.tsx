import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useEffect, useState } from "react";
import { api, ask, type RunLine, type Trouble } from "../api/client";
import { Cautions } from "../frame/Cautions";
import { Empty, Told } from "../frame/Told";
import { dayAndTime } from "../plan/wording";

type State =
  | { status: "loading" }
  | { status: "trouble"; trouble: Trouble }
  | { status: "listed"; lines: RunLine[] };

/** Runs that are open, and those that are over. */
export function RunsScreen() {
  const [state, setState] = useState<State>({ status: "loading" });
  const [version, setVersion] = useState(0);
  useEffect(() => {
    let here = true;
    void ask(api.GET("/api/runs")).then((answer) => {
      if (here) {
        setState(
          answer.status === "ok"
            ? { status: "listed", lines: answer.value }
            : { status: "trouble", trouble: answer.trouble },
        );
      }
    });
    return () => {
      here = false;
    };
  }, [version]);
  if (state.status === "loading") {
    return (
      <Box role="status" sx={{ p: 3, color: "text.secondary" }}>
        Looking for runs…
      </Box>
    );
  }
  if (state.status === "trouble") {
    return <Told trouble={state.trouble} onRetry={() => setVersion((v) => v + 1)} />;
  }
  if (state.lines.length === 0) {
    return (
      <Empty title="Nothing has been poured yet">
        <p>
          Plan a session and press “Begin”: one step at a time then fills the screen, with every
          open cup’s clock beside it.
        </p>
        <Button variant="contained" href="#/sessions">
          Choose a session
        </Button>
      </Empty>
    );
  }
  return (
    <Box sx={{ px: 1, pt: 1.5 }}>
      <Box component="h1" sx={{ typography: "h1", m: 0 }}>
        Runs
      </Box>
      <Box component="ul" sx={{ listStyle: "none", p: 0, maxWidth: 900 }}>
        {state.lines.map((line) => (
          <Box
            component="li"
            key={line.id}
            sx={{
              display: "flex",
              alignItems: "center",
              gap: 2,
              flexWrap: "wrap",
              py: 1.25,
              borderBottom: 1,
              borderColor: "divider",
            }}
          >
            <Link href={`#/pour/${line.id}`} sx={{ fontSize: "1.2rem", fontWeight: 700 }}>
              {line.name}
            </Link>
            <Box sx={{ color: "text.secondary" }}>
              begun {dayAndTime(new Date(line.begunAt), line.zoneId)}
              {line.finishedAt && `, over ${dayAndTime(new Date(line.finishedAt), line.zoneId)}`}
            </Box>
            {!line.finishedAt && (
              <Button
                variant="contained"
                href={`#/pour/${line.id}`}
                sx={{ ml: "auto", minHeight: 56 }}
              >
                To the bench
              </Button>
            )}
          </Box>
        ))}
      </Box>
      <Cautions />
    </Box>
  );
}
