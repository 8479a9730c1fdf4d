import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type Plan, type RunStep, type Seen } from "../api/client";
import { WrongMark } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { cupSeenWords, signWords } from "../words/rehearsal";
import { LOW } from "./low";
import { play } from "./sounds";
import type { Happened } from "./useRun";

const SPEEDS = [0, 1, 10, 60];

/** What is nearer than that nobody jumps to, s. */
const NEAR_SECONDS = 30;

interface Props {
  id: string;
  seen: Seen;
  speed: number;
  plan: Plan;
  shown: RunStep | undefined;
  /** The wait that is on the screen instead of a step. */
  waits: RunStep | undefined;
  /** Seconds from when the run was begun. */
  now: number;
  at: (seconds: number) => string;
  silent: boolean;
  tell: (...happened: Happened[]) => void;
  onClock: () => void;
}

/** What one would see at the bench of an evening that is only rehearsed, and its clock. */
export function Rehearsing(props: Props) {
  const { id, seen, speed, plan, shown, waits, now, at, silent, tell, onClock } = props;
  const units = useUnits();
  const navigate = useNavigate();
  const [said, setSaid] = useState<string | null>(null);
  const run = async (times: number, aheadSeconds = 0) => {
    const answer = await ask(
      api.PUT("/api/practice/rehearsals/{id}/clock", {
        params: { path: { id } },
        body: { speed: times, aheadSeconds },
      }),
    );
    setSaid(answer.status === "ok" ? null : answer.trouble.detail);
    onClock();
  };
  const end = async () => {
    const answer = await ask(
      api.POST("/api/practice/rehearsals/{id}/end", { params: { path: { id } } }),
    );
    if (answer.status === "ok") {
      void navigate(`/practice/rehearsed/${id}`);
    } else {
      setSaid(answer.trouble.detail);
    }
  };
  const until = waits ? waits.endSeconds : (shown?.notBeforeSeconds ?? 0);
  const key = {
    minHeight: 46,
    minWidth: { xs: 40, md: 56 },
    px: { xs: 0.5, md: 1.25 },
    fontSize: { xs: "0.85rem", md: "0.95rem" },
    [LOW]: { minHeight: 40 },
  };
  const { signs } = seen;
  const rings = !silent && signs.some((s) => s.kind === "PHONE_RINGS");
  useEffect(() => {
    if (rings) {
      play("phone");
    }
  }, [rings]);
  return (
    <Box
      component="section"
      aria-label="Rehearsal"
      sx={{
        border: 2,
        borderStyle: "dashed",
        borderColor: "text.secondary",
        borderRadius: 2,
        px: 1.5,
        py: 0.5,
        display: "flex",
        columnGap: 2,
        rowGap: 0.5,
        alignItems: "center",
        flexWrap: "wrap",
        maxHeight: "30dvh",
        overflow: "auto",
        fontSize: { xs: "0.95rem", md: "1.05rem" },
      }}
    >
      <Box sx={{ flex: "1 1 320px", minWidth: 0 }}>
        <Box sx={{ color: "text.secondary", display: "flex", columnGap: 1.5, flexWrap: "wrap" }}>
          <span>Thermometer on the wall: {showWith(units.TEMPERATURE, seen.roomC)}</span>
          {seen.bottlesC !== undefined && (
            <span>bottle in the hand: {showWith(units.TEMPERATURE, seen.bottlesC)}</span>
          )}
          {seen.cups.map((cup) => (
            <span key={cup.cupId}>{cupSeenWords(cup)}</span>
          ))}
        </Box>
        <Box
          role="status"
          aria-label="What you see"
          sx={{ fontWeight: 700, display: "flex", columnGap: 2, flexWrap: "wrap" }}
        >
          {signs.map((sign) => (
            <span key={`${sign.kind}/${sign.of ?? ""}/${sign.cupId ?? ""}`}>
              {signWords(sign, plan)}
            </span>
          ))}
        </Box>
        {said !== null && (
          <Box role="alert" sx={{ color: "error.main", display: "flex", gap: 1 }}>
            <WrongMark />
            {said}
          </Box>
        )}
      </Box>
      <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap", alignItems: "center" }}>
        {seen.warmable && shown && (
          <Button
            variant="outlined"
            onClick={() => tell({ kind: "CHECKED", of: `WARMED/${shown.batch}` })}
            sx={key}
          >
            Warm both bottles, 5 min
          </Button>
        )}
        {!seen.over && until - now > NEAR_SECONDS && (
          <Button
            variant="outlined"
            onClick={() => void run(speed, Math.ceil(until - now))}
            sx={key}
          >
            On to {at(until)}
          </Button>
        )}
        <Box role="group" aria-label="Clock of the rehearsal" sx={{ display: "flex", gap: 0.5 }}>
          {SPEEDS.map((s) => (
            <Button
              key={s}
              variant={s === speed ? "contained" : "outlined"}
              aria-pressed={s === speed}
              onClick={() => void run(s)}
              sx={key}
            >
              {s === 0 ? "Hold" : `×${s}`}
            </Button>
          ))}
        </Box>
        <Button
          variant={seen.over ? "contained" : "text"}
          onClick={() => void end()}
          sx={seen.over ? { ...key, minHeight: 64, fontSize: "1.2rem" } : key}
        >
          {seen.over ? "See how it went" : "End here"}
        </Button>
      </Box>
    </Box>
  );
}
