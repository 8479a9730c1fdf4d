import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { type SetUp, type TimingView, type Trouble, type Workshop } from "../api/client";
import { useBeginTiming, useTimings, useWorkshop } from "../api/queries";
import { here } from "../session/newSession";
import { Cautions } from "../ui/Cautions";
import { Fetched } from "../ui/Fetched";
import { NumberField } from "../ui/NumberField";
import { Runaway } from "../ui/Runaway";
import { Sheet } from "../ui/Sheet";
import { Empty, Told } from "../ui/Told";
import { PracticeTabs } from "./PracticeTabs";
import { SetUpForm } from "./SetUpForm";
import { begin as beginning } from "./setUps";
import { Timed } from "./Timed";

/** A resin is mixed to see how long it takes: mixed at, poured at, looked at, out at. */
export function TimingScreen() {
  const begin = (
    <Fetched query={useWorkshop()} loading="Fetching the shelves…">
      {(workshop) => <Begin workshop={workshop} />}
    </Fetched>
  );
  const timed = (now: string) => (timing: TimingView) => (
    <Timed key={timing.id} timing={timing} now={Date.parse(now)} />
  );
  return (
    <Box sx={{ px: 1, display: "grid", gap: 1.5, gridTemplateColumns: "minmax(0, 1fr)" }}>
      <PracticeTabs here="timing" />
      <Box component="h1" sx={{ typography: "h1", m: 0 }}>
        Time a resin
      </Box>
      <Box sx={{ color: "text.secondary", maxWidth: 760 }}>
        Mix a little, and say now and then how it is. From three times on, evenings counted in, its
        own clock can be planned with. Pour some into a mould: that also tells when it comes out.
      </Box>
      <Fetched query={useTimings()} loading="Fetching what you timed…">
        {({ timings, unreadable, now }) => (
          <>
            {unreadable.map((name) => (
              <Box key={name} role="alert">
                {name}: what was timed cannot be read.
              </Box>
            ))}
            {/* What is under way first: somebody stands there with a stick. */}
            {timings.filter((t) => !t.over).map(timed(now))}
            {begin}
            {timings.filter((t) => t.over).map(timed(now))}
          </>
        )}
      </Fetched>
      <Runaway />
      <Cautions />
    </Box>
  );
}

function Begin({ workshop }: { workshop: Workshop }) {
  const [setUp, setSetUp] = useState<SetUp | null>(() => {
    const first = beginning(workshop)?.first;
    return first ? { ...first, massG: 50 } : null;
  });
  const [ago, setAgo] = useState<number | null>(0);
  const [readable, setReadable] = useState(true);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const beginTiming = useBeginTiming(setTrouble);
  if (!setUp) {
    return (
      <Empty title="No resin yet">
        <p>Put it on the shelf first. What its label does not say may stay unknown.</p>
        <Button variant="contained" href="/shelf/resins">
          To the shelf
        </Button>
      </Empty>
    );
  }
  const errors = (trouble?.errors ?? []).map((e) => ({
    ...e,
    field: e.field.replace(/^setUp\./, ""),
  }));
  return (
    <Sheet title="What you mix">
      <SetUpForm
        which="Your"
        setUp={setUp}
        workshop={workshop}
        ready={null}
        errors={errors}
        onChange={setSetUp}
      />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center", mt: 1.5 }}>
        <Button
          variant="contained"
          disabled={!readable}
          onClick={() => beginTiming(setUp, ago ?? 0, here())}
          sx={{ minHeight: 64, fontSize: "1.15rem", px: 3 }}
        >
          Mixed: start the clock
        </Button>
        <NumberField
          label="Mixed how long ago"
          symbol="min"
          value={ago}
          optional
          onChange={setAgo}
          onReadable={setReadable}
          error={errors.find((e) => e.field === "minutesAgo")}
          width={190}
        />
      </Box>
      {trouble && errors.length === 0 && <Told trouble={trouble} />}
    </Sheet>
  );
}
