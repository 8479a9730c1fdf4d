import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import { api, ask, type DueLine, type RunEvent, type Today, type Trouble } from "../api/client";
import { type About, AboutProvider } from "../api/asking";
import { useToday } from "../api/queries";
import { Fig } from "../plan/how/How";
import { TellMe } from "../ui/TellMe";
import { Fetched } from "../ui/Fetched";
import { Empty, Told, WrongMark } from "../ui/Told";
import { Unreadable } from "../ui/Unreadable";
import { dueWords } from "../words/due";
import { dueText } from "../words/moments";
import { dayAndTime } from "../words/time";
import { BeingTimed } from "./BeingTimed";
import { ChipsDue } from "./ChipsDue";
import { Curing } from "./Curing";
import { Planned, usePlanned } from "./Planned";
import { PutOff } from "./PutOff";
import { ToLookAt } from "./ToLookAt";
import { Touches } from "./Touches";

/** The day only where it is another one. */
function untilText(from: string, until: string, zoneId: string): string {
  const text = dayAndTime(new Date(until), zoneId);
  const [day] = text.split(",");
  return dayAndTime(new Date(from), zoneId).startsWith(`${day},`)
    ? text.slice((day ?? "").length + 1).trim()
    : text;
}

/** What can still be done, and until when; what waits for nobody says so. */
function still(due: DueLine, now: number): string | null {
  const until = due.until && untilText(due.from, due.until, due.zoneId);
  const late = Date.parse(due.from) <= now;
  switch (due.kind) {
    case "DEMOULD":
      return late ? "It can wait; its mould stays full until then." : null;
    case "MOULDS_AWAY":
      return late ? "Before they are used again." : null;
    case "FINISH":
      return late ? "It can wait." : null;
    case "LOOK":
    case "NUDGE":
    case "EMBED":
      return until ? `until ${until}` : null;
    case "WARM":
    case "WIPE_MOULDS":
    case "WEIGH_FIRST":
      return due.joinNow === "CURED"
        ? "No longer bonds: scuff and wipe, then pour."
        : until
          ? `Pour until ${until}; after that scuff and wipe.`
          : null;
    default:
      return null;
  }
}

/** What is due of everything that was begun: next layers, demoulds, finishing, leaving. */
export function TodayScreen() {
  return (
    <Fetched query={useToday()} loading="Looking what is due…">
      {(today) => <Due today={today} />}
    </Fetched>
  );
}

/** Whose figures a line opens. */
function aboutRun({ runId, begunAt, zoneId }: DueLine): About {
  return {
    session: null,
    id: undefined,
    run: { id: runId, at: (s) => dayAndTime(new Date(Date.parse(begunAt) + s * 1000), zoneId) },
  };
}

function Due({ today }: { today: Today }) {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const planned = usePlanned(Date.parse(today.now));
  const now = Date.parse(today.now);
  const tell = async (due: DueLine, event: Pick<RunEvent, "kind" | "of" | "value" | "codes">) => {
    const answer = await ask(
      api.POST("/api/runs/{id}/events", {
        params: { path: { id: due.runId } },
        body: { events: [{ ...event, id: crypto.randomUUID(), at: today.now }] },
      }),
    );
    setTrouble(answer.status === "trouble" ? answer.trouble : null);
  };
  if (
    today.due.length === 0 &&
    today.toLookAt.length === 0 &&
    today.unreadable.length === 0 &&
    planned.length === 0
  ) {
    return (
      <Empty title="Nothing is due">
        <p>
          What was poured shows here: next layers, demoulds, finishing, and what is ready to hand
          over.
        </p>
        <Button variant="contained" href="/plan">
          To the plan
        </Button>
      </Empty>
    );
  }
  const ready = today.due.filter((d) => Date.parse(d.from) <= now);
  const later = today.due.filter((d) => Date.parse(d.from) > now);
  const [soonest] = later;
  const next = soonest && dueText(soonest.kind, new Date(soonest.from), soonest.zoneId);
  const list = (title: string, lines: DueLine[]) =>
    lines.length > 0 && (
      <Box component="section" aria-label={title} sx={{ mt: 2 }}>
        <Box component="h2" sx={{ typography: "h2", m: 0 }}>
          {title}
        </Box>
        <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, maxWidth: 980 }}>
          {lines.map((due) => (
            <Box
              component="li"
              key={due.runId + due.taskId}
              sx={{
                display: "flex",
                alignItems: "center",
                columnGap: 2,
                flexWrap: "wrap",
                py: 1,
                borderBottom: 1,
                borderColor: "divider",
              }}
            >
              <Box sx={{ width: { xs: "100%", sm: 190 }, color: "text.secondary" }}>
                <AboutProvider value={aboutRun(due)}>
                  <Fig of={`step/${due.taskId}/from`} what={`When: ${dueWords(due)}`}>
                    {Date.parse(due.from) <= now && "since "}
                    {dueText(due.kind, new Date(due.from), due.zoneId)}
                  </Fig>
                </AboutProvider>
              </Box>
              <Box sx={{ fontWeight: 700, fontSize: "1.1rem" }}>{dueWords(due)}</Box>
              {still(due, now) !== null && (
                <Box sx={{ color: "text.secondary" }}>{still(due, now)}</Box>
              )}
              <Link href={`/pour/${due.runId}${due.phase === "FREE" ? "/record" : ""}`}>
                {due.runName}
              </Link>
              {due.kind === "DEMOULD" && (
                <Link href={`/pour/${due.runId}/record`}>look it over</Link>
              )}
              {due.hands && Date.parse(due.from) <= now && due.kind !== "WEIGH_FIRST" && (
                <Box sx={{ ml: "auto", display: "flex", gap: 1 }}>
                  <PutOff
                    due={due}
                    now={now}
                    onPutOff={(minutes) =>
                      void tell(due, {
                        kind: "PUT_OFF",
                        of: due.taskId,
                        value: minutes,
                        codes: [],
                      })
                    }
                  />
                  <Button
                    variant="outlined"
                    onClick={() => void tell(due, { kind: "DONE", of: due.taskId, codes: [] })}
                    sx={{ minHeight: 48 }}
                  >
                    Done
                  </Button>
                </Box>
              )}
            </Box>
          ))}
        </Box>
      </Box>
    );
  return (
    <Box sx={{ px: 1, pt: 1.5 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
        <Box component="h1" sx={{ typography: "h1", m: 0 }}>
          Today
        </Box>
        <Box role="status" sx={{ color: "text.secondary" }}>
          {ready.length === 0
            ? next === undefined
              ? "Nothing is due."
              : `Nothing yet; next ${next}.`
            : `${ready.length} ${ready.length === 1 ? "thing is" : "things are"} due.`}
        </Box>
        <Button
          variant="outlined"
          href="/api/today/calendar"
          download="calm-pour.ics"
          sx={{ ml: "auto" }}
        >
          Into my calendar
        </Button>
        <TellMe />
      </Box>
      {trouble && <Told trouble={trouble} />}
      <Unreadable names={today.unreadable} />
      {list("Due now", ready)}
      <BeingTimed />
      <Touches
        due={today.due}
        onFelt={(due, of, word) => void tell(due, { kind: "FELT", of, codes: [word] })}
      />
      <ToLookAt evenings={today.toLookAt} />
      <ChipsDue />
      <Curing due={later} now={now} />
      {list("Later", later)}
      <Planned sessions={planned} />
      <Box
        component="section"
        aria-label="Cautions"
        sx={{ display: "flex", gap: 1.5, mt: 2, color: "text.secondary", maxWidth: 980 }}
      >
        <WrongMark />
        <span>
          Gloves until a piece has fully cured. Sand wet, with a particle filter. A pressure vessel
          is emptied before it is opened. The product’s safety data sheet and local rules come
          first.
        </span>
      </Box>
    </Box>
  );
}
