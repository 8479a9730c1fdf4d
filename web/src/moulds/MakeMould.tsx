import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { useMaking } from "../api/asking";
import { api, ask, type Mould, type MouldMaking, type Trouble } from "../api/client";
import { localTime } from "../session/newSession";
import { Fields, type FieldSpec } from "../ui/Fields";
import { OneOf } from "../ui/OneOf";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { newId } from "./newMould";

const STARTS: Record<MouldMaking["kind"], MouldMaking> = {
  PUTTY: {
    kind: "PUTTY",
    masterMl: 8,
    lengthMm: 34,
    widthMm: 34,
    heightMm: 20,
    wallMm: 10,
    partsA: 1,
    partsB: 1,
    overagePercent: 5,
    minutes: 5,
    hoursToReady: 1,
  },
  POURED: {
    kind: "POURED",
    masterMl: 20,
    lengthMm: 80,
    widthMm: 50,
    heightMm: 30,
    partsA: 10,
    partsB: 1,
    overagePercent: 8,
    minutes: 40,
    hoursToReady: 24,
  },
};

const mm = (path: string, label: string): FieldSpec => ({
  path,
  label,
  kind: "number",
  quantity: "LENGTH",
  needed: true,
  width: 125,
});

function specs(kind: MouldMaking["kind"]): FieldSpec[] {
  const of = kind === "PUTTY" ? "Master" : "Box inside";
  return [
    {
      path: "masterMl",
      label: "The master displaces",
      kind: "number",
      quantity: "VOLUME",
      needed: true,
      width: 175,
    },
    mm("lengthMm", `${of}, long`),
    mm("widthMm", "wide"),
    mm("heightMm", "high"),
    ...(kind === "PUTTY" ? [{ ...mm("wallMm", "Walls"), needed: false }] : []),
    { path: "partsA", label: "Parts A, by weight", kind: "number", needed: true, width: 145 },
    { path: "partsB", label: "Parts B", kind: "number", needed: true, width: 105 },
    { path: "density", label: "Density, if known", kind: "number", symbol: "g/mL", width: 155 },
    {
      path: "overagePercent",
      label: "To spare",
      kind: "number",
      symbol: "%",
      needed: true,
      width: 110,
    },
    {
      path: "minutes",
      label: "Can be worked for",
      kind: "number",
      symbol: "min",
      needed: true,
      width: 155,
    },
    {
      path: "hoursToReady",
      label: "First cast after",
      kind: "number",
      symbol: "h",
      needed: true,
      width: 145,
    },
  ];
}

/** Seconds to knead putty to one colour before the clock of its use is worth watching. */
const KNEAD_SECONDS = 60;

const KEY = "calm-pour/mould-under-way";

interface UnderWay {
  at: number;
  making: MouldMaking;
}

/** The mould under way, if one was begun in the last day: the putty does not stop for a reload. */
function underWay(): UnderWay | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "null") as UnderWay | null;
    return kept && Date.now() - kept.at < 86_400_000 ? kept : null;
  } catch {
    return null;
  }
}

/** Making a mould: what it takes, worked out before anything is opened, and a clock for the work. */
export function MakeMould() {
  const navigate = useNavigate();
  const units = useUnits();
  const [making, setMaking] = useState(() => underWay()?.making ?? STARTS.PUTTY);
  const { answer: need, trouble: unclear } = useMaking(making);
  const [failed, setTrouble] = useState<Trouble | null>(null);
  const trouble = failed ?? unclear;
  const [startedAt, setStartedAt] = useState<number | null>(() => underWay()?.at ?? null);
  const start = (at: number | null) => {
    if (at === null) {
      localStorage.removeItem(KEY);
    } else {
      localStorage.setItem(KEY, JSON.stringify({ at, making } satisfies UnderWay));
    }
    setStartedAt(at);
  };
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, []);
  const putty = making.kind === "PUTTY";
  const seconds = startedAt === null ? 0 : (now - startedAt) / 1000;
  const kneading = putty && seconds < KNEAD_SECONDS;
  const end = making.minutes * 60 + (putty ? KNEAD_SECONDS : 0);
  const left = Math.max(0, Math.ceil((kneading ? KNEAD_SECONDS : end) - seconds));
  const keep = async () => {
    const ready = new Date((startedAt ?? Date.now()) + making.hoursToReady * 3_600_000);
    const mould: Mould = {
      id: newId("mould"),
      name: "New mould",
      cavities: [
        {
          id: "main",
          name: "New mould",
          count: 1,
          measure: {
            method: "TOLD",
            toldMl: making.masterMl,
            plusMinusPercent: 6,
            parts: [],
            levels: [],
          },
        },
      ],
      make: { material: "SILICONE" },
      state: { casts: 0, clean: true, dry: true, readyFrom: localTime(ready) },
    };
    const answer = await ask(
      api.PUT("/api/moulds/{id}", { params: { path: { id: mould.id } }, body: mould }),
    );
    if (answer.status === "ok") {
      localStorage.removeItem(KEY);
      void navigate(`/moulds/${mould.id}`);
    } else {
      setTrouble(answer.trouble);
    }
  };
  return (
    <Box sx={{ display: "grid", gap: 1.5, pt: 1.5 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", px: 1, flexWrap: "wrap" }}>
        <Link href="/moulds">All moulds</Link>
        <Typography variant="h1">Make a mould</Typography>
      </Box>
      <Sheet
        title="What it takes"
        aside={
          <OneOf
            label="How it is made"
            choices={[
              ["PUTTY", "kneaded putty"],
              ["POURED", "poured rubber"],
            ]}
            chosen={making.kind}
            onChoose={(kind) => setMaking(STARTS[kind])}
          />
        }
      >
        <Fields
          key={making.kind}
          specs={specs(making.kind)}
          draft={making}
          errors={trouble?.errors ?? []}
          onChange={setMaking}
        />
        {trouble && trouble.errors.length === 0 && <Told trouble={trouble} />}
        {need && (
          <Box sx={{ mt: 2, opacity: trouble ? 0.45 : 1 }}>
            <Box sx={{ fontSize: "2rem", fontWeight: 600 }}>
              A {showWith(units.MASS, need.partAG)} and B {showWith(units.MASS, need.partBG)}
            </Box>
            <Box sx={{ color: "text.secondary" }}>
              {showWith(units.VOLUME, need.volumeMl)} for the whole{" "}
              {putty
                ? "master at once: putty cannot be stretched half way."
                : "box, the master taken off."}
            </Box>
          </Box>
        )}
      </Sheet>
      <Sheet title={putty ? "Kneading" : "Pouring"}>
        {startedAt === null ? (
          <>
            <Typography sx={{ mb: 1.5 }}>
              {putty
                ? "Both parts weighed, master clean and at hand, a quarter of an hour undisturbed. Once the two parts touch, do not stop."
                : "Rubber stirred and box sealed: pour in a thin stream at the lowest corner."}
            </Typography>
            <Button
              variant="contained"
              onClick={() => {
                setNow(Date.now());
                start(Date.now());
              }}
              sx={{ minHeight: 64, fontSize: "1.2rem", px: 4 }}
            >
              {putty ? "Mixed: start the clock" : "Poured: start the clock"}
            </Button>
          </>
        ) : (
          <Box role="timer" aria-label="Time left">
            <Box sx={{ fontSize: { xs: "3.4rem", sm: "5rem" }, fontWeight: 700, lineHeight: 1.1 }}>
              {Math.floor(left / 60)}:{String(left % 60).padStart(2, "0")}
            </Box>
            <Box sx={{ fontSize: "1.2rem", mb: 1.5 }}>
              {left === 0
                ? "Hands off now. Leave it alone until it is ready."
                : kneading
                  ? "Knead to one colour, no streaks. Do not stop."
                  : putty
                    ? "Press it round the master. Do not stop."
                    : "Fill up, tap the box, leave it level."}
            </Box>
            <Button variant="contained" onClick={() => void keep()}>
              Put it on the shelf, ready in {making.hoursToReady} h
            </Button>{" "}
            <Button onClick={() => start(null)}>Start over</Button>
          </Box>
        )}
        <Typography sx={{ color: "text.secondary", fontSize: "0.87rem", mt: 1.5 }}>
          Gloves that suit the rubber: latex ones can keep it from curing. A kitchen mould or tool
          never goes back to food. The safety data sheet comes first.
        </Typography>
      </Sheet>
    </Box>
  );
}
