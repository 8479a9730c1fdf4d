import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { api, ask, type Became, type JournalPiecePage, type Trouble } from "../api/client";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { BECAME } from "../words/record";
import { dayAndTime, span } from "../words/time";

const LONGEST = 300;

/** What became of a piece, and from when it may be handed over. */
export function WhatBecame({ page }: { page: JournalPiecePage }) {
  const { piece } = page;
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const begun = new Date(page.begunAt).getTime();
  const moment = (seconds: number) => new Date(begun + seconds * 1000);
  const { became } = piece;
  const now = became?.what ?? "STILL_HERE";
  const handedOver = now === "SOLD" || now === "GIVEN_AWAY";
  const early =
    became && handedOver && piece.readySeconds !== undefined
      ? piece.readySeconds - became.atSeconds
      : 0;
  const tell = async (what: Became["what"]) => {
    const at = new Date().toISOString();
    const line = text.trim();
    const event = {
      id: crypto.randomUUID(),
      at,
      kind: "BECAME" as const,
      of: piece.piece,
      codes: [what],
      ...(line === "" ? {} : { text: line }),
    };
    const answer = await ask(
      api.POST("/api/runs/{id}/events", {
        params: { path: { id: page.runId } },
        body: { events: [event], sentAt: at },
      }),
    );
    setTrouble(answer.status === "trouble" ? answer.trouble : null);
    if (answer.status === "ok") {
      setText("");
    }
  };
  return (
    <Sheet title="What became of it">
      {became && (
        <Box>
          <b>{BECAME[became.what]}</b>
          {became.text && `: ${became.text}`}, {dayAndTime(moment(became.atSeconds), page.zoneId)}
        </Box>
      )}
      {piece.readySeconds !== undefined && (
        <Box sx={{ color: "text.secondary" }}>
          Ready to hand over from {dayAndTime(moment(piece.readySeconds), page.zoneId)}.
        </Box>
      )}
      {early > 0 && (
        <Box role="alert" sx={{ color: "error.main" }}>
          Handed over {span(early / 60)} before it was ready. Tell whoever has it: keep it flat and
          cool, gloves until then.
        </Box>
      )}
      {trouble && <Told trouble={trouble} />}
      <TextField
        label="To whom, or why"
        value={text}
        onChange={(e) => setText(e.target.value)}
        error={text.length > LONGEST}
        helperText={text.length > LONGEST ? `${text.length - LONGEST} letters too many.` : ""}
        fullWidth
        sx={{ mt: 1, maxWidth: 520, "@media print": { display: "none" } }}
      />
      <Box
        role="group"
        aria-label="What became of it"
        sx={{
          display: "flex",
          gap: 1,
          flexWrap: "wrap",
          my: 1,
          "@media print": { display: "none" },
        }}
      >
        {(Object.keys(BECAME) as Became["what"][]).map((what) => (
          <Button
            key={what}
            variant={what === now ? "contained" : "outlined"}
            aria-pressed={what === now}
            disabled={text.length > LONGEST}
            onClick={() => void tell(what)}
            sx={{ minHeight: 56 }}
          >
            {BECAME[what]}
          </Button>
        ))}
      </Box>
    </Sheet>
  );
}
