import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { type ReactNode, useState } from "react";
import type { Trouble } from "../api/client";
import { Told } from "../ui/Told";
import { useAlwaysLearned } from "./LearnedHabit";

export interface LearnedRow {
  key: string;
  what: string;
  learned: string;
  by: string;
  /** The same of its parts, such as single lots. */
  lots?: string[];
  /** Whether there are evenings enough to plan with it. */
  enough: boolean;
  /** Whether it is planned with. */
  taken: boolean;
  onPlan: (learned: boolean) => void;
  /** Drawn once somebody asks which evenings it is from. */
  behind: () => ReactNode;
}

interface Props {
  title: string;
  /** Said where nothing was learned yet. */
  none: string;
  /** The key that plans with what was told again. */
  before: string;
  rows: LearnedRow[];
  trouble: Trouble | null;
}

/** What was learned beside what was told, each planned with only when the maker says so. */
export function LearnedList({ title, none, before, rows, trouble }: Props) {
  return (
    <Box
      component="section"
      aria-label={`Learned: ${title.toLowerCase()}`}
      sx={{ display: "grid", gap: 1, maxWidth: 900 }}
    >
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        {title}
      </Box>
      {rows.length === 0 && <Box>{none}</Box>}
      {trouble && <Told trouble={trouble} />}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {rows.map((row) => (
          <Row key={row.key} row={row} before={before} />
        ))}
      </Box>
    </Box>
  );
}

function Row({ row, before }: { row: LearnedRow; before: string }) {
  const [open, setOpen] = useState(false);
  const always = useAlwaysLearned();
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "minmax(0, 1fr) auto" },
        columnGap: 2,
        alignItems: "center",
        py: 1,
        borderBottom: 1,
        borderColor: "divider",
      }}
    >
      <Box>
        <b>{row.what}</b>
        <Box>{row.learned}</Box>
        <Box sx={{ color: "text.secondary" }}>{row.by}</Box>
        {row.lots?.map((lot) => (
          <Box key={lot}>{lot}</Box>
        ))}
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
        <Button
          aria-label={`Which evenings? ${row.what}`}
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          Which evenings?
        </Button>
        {!row.enough ? (
          <span>too few evenings yet</span>
        ) : always ? (
          <span>planned with, always</span>
        ) : row.taken ? (
          <Button aria-label={`${before}: ${row.what}`} onClick={() => row.onPlan(false)}>
            {before}
          </Button>
        ) : (
          <Button
            variant="outlined"
            aria-label={`Plan with it: ${row.what}`}
            onClick={() => row.onPlan(true)}
          >
            Plan with it
          </Button>
        )}
      </Box>
      {open && <Box sx={{ gridColumn: "1 / -1" }}>{row.behind()}</Box>}
    </Box>
  );
}
