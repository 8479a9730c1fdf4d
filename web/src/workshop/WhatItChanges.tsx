import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { numberOf } from "../api/asking";
import { api, ask, type Session, type Trouble } from "../api/client";
import { useDefaults, useSessions, value } from "../api/queries";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { changesText } from "../words/changes";
import type { Ways } from "../ways/group";
import { GROUPS } from "../ways/groups";
import { differs, waysOf, withGroup, withWays } from "../ways/ways";

interface Props {
  /** What was usual when this screen was opened. */
  before: Ways;
  after: Ways;
}

/** What a changed habit does to the session that is planned next, and a key to take it over. */
export function WhatItChanges({ before, after }: Props) {
  const sessions = useSessions();
  const defaults = useDefaults();
  const units = useUnits();
  const [taken, setTaken] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const next = sessions.data?.find(
    (s) => !s.justMix && s.cavities > 0 && (s.stands === "PLANNED" || s.stands === "CONFIRMED"),
  );
  const groups = GROUPS.filter((g) => differs(g, after, before));
  const asked = useQuery({
    queryKey: ["what-it-changes", next?.id, numberOf(after), taken],
    enabled: next !== undefined && defaults.data !== undefined && groups.length > 0,
    queryFn: async () => {
      if (!next || !defaults.data) {
        throw new Error("bug: nothing to ask about");
      }
      const path = { id: next.id };
      const kept = await value(api.GET("/api/sessions/{id}", { params: { path } }));
      const ways = groups.reduce(
        (w, g) => withGroup(w, g, after),
        waysOf(kept.session, defaults.data),
      );
      const changed = withWays(kept.session, ways);
      const query = { id: next.id };
      const [was, is] = await Promise.all(
        [kept.session, changed].map((body) =>
          value(api.POST("/api/plan", { body, params: { query } })),
        ),
      );
      return { kept, changed, was, is };
    },
  });
  if (!next || groups.length === 0) {
    return null;
  }
  const take = async (session: Session, revision: number) => {
    const answer = await ask(
      api.PUT("/api/sessions/{id}", {
        params: { path: { id: next.id }, query: { revision } },
        body: session,
      }),
    );
    setTrouble(answer.status === "trouble" ? answer.trouble : null);
    setTaken(answer.status === "ok" ? next.id : null);
  };
  const { data } = asked;
  const text = data?.was && data.is ? changesText(data.was.plan, data.is.plan, units) : undefined;
  return (
    <Box
      role="status"
      aria-label="What it changes"
      sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", px: 1 }}
    >
      <span>
        In <Link href={`/plan/${next.id}`}>{next.name}</Link>:{" "}
        {taken === next.id
          ? "taken over."
          : asked.error
            ? asked.error.detail
            : text === undefined
              ? "working it out…"
              : (text ?? "it would change nothing that you would notice.")}
      </span>
      {data && text !== undefined && taken !== next.id && (
        <Button variant="outlined" onClick={() => void take(data.changed, data.kept.revision)}>
          Change it there too
        </Button>
      )}
      {trouble && <Told trouble={trouble} />}
    </Box>
  );
}
