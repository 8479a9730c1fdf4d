import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import type { RunLine } from "../api/client";
import { useRuns, useToday } from "../api/queries";
import { here } from "../session/newSession";
import { Cautions } from "../ui/Cautions";
import { Fetched } from "../ui/Fetched";
import { Empty } from "../ui/Told";
import { Unreadable } from "../ui/Unreadable";
import { dayAndTime } from "../words/time";

/** So many of those that are over stand here; the journal has them all. */
const LATEST = 8;

/** Evenings that are open, and those that are over. */
export function RunsScreen() {
  return (
    <Fetched query={useRuns()} loading="Looking for evenings…">
      {(lines) => <Runs lines={lines} />}
    </Fetched>
  );
}

function Runs({ lines }: { lines: RunLine[] }) {
  const unreadable = useToday().data?.unreadable ?? [];
  if (lines.length === 0) {
    return (
      <Empty title="Nothing has been poured yet">
        <p>
          Plan a session and press “Begin”: one step at a time then fills the screen, with every
          open cup’s clock beside it.
        </p>
        <Button variant="contained" href="/sessions">
          Choose a session
        </Button>
      </Empty>
    );
  }
  const over = lines.filter((l) => l.finishedAt !== undefined);
  const shown = lines.filter((l) => l.finishedAt === undefined || over.indexOf(l) < LATEST);
  return (
    <Box sx={{ px: 1, pt: 1.5 }}>
      <Box component="h1" sx={{ typography: "h1", m: 0 }}>
        Evenings
      </Box>
      <Unreadable names={unreadable} />
      <Box component="ul" sx={{ listStyle: "none", p: 0, maxWidth: 900 }}>
        {shown.map((line) => (
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
            <Link
              href={line.finishedAt ? `/pour/${line.id}/record` : `/pour/${line.id}`}
              sx={{ fontSize: "1.2rem", fontWeight: 700 }}
            >
              {line.name}
            </Link>
            <Box sx={{ color: "text.secondary" }}>
              begun {dayAndTime(new Date(line.begunAt), line.zoneId ?? here())}
              {line.finishedAt &&
                `, over ${dayAndTime(new Date(line.finishedAt), line.zoneId ?? here())}`}
            </Box>
            <Box sx={{ ml: "auto", display: "flex", gap: 1 }}>
              <Button
                variant="outlined"
                href={`/pour/${line.id}/record`}
                aria-label={`Record of ${line.name}`}
                sx={{ minHeight: 56 }}
              >
                Record
              </Button>
              {!line.finishedAt && (
                <Button variant="contained" href={`/pour/${line.id}`} sx={{ minHeight: 56 }}>
                  To the bench
                </Button>
              )}
            </Box>
          </Box>
        ))}
      </Box>
      {over.length > LATEST && <Link href="/journal">All {over.length} evenings: journal</Link>}
      <Cautions />
    </Box>
  );
}
