import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import type { UseQueryResult } from "@tanstack/react-query";
import { useState } from "react";
import type { Behind, LearnedHand, ResinPace, Trouble } from "../../api/client";
import {
  useBehindDoses,
  useBehindDrift,
  useBehindFill,
  useBehindHands,
  useBehindLid,
  useBehindOverage,
  useBehindPace,
  useBehindStays,
} from "../../api/queries";
import { Fetched } from "../../ui/Fetched";
import { useUnits } from "../../units/UnitsProvider";
import { dayName } from "../../words/dates";
import { type BehindOf, behindText } from "../../words/learned";

/** The evenings behind something learned, each a way to its page. */
export function EveningsBehind({
  query,
  of,
}: {
  query: UseQueryResult<Behind[], Trouble>;
  of: BehindOf;
}) {
  const units = useUnits();
  return (
    <Fetched query={query} loading="Looking the evenings up…">
      {(evenings) => (
        <Box component="ul" aria-label="Evenings behind it" sx={{ m: 0, pl: 2.5, mt: 0.5 }}>
          {evenings.map((evening, at) => (
            <li key={`${evening.runId ?? "timed"} ${at}`}>
              <Link href={evening.runId ? `/pour/${evening.runId}/record` : "/practice/timing"}>
                {dayName(evening.day)}, {evening.runId ? evening.name : "timed by itself"}
              </Link>
              : {behindText(evening, of, units)}
              {evening.lot && `; lot ${evening.lot}`}
            </li>
          ))}
        </Box>
      )}
    </Fetched>
  );
}

/** What a figure of a plan was learned from, once somebody asks. */
export function LearnedFrom({ of, what }: { of: string; what: string }) {
  const [open, setOpen] = useState(false);
  const [kind = "", thing = "", ...rest] = of.split("/");
  const part = rest.join("/");
  return (
    <>
      <Button
        size="small"
        aria-label={`Which evenings? ${what}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{ py: 0 }}
      >
        Which evenings?
      </Button>
      {open &&
        (kind === "pace" ? (
          <OfPace resin={thing} of={part as ResinPace["of"]} />
        ) : kind === "stays" ? (
          <OfStays kind={thing} />
        ) : kind === "doses" ? (
          <OfDoses colourant={thing} />
        ) : kind === "hands" ? (
          <OfHands speed={thing as LearnedHand["speed"]} person={part} />
        ) : kind === "lid" ? (
          <OfLid mould={thing} />
        ) : kind === "overage" ? (
          <OfOverage />
        ) : kind === "drift" ? (
          <OfDrift />
        ) : (
          <OfFill mould={thing} cavity={part} />
        ))}
    </>
  );
}

function OfPace({ resin, of }: { resin: string; of: ResinPace["of"] }) {
  return <EveningsBehind query={useBehindPace(resin, of)} of="pace" />;
}

function OfDoses({ colourant }: { colourant: string }) {
  return <EveningsBehind query={useBehindDoses(colourant)} of="doses" />;
}

function OfStays({ kind }: { kind: string }) {
  return <EveningsBehind query={useBehindStays(kind)} of="stays" />;
}

function OfFill({ mould, cavity }: { mould: string; cavity: string }) {
  return <EveningsBehind query={useBehindFill(mould, cavity)} of="fill" />;
}

function OfLid({ mould }: { mould: string }) {
  return <EveningsBehind query={useBehindLid(mould)} of="lid" />;
}

/** @param person whose; empty for everybody's */
export function OfHands({ speed, person }: { speed: LearnedHand["speed"]; person: string }) {
  return <EveningsBehind query={useBehindHands(speed, person)} of="hands" />;
}

export function OfOverage() {
  return <EveningsBehind query={useBehindOverage()} of="overage" />;
}

export function OfDrift() {
  return <EveningsBehind query={useBehindDrift()} of="drift" />;
}
