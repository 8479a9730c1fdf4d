import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { AsTold, LookedBack, RunEvent, Trouble } from "../api/client";
import { later } from "../ui/later";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { dayAndTime } from "../words/time";
import { toldValue, toldWords } from "../words/told";

const ClockWrong = later(() => import("./ClockWrong").then((m) => m.ClockWrong));
const Correct = later(() => import("./Correct").then((m) => m.Correct));

interface Props {
  looked: LookedBack;
  at: (seconds: number) => string;
  /** Now, by the clock of the evening, ms. */
  now: () => number;
  onCorrect: (event: Omit<RunEvent, "id" | "at">) => Promise<Trouble | null>;
}

/** What was told, line by line: what was told wrong is corrected, and both stay to be seen. */
export function ToldLines({ looked, at, now, onCorrect }: Props) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const [line, setLine] = useState<AsTold | null>(null);
  const [clock, setClock] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const right = looked.told.filter((t) => t.was.length > 0);
  const shown = open ? looked.told : right;
  // Where one person told all of it, that is said once.
  const [first, ...others] = new Set(looked.told.map((t) => t.person));
  const alone = others.length === 0 ? first : undefined;
  if (looked.told.length === 0) {
    return null;
  }
  return (
    <Sheet
      title="As it was told"
      aside={right.length === 0 ? "nothing was corrected" : `${right.length} corrected`}
    >
      {alone !== undefined && <Box sx={{ color: "text.secondary" }}>Told by {alone}.</Box>}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {shown.map((t) => (
          <Box
            component="li"
            key={t.id}
            sx={{
              display: "flex",
              gap: 1.5,
              py: 0.5,
              alignItems: "center",
              borderBottom: 1,
              borderColor: "divider",
            }}
          >
            <Box sx={{ color: "text.secondary", flexShrink: 0, minWidth: 44 }}>
              {at(t.atSeconds)}
            </Box>
            <Box sx={{ minWidth: 0 }}>
              {toldWords(t, looked)}
              {toldValue(t, units) && (
                <>
                  : <b>{toldValue(t, units)}</b>
                </>
              )}
              {t.person !== undefined && alone === undefined && (
                <Box component="span" sx={{ color: "text.secondary" }}>
                  {" "}
                  (told by {t.person})
                </Box>
              )}
              {t.was.map((was, i) => (
                <Box key={i} sx={{ color: "text.secondary", fontSize: "0.9rem" }}>
                  was{" "}
                  {[at(was.atSeconds), toldValue({ ...t, ...was }, units)]
                    .filter(Boolean)
                    .join(", ")}
                  ; corrected{was.who && ` by ${was.who}`}: {was.why}
                </Box>
              ))}
            </Box>
            {open && (
              <Button
                variant="outlined"
                onClick={() => setLine(t)}
                aria-label={`Correct ${toldWords(t, looked)}, ${at(t.atSeconds)}`}
                sx={{ ml: "auto", minHeight: 48, "@media print": { display: "none" } }}
              >
                Correct
              </Button>
            )}
          </Box>
        ))}
      </Box>
      <Button
        variant="outlined"
        onClick={() => setOpen((o) => !o)}
        sx={{ minHeight: 56, mt: 1, "@media print": { display: "none" } }}
      >
        {open ? "Hide the lines" : "Correct a line…"}
      </Button>{" "}
      <Button
        onClick={() => setClock(true)}
        sx={{ minHeight: 56, mt: 1, "@media print": { display: "none" } }}
      >
        The clock was wrong…
      </Button>
      {trouble && <Told trouble={trouble} />}
      {looked.clocks.map(({ id, showed, began, why, who }) => (
        <Box key={id} sx={{ color: "text.secondary" }}>
          The clock showed {dayAndTime(new Date(showed), looked.session.zoneId)} when it began{" "}
          {dayAndTime(new Date(began), looked.session.zoneId)}; corrected{who && ` by ${who}`}:{" "}
          {why}{" "}
          <Button
            onClick={() => void onCorrect({ kind: "UNDONE", of: id, codes: [] }).then(setTrouble)}
            sx={{ minHeight: 48, "@media print": { display: "none" } }}
          >
            The clock was right
          </Button>
        </Box>
      ))}
      {clock && (
        <ClockWrong looked={looked} onCorrect={onCorrect} onClose={() => setClock(false)} />
      )}
      {line && (
        <Correct
          line={line}
          looked={looked}
          at={at}
          now={now}
          onCorrect={onCorrect}
          onClose={() => setLine(null)}
        />
      )}
    </Sheet>
  );
}
