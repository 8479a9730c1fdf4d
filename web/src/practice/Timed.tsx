import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Felt, TimingView, Trouble } from "../api/client";
import { useTellTiming } from "../api/queries";
import { NumberField } from "../ui/NumberField";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { CUP_WORDS, FELT, PIECE_WORDS } from "../words/felt";
import { momentText, nextLook, since, timedText } from "../words/timing";

/** One resin that is timed, with a key for everything it can be like. */
export function Timed({ timing, now }: { timing: TimingView; now: number }) {
  const units = useUnits();
  const [ago, setAgo] = useState<number | null>(0);
  const [readable, setReadable] = useState(true);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const tell = useTellTiming(timing.id, setTrouble);
  const { setUp, looks } = timing;
  const say = (event: Parameters<typeof tell>[0]) => {
    tell({ ...event, minutesAgo: ago ?? 0 });
    setAgo(0);
  };
  const at = (when: string) => momentText(new Date(when), now, timing.zoneId);
  const pours = setUp.lies !== "CUP";
  const words = (piece: boolean, what: string, all: readonly Felt["word"][]) => (
    <Box role="group" aria-label={what} sx={{ mt: 1 }}>
      <b>{what}</b>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 0.5 }}>
        {all.map((word) => (
          <Button
            key={word}
            variant="outlined"
            disabled={!readable}
            onClick={() => say({ kind: "FELT", piece, word })}
            sx={{ minHeight: 56, fontSize: "1.05rem" }}
          >
            {FELT[word]}
          </Button>
        ))}
      </Box>
    </Box>
  );
  const error = trouble?.errors.find((e) => e.field === "minutesAgo");
  return (
    <Sheet
      title={timing.resinName}
      aside={`${showWith(units.MASS, setUp.massG)} at ${showWith(units.TEMPERATURE, setUp.roomC)}${timing.lot ? `, lot ${timing.lot}` : ""}`}
    >
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "baseline" }}>
        <Box role="timer" sx={{ typography: "h1" }}>
          {timing.over ? "over" : since(timing.metAt, now)}
        </Box>
        <Box sx={{ color: "text.secondary" }}>
          mixed {at(timing.metAt)}
          {timing.pouredAt && `, poured ${at(timing.pouredAt)}`}
        </Box>
      </Box>
      {!timing.over && (
        <>
          <Box role="status">{nextLook(timing, now)}</Box>
          {words(false, "What is in the cup", CUP_WORDS)}
          {pours && timing.pouredAt && words(true, "What you poured", PIECE_WORDS)}
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center", mt: 1.5 }}>
            {pours && !timing.pouredAt && (
              <Button
                variant="contained"
                disabled={!readable}
                onClick={() => say({ kind: "POURED" })}
                sx={{ minHeight: 56 }}
              >
                Poured
              </Button>
            )}
            <NumberField
              label="That was how long ago"
              symbol="min"
              value={ago}
              optional
              onChange={setAgo}
              onReadable={setReadable}
              error={error}
              width={200}
            />
            <Button onClick={() => say({ kind: "OVER" })}>No more looks</Button>
          </Box>
        </>
      )}
      {trouble && !error && <Told trouble={trouble} />}
      <Box component="ul" aria-label="How it was" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {looks.map((look) => (
          <Box
            component="li"
            key={look.id}
            sx={{ display: "flex", gap: 1.5, alignItems: "center" }}
          >
            <Box sx={{ color: "text.secondary", flexShrink: 0 }}>{at(look.at)}</Box>
            <span>
              {look.piece ? "what you poured" : "the cup"}: <b>{FELT[look.word]}</b>
            </span>
            {!timing.over && (
              <Button
                size="small"
                aria-label={`Take back: ${FELT[look.word]}, ${at(look.at)}`}
                onClick={() => tell({ kind: "UNDONE", undoes: look.id })}
              >
                Take back
              </Button>
            )}
          </Box>
        ))}
      </Box>
      {timing.says.map((pace) => (
        <Box key={pace.of} sx={{ mt: 0.5 }}>
          {timedText(pace, units)}
        </Box>
      ))}
    </Sheet>
  );
}
