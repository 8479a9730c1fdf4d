import Button from "@mui/material/Button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import type { DueLine } from "../api/client";
import { dayAndTime } from "../words/time";

interface Props {
  due: DueLine;
  now: number;
  onPutOff: (minutes: number) => void;
}

const HOUR = 60;
const CHOICES: readonly [words: string, minutes: number][] = [
  ["in an hour", HOUR],
  ["in three hours", 3 * HOUR],
  ["tomorrow, this time", 24 * HOUR],
  ["in three days", 72 * HOUR],
];

/** Not now: later, but no later than the resin allows. */
export function PutOff({ due, now, onPutOff }: Props) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const latest = due.until === undefined ? Infinity : (Date.parse(due.until) - now) / 60_000;
  const fits = CHOICES.filter(([, minutes]) => minutes < latest);
  return (
    <>
      <Button onClick={(e) => setAt(e.currentTarget)} aria-haspopup="menu" sx={{ minHeight: 48 }}>
        Later
      </Button>
      <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
        {fits.map(([words, minutes]) => (
          <MenuItem
            key={words}
            onClick={() => {
              setAt(null);
              onPutOff(minutes);
            }}
            sx={{ minHeight: 48 }}
          >
            {words}
          </MenuItem>
        ))}
        {latest < Infinity && (
          <MenuItem
            onClick={() => {
              setAt(null);
              onPutOff(Math.max(0, Math.floor(latest)));
            }}
            sx={{ minHeight: 48 }}
          >
            at the latest that works: {dayAndTime(new Date(now + latest * 60_000), due.zoneId)}
          </MenuItem>
        )}
      </Menu>
    </>
  );
}
