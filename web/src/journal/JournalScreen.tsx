import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { JournalFound, JournalWanted } from "../api/client";
import { useJournal } from "../api/queries";
import { useAddressed } from "../ui/Going";
import { OneOf } from "../ui/OneOf";
import { Loading } from "../ui/Loading";
import { Empty, Told } from "../ui/Told";
import { DayField } from "../ui/When";
import { useUnits } from "../units/UnitsProvider";
import { JOINS, rooms, yieldBy } from "../words/found";
import { FAULTS } from "../words/record";
import { Evenings } from "./Evenings";
import { LearnedHabit } from "./LearnedHabit";
import { LearnedHands } from "./LearnedHands";
import { LearnedFills } from "./LearnedFills";
import { LearnedLids } from "./LearnedLids";
import { LearnedOverage } from "./LearnedOverage";
import { LearnedPaces } from "./LearnedPaces";
import { LearnedDoses } from "./LearnedDoses";
import { LearnedStays } from "./LearnedStays";
import { LearnedRoom } from "./LearnedRoom";
import { Swatches } from "./Swatches";
import { ProvenDepths } from "./ProvenDepths";
import { WithoutRecord } from "./WithoutRecord";
import { Yields } from "./Yields";

const PARTS = ["evenings", "yields", "hands", "swatches", "fault"] as const;
type Part = (typeof PARTS)[number];

/** What was done and what came of it: found as one types, counted, and looked into. */
export function JournalScreen() {
  const [part, setPart] = useAddressed("part");
  const [wanted, setWanted] = useState<JournalWanted>({});
  const query = useJournal(wanted);
  // An address that nobody knows any more leads to what is read most.
  const shown: Part = PARTS.find((known) => known === part) ?? "evenings";
  const [by] = useAddressed("by");
  const table = {
    evenings: "/api/journal/pieces.csv",
    yields: `/api/journal/yields.csv?by=${yieldBy(by)}`,
    hands: "/api/journal/learned.csv",
    swatches: "/api/swatches/swatches.csv",
    fault: null,
  }[shown];
  const { found } = query;
  const pending = found?.pending ?? 0;
  const some = Object.values(wanted).some((v) => v !== undefined && v !== "");
  return (
    <Box sx={{ px: 1, pt: 1.5, display: "grid", gap: 1.5, gridTemplateColumns: "minmax(0, 1fr)" }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
        <Box component="h1" sx={{ typography: "h1", m: 0 }}>
          Journal
        </Box>
        <OneOf<Part>
          label="What is shown"
          choices={[
            ["evenings", "evenings and pieces"],
            ["yields", "how many came out well"],
            ["hands", "learned"],
            ["swatches", "swatch book"],
            ["fault", "what went wrong?"],
          ]}
          chosen={shown}
          onChoose={(to) => setPart(to === "evenings" ? null : to)}
        />
        <Box sx={{ ml: "auto", display: "flex", gap: 1 }}>
          <Button onClick={() => window.print()}>Print</Button>
          {table !== null && (
            <Button href={table} component="a" download>
              Save as a table
            </Button>
          )}
        </Box>
      </Box>
      {pending > 0 && (
        <Box role="status" sx={{ color: "text.secondary" }}>
          {pending} {pending === 1 ? "evening is" : "evenings are"} still being read.
        </Box>
      )}
      {/* What is counted before all are read would be wrong. */}
      {shown === "yields" && pending === 0 && <Yields />}
      {shown === "hands" && pending === 0 && (
        <>
          <LearnedHabit />
          <LearnedPaces />
          <LearnedFills />
          <LearnedLids />
          <LearnedStays />
          <LearnedDoses />
          <ProvenDepths />
          <LearnedOverage />
          <LearnedRoom />
          <LearnedHands />
        </>
      )}
      {shown === "swatches" && <Swatches />}
      {shown === "fault" && <WithoutRecord />}
      {shown === "evenings" && (
        <>
          <Filters found={found} wanted={wanted} onWant={setWanted} />
          {query.error && <Told trouble={query.error} onRetry={() => void query.refetch()} />}
          {!found && !query.error && <Loading>Fetching the journal…</Loading>}
          {found && found.evenings.length > 0 && (
            <Evenings
              found={found}
              onOlder={
                query.hasNextPage && !query.isFetchingNextPage
                  ? () => void query.fetchNextPage()
                  : null
              }
            />
          )}
          {found?.evenings.length === 0 && found.pending === 0 && (
            <Nothing sought={some} onAll={() => setWanted({})} />
          )}
        </>
      )}
    </Box>
  );
}

function Nothing({ sought, onAll }: { sought: boolean; onAll: () => void }) {
  return sought ? (
    <Empty title="No piece matches">
      <Button variant="contained" onClick={onAll}>
        Show all
      </Button>
    </Empty>
  ) : (
    <Empty title="Nothing in the journal yet">
      <p>Every evening you pour is kept here by itself, with what became of each piece.</p>
      <Button variant="contained" href="/sessions">
        Choose a session
      </Button>
    </Empty>
  );
}

interface FiltersProps {
  found: JournalFound | undefined;
  wanted: JournalWanted;
  onWant: (wanted: JournalWanted) => void;
}

const GRADES = [
  ["GOOD", "good"],
  ["SECOND", "second"],
  ["LOST", "lost"],
  ["NONE", "not looked at"],
] as const;

function Filters({ found, wanted, onWant }: FiltersProps) {
  const units = useUnits();
  const set = (change: JournalWanted) => onWant({ ...wanted, ...change });
  const theirRooms = rooms(units);
  const chooses = (
    label: string,
    key: "mould" | "resin" | "colour" | "lot" | "join" | "fault" | "grade",
    choices: readonly (readonly [string, string])[],
  ) => choosing(label, wanted[key] ?? "", (to) => set({ [key]: to } as JournalWanted), choices);
  const choosing = (
    label: string,
    chosen: string,
    onChoose: (to: string | undefined) => void,
    choices: readonly (readonly [string, string])[],
  ) => (
    <TextField
      select
      label={label}
      value={chosen}
      onChange={(e) => onChoose(e.target.value || undefined)}
      sx={{ width: 170 }}
      slotProps={{ select: { displayEmpty: true } }}
    >
      <MenuItem value="">any</MenuItem>
      {choices.map(([id, name]) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  const named = (all: { id: string; name: string }[] = []) =>
    all.map((c) => [c.id, c.name] as const);
  return (
    <Box
      role="search"
      sx={{ display: "flex", gap: 1, flexWrap: "wrap", "@media print": { display: "none" } }}
    >
      <TextField
        label="Find"
        value={wanted.words ?? ""}
        placeholder="mould, colour, resin, fault, code, a word"
        onChange={(e) => set({ words: e.target.value || undefined })}
        slotProps={{ htmlInput: { maxLength: 200 } }}
        sx={{ width: 300 }}
      />
      {chooses("Mould", "mould", named(found?.moulds))}
      {chooses("Colour", "colour", named(found?.colours))}
      {chooses("Resin", "resin", named(found?.resins))}
      {chooses("Lot", "lot", named(found?.lots))}
      {chooses("Join", "join", Object.entries(JOINS))}
      {choosing(
        "Room",
        wanted.roomFrom === undefined && wanted.roomBelow === undefined
          ? ""
          : `${wanted.roomFrom ?? ""}-${wanted.roomBelow ?? ""}`,
        (to) =>
          set({
            roomFrom: undefined,
            roomBelow: undefined,
            ...theirRooms.find((r) => r.key === to)?.wanted,
          } as JournalWanted),
        theirRooms.map((r) => [r.key, r.words] as const),
      )}
      {chooses(
        "Fault",
        "fault",
        FAULTS.map((f) => [f.fault, f.words] as const),
      )}
      {chooses("Grade", "grade", GRADES)}
      <DayField
        label="From"
        value={wanted.from ?? ""}
        onChange={(day) => set({ from: day || undefined })}
      />
      <DayField
        label="To"
        value={wanted.to ?? ""}
        onChange={(day) => set({ to: day || undefined })}
      />
    </Box>
  );
}
