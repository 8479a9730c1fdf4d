import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Hands, LearnedHand } from "../api/client";
import { useHandsOf, useLearnedHands, useUsual } from "../api/queries";
import { OfHands } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { OneOf } from "../ui/OneOf";
import { Empty, Told } from "../ui/Told";
import { useKeepUsual } from "../ways/useKeepUsual";
import { secondsText, SPEEDS } from "../words/journal";
import { useAlwaysLearned } from "./LearnedHabit";

/** Less of a difference is none, as a share. */
const SAME = 0.03;

/** How long hands really take, beside what is planned with; taken over only when the maker says so. */
export function LearnedHands() {
  const [person, setPerson] = useState("");
  const people = useHandsOf().data ?? [];
  return (
    <Box
      component="section"
      aria-label="Learned: your hands"
      sx={{ display: "grid", gap: 1, maxWidth: 1100 }}
    >
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center" }}>
        <Box component="h2" sx={{ typography: "h2", m: 0 }}>
          {person === "" ? "Your hands" : `${person}’s hands`}
        </Box>
        {people.length > 0 && (
          <OneOf<string>
            label="Whose hands"
            choices={[["", "everybody’s"], ...people.map((p) => [p, p] as const)]}
            chosen={person}
            onChoose={setPerson}
          />
        )}
      </Box>
      <OfPerson person={person} key={person} />
    </Box>
  );
}

function OfPerson({ person }: { person: string }) {
  return (
    <Fetched query={useLearnedHands(person)} loading="Reading the evenings…">
      {(rows) =>
        rows.length === 0 ? (
          <Empty title="Nothing learned yet">
            <p>After three evenings at the bench your own speeds are shown here.</p>
          </Empty>
        ) : (
          <Rows rows={rows} person={person} />
        )
      }
    </Fetched>
  );
}

function Rows({ rows, person }: { rows: LearnedHand[]; person: string }) {
  const usual = useUsual().data;
  const { put, trouble } = useKeepUsual(usual);
  const [before, setBefore] = useState<Partial<Hands>>({});
  const always = useAlwaysLearned();
  const [open, setOpen] = useState<LearnedHand["speed"] | null>(null);
  const take = async (field: keyof Hands, seconds: number, was: number | undefined) => {
    if (
      usual &&
      (await put({ ...usual.usual, hands: { ...usual.usual.hands, [field]: seconds } }))
    ) {
      setBefore({ ...before, [field]: was });
    }
  };
  return (
    <>
      <Box>The middle step of each evening, and the middle evening.</Box>
      {trouble && <Told trouble={trouble} />}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {rows.map((row) => {
          const { words, field } = SPEEDS[row.speed];
          const planned = usual?.usual.hands[field];
          const seconds = Math.max(1, Math.round(row.seconds * 10) / 10);
          const learned = field === "pourSecondsMl" ? Math.round(row.seconds * 100) / 100 : seconds;
          const same =
            planned !== undefined && Math.abs(learned - planned) <= SAME * Math.max(planned, 0.1);
          const was = before[field];
          return (
            <Box
              component="li"
              key={row.speed}
              sx={{
                display: "flex",
                flexWrap: "wrap",
                gap: 1.5,
                alignItems: "center",
                py: 0.75,
                borderBottom: 1,
                borderColor: "divider",
              }}
            >
              <Box sx={{ fontWeight: 700, minWidth: 170 }}>{words}</Box>
              <Box sx={{ minWidth: 190 }}>
                {secondsText(row.seconds)}{" "}
                <Box component="span" sx={{ color: "text.secondary" }}>
                  learned, mostly {secondsText(row.lowest)} to {secondsText(row.highest)}
                </Box>
              </Box>
              <Box sx={{ color: "text.secondary", mr: "auto" }}>
                {row.evenings} {row.evenings === 1 ? "evening" : "evenings"}, {row.steps} steps
                {planned !== undefined && `; planned with ${secondsText(planned)}`}
              </Box>
              <Button
                aria-label={`Which evenings? ${words}`}
                aria-expanded={open === row.speed}
                onClick={() => setOpen(open === row.speed ? null : row.speed)}
              >
                Which evenings?
              </Button>
              {!row.enough ? (
                <span>too few evenings yet</span>
              ) : always ? (
                // Always planned with is what everybody’s evenings say.
                person === "" && <span>planned with, always</span>
              ) : was !== undefined ? (
                <Button
                  aria-label={`As before: ${words}`}
                  onClick={() => void take(field, was, undefined)}
                >
                  As before
                </Button>
              ) : same ? (
                <span>as planned</span>
              ) : (
                <Button
                  variant="outlined"
                  aria-label={`Plan with it: ${words}`}
                  onClick={() => void take(field, learned, planned)}
                >
                  Plan with it
                </Button>
              )}
              {open === row.speed && (
                <Box sx={{ flexBasis: "100%" }}>
                  <OfHands speed={row.speed} person={person} />
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
    </>
  );
}
