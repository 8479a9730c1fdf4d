import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Became, JournalPiecePage } from "../api/client";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { BECAME } from "../words/record";
import { dayName, dayOf } from "../words/dates";
import { dayAndTime, span } from "../words/time";
import { useTell } from "./useTell";

const LONGEST = 300;

/** What became of a piece, and from when it may be handed over. */
export function WhatBecame({ page }: { page: JournalPiecePage }) {
  const { piece } = page;
  const [text, setText] = useState("");
  const { tell, trouble } = useTell(page.runId);
  const begun = new Date(page.begunAt).getTime();
  const moment = (seconds: number) => new Date(begun + seconds * 1000);
  const { became } = piece;
  const now = became?.what ?? "STILL_HERE";
  const handedOver = now === "SOLD" || now === "GIVEN_AWAY";
  const early =
    became && handedOver && piece.readySeconds !== undefined
      ? piece.readySeconds - became.atSeconds
      : 0;
  const become = async (what: Became["what"]) => {
    const line = text.trim();
    const told = await tell({
      kind: "BECAME",
      of: piece.piece,
      codes: [what],
      ...(line === "" ? {} : { text: line }),
    });
    if (told) {
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
          Ready to hand over: {dayName(dayOf(moment(piece.readySeconds), page.zoneId))}.
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
            onClick={() => void become(what)}
            sx={{ minHeight: 56 }}
          >
            {BECAME[what]}
          </Button>
        ))}
      </Box>
    </Sheet>
  );
}
