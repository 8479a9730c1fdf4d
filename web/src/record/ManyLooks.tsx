import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import { useEffect, useRef, useState, type KeyboardEvent } from "react";
import type { LookOver, PieceOut, Trouble } from "../api/client";
import { GradeMark } from "../drawing/GradeMark";
import { Swatch } from "../ui/Swatch";
import { Told } from "../ui/Told";
import { FAULTS, faultWords, VERDICTS } from "../words/record";

type Verdict = LookOver["verdict"];

interface Props {
  pieces: PieceOut[];
  name: (piece: PieceOut) => string;
  swatch: (piece: PieceOut) => string;
  /** What is wrong; null where it was taken. */
  onLooked: (pieces: string[], look: LookOver) => Promise<Trouble | null>;
  onClose: () => void;
}

/** Where all of it fits on the screen, faults stand there from the beginning, px. */
const ROOM_FOR_FAULTS = 740;

const KEYS: Record<string, Verdict> = { g: "GOOD", s: "SECOND", l: "LOST" };
const LABELS: Record<Verdict, string> = { GOOD: "Good", SECOND: "Second", LOST: "Lost" };

/** Many pieces looked over at once, by thumb or by keys. */
export function ManyLooks({ pieces, name, swatch, onLooked, onClose }: Props) {
  const unseen = pieces.filter((p) => !p.lookedOver).map((p) => p.piece);
  const [chosen, setChosen] = useState<string[]>(unseen);
  const [faults, setFaults] = useState<LookOver["faults"]>([]);
  const [choosing, setChoosing] = useState(
    Math.min(window.innerHeight, window.innerWidth) >= ROOM_FOR_FAULTS,
  );
  const grid = useRef<HTMLDivElement>(null);
  useEffect(() => {
    grid.current?.querySelector("button")?.focus();
  }, []);
  const toggle = (piece: string) =>
    setChosen((c) => (c.includes(piece) ? c.filter((x) => x !== piece) : [...c, piece]));
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const grade = async (verdict: Verdict, which = chosen) => {
    if (which.length > 0) {
      const look = { verdict, faults: verdict === "GOOD" ? [] : faults, marks: [] };
      setChosen((c) => c.filter((x) => !which.includes(x)));
      setFaults([]);
      const wrong = await onLooked(which, look);
      setTrouble(wrong);
      if (wrong) {
        // Nothing was kept: they are chosen as they were.
        setChosen((c) => [...new Set([...c, ...which])]);
        setFaults(look.faults);
      }
    }
  };
  const key = (event: KeyboardEvent, piece: string) => {
    const tiles = [...(grid.current?.querySelectorAll("button") ?? [])];
    const at = tiles.indexOf(event.currentTarget as HTMLButtonElement);
    const across = getComputedStyle(grid.current as Element).gridTemplateColumns.split(" ").length;
    const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: across, ArrowUp: -across }[event.key];
    const verdict = KEYS[event.key.toLowerCase()];
    if (by !== undefined) {
      event.preventDefault();
      tiles[at + by]?.focus();
    } else if (verdict && !event.repeat && !event.ctrlKey && !event.metaKey && !event.altKey) {
      event.preventDefault();
      // The one under the hand counts, unless it is one of those that were chosen.
      void grade(verdict, chosen.includes(piece) ? chosen : [piece]);
      tiles[at + 1]?.focus();
    }
  };
  return (
    <Box
      role="dialog"
      aria-label="Look over the pieces"
      onKeyDown={(e) => e.key === "Escape" && onClose()}
      sx={{
        position: "fixed",
        inset: 0,
        zIndex: 1150,
        bgcolor: "background.default",
        p: { xs: 1.5, md: 3 },
        display: "flex",
        flexDirection: "column",
        gap: 1.5,
      }}
    >
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "baseline", flexWrap: "wrap" }}>
        <Box component="h2" sx={{ typography: "h1", m: 0 }}>
          Look over the pieces
        </Box>
        <Box role="status" sx={{ color: "text.secondary" }}>
          {chosen.length} of {pieces.length} chosen
          {unseen.length === 0 && "; all are looked over"}
        </Box>
        <Box sx={{ ml: "auto", display: "flex", gap: 1 }}>
          <Button onClick={() => setChosen(pieces.map((p) => p.piece))}>All</Button>
          <Button onClick={() => setChosen(unseen)}>Not looked at yet</Button>
          <Button onClick={() => setChosen([])}>None</Button>
        </Box>
      </Box>
      <Box
        ref={grid}
        role="group"
        aria-label="Pieces"
        sx={{
          flex: 1,
          minHeight: 120,
          overflow: "auto",
          display: "grid",
          alignContent: "start",
          gridTemplateColumns: "repeat(auto-fill, minmax(165px, 1fr))",
          gap: 1,
          p: 0.5,
        }}
      >
        {pieces.map((p) => {
          const on = chosen.includes(p.piece);
          return (
            <ButtonBase
              key={p.piece}
              role="checkbox"
              aria-checked={on}
              onClick={() => toggle(p.piece)}
              onKeyDown={(e) => key(e, p.piece)}
              sx={{
                minHeight: 72,
                px: 1.25,
                gap: 1,
                borderRadius: 2,
                border: 3,
                borderColor: on ? "text.primary" : "divider",
                justifyContent: "flex-start",
                textAlign: "left",
                font: "inherit",
                "&:focus-visible": { outline: 3, outlineOffset: 2 },
              }}
            >
              <Swatch colour={swatch(p)} />
              <Box sx={{ minWidth: 0, lineHeight: 1.2 }}>
                <Box sx={{ fontWeight: 700 }}>{name(p)}</Box>
                <Box sx={{ display: "flex", gap: 0.75, color: "text.secondary" }}>
                  <GradeMark grade={p.lookedOver?.verdict} />
                  {p.lookedOver ? VERDICTS[p.lookedOver.verdict] : "not looked at"}
                </Box>
                {p.lookedOver?.faults.map((f) => (
                  <Box key={f} sx={{ color: "error.main", fontSize: "0.85rem" }}>
                    {faultWords(f)}
                  </Box>
                ))}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
      {trouble && <Told trouble={trouble} />}
      {choosing && (
        <Box
          role="group"
          aria-label="What is wrong with them"
          sx={{ display: "flex", gap: 1, flexWrap: "wrap", maxHeight: "30vh", overflow: "auto" }}
        >
          {FAULTS.map(({ fault, words }) => (
            <Button
              key={fault}
              role="checkbox"
              aria-checked={faults.includes(fault)}
              variant={faults.includes(fault) ? "contained" : "outlined"}
              onClick={() =>
                setFaults((f) => (f.includes(fault) ? f.filter((x) => x !== fault) : [...f, fault]))
              }
              sx={{ minHeight: 48 }}
            >
              {words}
            </Button>
          ))}
        </Box>
      )}
      <Box sx={{ color: "text.secondary", display: { xs: "none", md: "block" } }}>
        Keys: arrows to move, space to choose, G good, S second, L lost.
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <Button onClick={onClose} sx={{ minHeight: 72, flex: "1 1 90px" }}>
          Back
        </Button>
        <Button
          variant="outlined"
          aria-pressed={choosing}
          onClick={() => setChoosing((c) => !c)}
          sx={{ minHeight: 72, flex: "1 1 90px" }}
        >
          {faults.length > 0 ? `${faults.length} faults` : "Faults"}
        </Button>
        {(Object.keys(LABELS) as Verdict[]).map((v) => (
          <Button
            key={v}
            variant="contained"
            disabled={chosen.length === 0}
            onClick={() => void grade(v)}
            sx={{ minHeight: 72, flex: "2 1 90px", fontSize: "1.2rem" }}
          >
            {LABELS[v]}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
