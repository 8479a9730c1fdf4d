import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { AboutProvider } from "../api/asking";
import {
  api,
  ask,
  type FieldError,
  type PlanAnswer,
  type Resin,
  type Session,
  type Trouble,
} from "../api/client";
import { value } from "../api/queries";
import { here, localTime } from "../session/newSession";
import { Cautions } from "../ui/Cautions";
import { Fetched } from "../ui/Fetched";
import { NumberField } from "../ui/NumberField";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { Running } from "./Running";

const RESIN_ID = "just-mix";

/** A batch at once, without a mould: a total and a ratio, and the clock runs. */
export function JustMixScreen({ id }: { id: string }) {
  // A total that was measured elsewhere comes along in the address.
  const measuredMl = Number(/^total-([\d.]+)$/.exec(id ?? "")?.[1] ?? NaN);
  if (id && Number.isNaN(measuredMl)) {
    return <Opened id={id} />;
  }
  return <Asking measuredMl={Number.isNaN(measuredMl) ? null : measuredMl} />;
}

function Asking({ measuredMl }: { measuredMl: number | null }) {
  const navigate = useNavigate();
  const units = useUnits();
  const [total, setTotal] = useState<number | null>(measuredMl ?? 100);
  const [by, setBy] = useState<"massG" | "volumeMl">(measuredMl === null ? "massG" : "volumeMl");
  const [partsA, setA] = useState<number | null>(2);
  const [partsB, setB] = useState<number | null>(1);
  const [basis, setBasis] = useState<Resin["ratio"]["basis"]>("WEIGHT");
  const [potLife, setPotLife] = useState<number | null>(null);
  const [temperature, setTemperature] = useState<number | null>(22);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const errors: FieldError[] = trouble?.errors ?? [];
  const errorAt = (end: string) => errors.find((e) => e.field.endsWith(end));
  const [unread, setUnread] = useState<ReadonlySet<string>>(new Set());
  const readable = (field: string) => (ok: boolean) =>
    setUnread((now) => new Set([...now].filter((f) => f !== field).concat(ok ? [] : [field])));
  const go = async () => {
    // What is typed and cannot be read is told at its field; the number before it is not mixed.
    if (
      unread.size > 0 ||
      total === null ||
      partsA === null ||
      partsB === null ||
      temperature === null
    ) {
      return;
    }
    const ratio = `${partsA}:${partsB} ${basis === "WEIGHT" ? "by weight" : "by volume"}`;
    const session: Session = {
      name: `Mix of ${total} ${by === "massG" ? "g" : "mL"}, ${ratio}`,
      startsAt: localTime(new Date()),
      zoneId: here(),
      room: { temperatureC: temperature },
      resinId: RESIN_ID,
      justMix: { [by]: total },
      splitInto: 1,
      carried: {
        resins: [
          {
            id: RESIN_ID,
            name: `Resin ${ratio}`,
            kind: "CASTING",
            ratio: { partsA, partsB, basis },
            ...(potLife === null ? {} : { potLifeMinutes: potLife }),
          },
        ],
      },
    };
    const planned = await ask(api.POST("/api/plan", { body: session }));
    if (planned.status === "trouble") {
      setTrouble(planned.trouble);
      return;
    }
    const kept = await ask(api.POST("/api/sessions", { body: session }));
    if (kept.status === "trouble") {
      setTrouble(kept.trouble);
    } else {
      void navigate(`/mix/${kept.value.id}`);
    }
  };
  return (
    <Box
      component="form"
      aria-label="Just mix"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void go();
      }}
      sx={{ pt: 1.5, px: 1, maxWidth: 900 }}
    >
      <Typography variant="h1" sx={{ mb: 2 }}>
        Just mix
      </Typography>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-start" }}>
        <NumberField
          label="A and B together"
          value={total}
          onChange={setTotal}
          onReadable={readable("total")}
          unit={by === "massG" ? units.MASS : units.VOLUME}
          width={220}
          large
          autoFocus
          error={errorAt("justMix.massG") ?? errorAt("justMix.volumeMl")}
        />
        <TextField
          select
          label="Counted in"
          value={by}
          onChange={(e) => setBy(e.target.value as "massG" | "volumeMl")}
          sx={{ width: 140 }}
        >
          <MenuItem value="massG">weight</MenuItem>
          <MenuItem value="volumeMl">volume</MenuItem>
        </TextField>
        <NumberField
          label="Parts of A"
          value={partsA}
          onChange={setA}
          onReadable={readable("a")}
          width={130}
          large
          error={errorAt("ratio.partsA")}
        />
        <NumberField
          label="Parts of B"
          value={partsB}
          onChange={setB}
          onReadable={readable("b")}
          width={130}
          large
          error={errorAt("ratio.partsB")}
        />
        <TextField
          select
          label="Ratio is"
          value={basis}
          onChange={(e) => setBasis(e.target.value as Resin["ratio"]["basis"])}
          sx={{ width: 140 }}
        >
          <MenuItem value="WEIGHT">by weight</MenuItem>
          <MenuItem value="VOLUME">by volume</MenuItem>
        </TextField>
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", mt: 2, alignItems: "flex-start" }}>
        <NumberField
          label="Pot life (if known)"
          symbol="min"
          value={potLife}
          onChange={setPotLife}
          onReadable={readable("potLife")}
          optional
          width={190}
          error={errorAt("potLifeMinutes")}
        />
        <NumberField
          label="Room"
          unit={units.TEMPERATURE}
          value={temperature}
          onChange={setTemperature}
          onReadable={readable("temperature")}
          width={130}
          error={errorAt("temperatureC")}
        />
        <Button
          type="submit"
          variant="contained"
          sx={{ minHeight: 64, minWidth: 220, fontSize: "1.3rem" }}
        >
          Go
        </Button>
      </Box>
      {trouble && <Told trouble={trouble} />}
      <Cautions />
    </Box>
  );
}

interface Open {
  session: Session;
  revision: number;
  answer: PlanAnswer;
}

function Opened({ id }: { id: string }) {
  const query = useQuery<Open>({
    queryKey: ["kept", "mix", id],
    queryFn: async () => {
      const { session, revision } = await value(
        api.GET("/api/sessions/{id}", { params: { path: { id } } }),
      );
      // With its own id: it is not in its own way.
      const params = { query: { id } };
      const answer = await value(api.POST("/api/plan", { body: session, params }));
      return { session, revision, answer };
    },
  });
  return (
    <Fetched query={query} loading="Fetching the mix…">
      {(open) => <Mix id={id} open={open} />}
    </Fetched>
  );
}

function Mix({ id, open }: { id: string; open: Open }) {
  const about = useMemo(() => ({ session: open.session, id }), [open.session, id]);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  /** Moves the start so that the first contact of A and B is now. */
  const meetNow = async () => {
    const contact = open.answer.plan.batches[0]?.times.contactSeconds ?? 0;
    const startsAt = localTime(new Date(Date.now() - contact * 1000));
    const session = { ...open.session, startsAt, zoneId: here() };
    const answer = await ask(
      api.PUT("/api/sessions/{id}", {
        params: { path: { id }, query: { revision: open.revision } },
        body: session,
      }),
    );
    // A clock that was not restarted must not look as if it were.
    setTrouble(answer.status === "trouble" ? answer.trouble : null);
  };
  return (
    <>
      {trouble && <Told trouble={trouble} onRetry={() => void meetNow()} />}
      <AboutProvider value={about}>
        <Running session={open.session} answer={open.answer} onMeetNow={() => void meetNow()} />
      </AboutProvider>
    </>
  );
}
