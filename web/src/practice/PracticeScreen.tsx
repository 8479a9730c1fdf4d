import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { type Pair, useWhatIf } from "../api/asking";
import { errorsUnder, type SetUp, type Tried } from "../api/client";
import { useWorkshop } from "../api/queries";
import { commonEnd, commonHottest } from "../drawing/curveScale";
import { Cautions } from "../ui/Cautions";
import { useAddressed } from "../ui/Going";
import { Loading } from "../ui/Loading";
import { Runaway } from "../ui/Runaway";
import { Sheet } from "../ui/Sheet";
import { Empty, Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { verdict } from "../words/practice";
import { PracticeTabs } from "./PracticeTabs";
import { SetUpForm } from "./SetUpForm";
import { TriedView } from "./TriedView";
import { begin, keep, kept } from "./setUps";

/** What if: two set-ups side by side, before anything is opened. */
export function PracticeScreen() {
  const shelves = useWorkshop();
  const units = useUnits();
  const [edited, setEdited] = useState<Pair | null>(null);
  const [looked, setLooked] = useAddressed("seen");
  const seen = looked === "piece" ? "piece" : "cup";
  const setSeen = (what: "cup" | "piece") => setLooked(what === "cup" ? null : what);
  const workshop = shelves.data;
  const [first] = useState(() => new WeakMap<object, Pair | null>());
  if (workshop && !first.has(workshop)) {
    first.set(workshop, kept(workshop) ?? begin(workshop));
  }
  const pair = edited ?? (workshop ? (first.get(workshop) ?? null) : null);
  const { answer, trouble, retry } = useWhatIf(pair);
  useEffect(() => {
    if (edited) {
      keep(edited);
    }
  }, [edited]);

  if (shelves.error && !workshop) {
    return <Told trouble={shelves.error} onRetry={() => void shelves.refetch()} />;
  }
  if (workshop && !pair) {
    return (
      <Empty title="No resin yet">
        <p>Put a resin on the shelf with what its label says; then it can be tried out here.</p>
        <Button variant="contained" href="/shelf/resins">
          To the shelf
        </Button>
      </Empty>
    );
  }
  if (!workshop || !pair || (!answer && !trouble)) {
    return <Loading>Working it out…</Loading>;
  }
  const edit = (side: keyof Pair, setUp: SetUp) => {
    setEdited({ ...pair, [side]: setUp });
    if (setUp.lies !== pair[side].lies) {
      setSeen(setUp.lies === "CUP" ? "cup" : "piece");
    }
  };
  const errors = trouble?.errors ?? [];
  const body = (tried: Tried) => (seen === "piece" && tried.piece ? tried.piece : tried.cup);
  const sides = [
    { side: "first", which: "The first", tried: answer?.first },
    { side: "second", which: "The second", tried: answer?.second },
  ] as const;
  const curves = sides.flatMap((s) => {
    const curve = s.tried && body(s.tried).curve;
    return curve ? [curve] : [];
  });
  const isPiece = seen === "piece" && sides.some((s) => s.tried?.piece);
  const until = commonEnd(curves, isPiece);
  const hottest = commonHottest(curves);
  return (
    <>
      <PracticeTabs here="whatif" />
      <Typography
        variant="h1"
        aria-live="polite"
        sx={{ px: 1, pt: 0.25, pb: 0.75, fontSize: "1.4rem" }}
      >
        {answer ? verdict(answer, units) : "What if?"}
      </Typography>
      {trouble && <Told trouble={trouble} {...(errors.length === 0 ? { onRetry: retry } : {})} />}
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "repeat(2, minmax(0, 1fr))" },
          gap: 1.5,
          alignItems: "start",
        }}
      >
        {sides.map(({ side, which, tried }) => (
          <Sheet
            key={side}
            title={which}
            aside={
              <Button
                onClick={() => edit(side, side === "first" ? pair.second : pair.first)}
                sx={{ minHeight: 30, py: 0 }}
              >
                Make it like the {side === "first" ? "second" : "first"}
              </Button>
            }
          >
            <SetUpForm
              which={which}
              setUp={pair[side]}
              workshop={workshop}
              ready={tried?.readyMinutes ?? null}
              errors={errorsUnder(errors, side)}
              onChange={(setUp) => edit(side, setUp)}
            />
            {tried && (
              <TriedView
                {...{ which, tried, workshop, seen, until, hottest }}
                setUp={pair[side]}
                onSee={setSeen}
              />
            )}
          </Sheet>
        ))}
      </Box>
      <Runaway />
      <Cautions />
    </>
  );
}
