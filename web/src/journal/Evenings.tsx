import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import visuallyHidden from "@mui/utils/visuallyHidden";
import { useVirtualizer } from "@tanstack/react-virtual";
import { memo, useEffect, useRef } from "react";
import type { JournalEvening, JournalFound, JournalPiece } from "../api/client";
import { BoardStrip } from "../drawing/BoardStrip";
import { useGoingOn } from "../ui/Going";
import { usePrinting } from "../ui/usePrinting";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { faultWords, VERDICTS } from "../words/record";
import { GradeMark } from "../drawing/GradeMark";
import { dateFormat, dayName } from "../words/dates";

/** Evenings by month, each with its board, its grades and its pieces. */
export function Evenings({
  found,
  onOlder,
}: {
  found: JournalFound;
  /** Fetches the ones before; null where there are none, or they are on their way. */
  onOlder: (() => void) | null;
}) {
  const { evenings, counted } = found;
  const unseen = counted.pieces - counted.good - counted.seconds - counted.lost;
  const list = useRef<HTMLDivElement>(null);
  const paper = usePrinting();
  const goOn = useGoingOn();
  // Its list changes with every scroll; nothing here is remembered over it.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: evenings.length,
    getScrollElement: () => list.current,
    estimateSize: () => 150,
    overscan: 4,
  });
  const last = rows.getVirtualItems().at(-1)?.index ?? 0;
  const atEnd = last >= evenings.length - 1;
  useEffect(() => {
    if (atEnd) {
      onOlder?.();
    }
  }, [atEnd, onOlder]);
  return (
    <>
      <Box role="status">
        {counted.evenings} {counted.evenings === 1 ? "evening" : "evenings"}, {counted.pieces}{" "}
        {counted.pieces === 1 ? "piece" : "pieces"}: {counted.good} good, {counted.seconds} seconds,{" "}
        {counted.lost} lost{unseen > 0 && `, ${unseen} not looked at`}.
      </Box>
      {paper && <OnPaper found={found} />}
      <Box
        ref={list}
        tabIndex={0}
        onClick={goOn}
        aria-label="Evenings of the journal"
        role="region"
        sx={{
          height: { xs: "68vh", md: "calc(100vh - 250px)" },
          minHeight: 320,
          overflow: "auto",
          "@media print": { display: "none" },
        }}
      >
        <Box sx={{ height: rows.getTotalSize(), position: "relative" }}>
          {rows.getVirtualItems().map((row) => {
            const evening = evenings[row.index];
            const before = evenings[row.index - 1];
            return (
              evening && (
                <Box
                  key={evening.id}
                  ref={rows.measureElement}
                  data-index={row.index}
                  sx={{
                    position: "absolute",
                    top: 0,
                    left: 0,
                    right: 0,
                    // What is in it moves nothing outside: less is laid out anew at every turn.
                    contain: "content",
                    transform: `translateY(${row.start}px)`,
                  }}
                >
                  <InItsMonth evening={evening} before={before?.day} />
                </Box>
              )
            );
          })}
        </Box>
      </Box>
    </>
  );
}

/** All that was fetched, none of it left out: paper does not scroll. */
function OnPaper({ found: { evenings, counted } }: { found: JournalFound }) {
  return (
    <Box>
      {evenings.length < counted.evenings && (
        <Box>
          The latest {evenings.length} of {counted.evenings} evenings. Scroll down before printing
          for more.
        </Box>
      )}
      {evenings.map((evening, at) => (
        <Box key={evening.id} sx={{ breakInside: "avoid" }}>
          <InItsMonth evening={evening} before={evenings[at - 1]?.day} />
        </Box>
      ))}
    </Box>
  );
}

/** An evening, under the name of its month where that is another one; drawn once, not at every scroll. */
const InItsMonth = memo(function InItsMonth({
  evening,
  before,
}: {
  evening: JournalEvening;
  before: string | undefined;
}) {
  return (
    <>
      {before?.slice(0, 7) !== evening.day.slice(0, 7) && (
        <Box component="h2" sx={{ typography: "h2", m: 0, pt: 1.5, pb: 0.5 }}>
          {monthName(evening.day)}
        </Box>
      )}
      <Evening evening={evening} />
    </>
  );
});

function monthName(day: string): string {
  return dateFormat({ month: "long", year: "numeric" }).format(new Date(`${day}T12:00:00`));
}

function Evening({ evening }: { evening: JournalEvening }) {
  const units = useUnits();
  return (
    <Box component="article" aria-label={`${evening.name}, ${dayName(evening.day)}`} sx={EVENING}>
      <div>
        <strong>{dayName(evening.day)}</strong>
        <small>room {showWith(units.TEMPERATURE, evening.roomC, 0)}</small>
      </div>
      <div>
        <Link href={`/pour/${evening.id}/record`} sx={{ fontWeight: 700 }}>
          {evening.name}
        </Link>
        <small>{evening.board.resin}</small>
        <BoardStrip board={evening.board} />
      </div>
      <ul aria-label="Its pieces">
        {evening.pieces.map((piece) => (
          <Piece key={piece.piece} evening={evening} piece={piece} />
        ))}
      </ul>
    </Box>
  );
}

/** Said once for all that is in it: twenty pieces an evening are drawn while one scrolls. */
const EVENING = {
  display: "grid",
  gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "150px 260px minmax(0, 1fr)" },
  gap: { xs: 0.5, md: 2 },
  alignItems: "start",
  py: 1,
  borderBottom: 1,
  borderColor: "divider",
  "& > div": { minWidth: 0 },
  "& small": { display: "block", color: "text.secondary", fontSize: "0.9rem", mb: 0.5 },
  "& ul": {
    listStyle: "none",
    m: 0,
    p: 0,
    display: "grid",
    gridTemplateColumns: "repeat(auto-fill, minmax(190px, 1fr))",
    gap: 0.25,
  },
  "& ul a": {
    color: "inherit",
    textDecoration: "none",
    display: "flex",
    gap: "6px",
    alignItems: "flex-start",
    py: 0.25,
    lineHeight: 1.2,
  },
  "& ul a:hover": { textDecoration: "underline" },
  "& ul i": { color: "text.secondary", fontStyle: "normal" },
  "& ul b": { display: "block", color: "error.main", fontSize: "0.9rem", fontWeight: 400 },
} as const;

function Piece({ evening, piece }: { evening: JournalEvening; piece: JournalPiece }) {
  const grade = piece.grade === undefined ? "not looked at" : VERDICTS[piece.grade];
  const faults = piece.faults.map(faultWords).join(", ");
  return (
    <li>
      <a href={`/journal/${evening.id}/${piece.piece}`}>
        <GradeMark grade={piece.grade} />
        <span>
          {piece.mouldName} <i>{piece.colours.join(", ")}</i>
          <span style={visuallyHidden}>
            , {grade}
            {faults && ": "}
          </span>
          {faults && <b>{faults}</b>}
        </span>
      </a>
    </li>
  );
}
