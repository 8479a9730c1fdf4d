import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
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
  type Usual,
} from "../api/client";
import { useUsual, useWorkshop, value } from "../api/queries";
import { here, localTime } from "../session/newSession";
import { Cautions } from "../ui/Cautions";
import { Fetched } from "../ui/Fetched";
import { NumberField } from "../ui/NumberField";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { keepMix, lastMix, NOTHING_MIXED, NOW, RESIN_ID } from "./lastMix";
import { Running } from "./Running";

/** A batch at once, without a mould: a total and a ratio, and the clock runs. */
export function JustMixScreen({ id }: { id: string }) {
  const usual = useUsual();
  const shelf = useWorkshop();
  // A total that was measured elsewhere comes along in the address.
  const measuredMl = Number(/^total-([\d.]+)$/.exec(id ?? "")?.[1] ?? NaN);
  if (id && Number.isNaN(measuredMl)) {
    return <Opened id={id} />;
  }
  return (
    <Fetched query={usual} loading="Fetching how you work…">
      {(view) => (
        <Fetched query={shelf} loading="Fetching the shelf…">
          {({ resins }) => (
            <Asking
              measuredMl={Number.isNaN(measuredMl) ? null : measuredMl}
              usual={view.usual}
              resins={resins ?? []}
            />
          )}
        </Fetched>
      )}
    </Fetched>
  );
}

/** Fields that are there only while no resin of the shelf is chosen. */
const OF_A_RATIO = new Set(["a", "b", "potLife"]);

interface AskingProps {
  measuredMl: number | null;
  usual: Usual;
  resins: Resin[];
}

function Asking({ measuredMl, usual, resins }: AskingProps) {
  const navigate = useNavigate();
  const units = useUnits();
  const [last] = useState(lastMix);
  const [total, setTotal] = useState<number | null>(
    measuredMl ?? last?.session.justMix?.massG ?? last?.session.justMix?.volumeMl ?? 100,
  );
  const [by, setBy] = useState<"massG" | "volumeMl">(
    measuredMl !== null || last?.session.justMix?.volumeMl !== undefined ? "volumeMl" : "massG",
  );
  const told = last?.session.carried?.resins?.find((r) => r.id === RESIN_ID);
  const [partsA, setA] = useState<number | null>(told?.ratio.partsA ?? 2);
  const [partsB, setB] = useState<number | null>(told?.ratio.partsB ?? 1);
  const [basis, setBasis] = useState<Resin["ratio"]["basis"]>(told?.ratio.basis ?? "WEIGHT");
  const [potLife, setPotLife] = useState<number | null>(told?.potLifeMinutes ?? null);
  const [resinId, setResinId] = useState(last ? last.session.resinId : (usual.resinId ?? ""));
  const resin = resins.find((r) => r.id === resinId);
  const [temperature, setTemperature] = useState<number | null>(usual.room.temperatureC);
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
      name: `Mix of ${total} ${by === "massG" ? "g" : "mL"}, ${resin?.name ?? ratio}`,
      startsAt: localTime(new Date()),
      zoneId: here(),
      room: { temperatureC: temperature },
      resinId: resin?.id ?? RESIN_ID,
      justMix: { [by]: total },
      splitInto: 1,
      habits: usual.habits,
      hands: usual.hands,
      ...(resin
        ? {}
        : {
            carried: {
              resins: [
                {
                  id: RESIN_ID,
                  name: `Resin ${ratio}`,
                  kind: "CASTING" as const,
                  ratio: { partsA, partsB, basis },
                  ...(potLife === null ? {} : { potLifeMinutes: potLife }),
                },
              ],
            },
          }),
    };
    const planned = await ask(api.POST("/api/plan", { body: session }));
    if (planned.status === "trouble") {
      setTrouble(planned.trouble);
      return;
    }
    keepMix(session);
    void navigate(`/mix/${NOW}`);
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
      sx={{ pt: 1.5, px: 1, maxWidth: 1000 }}
    >
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", flexWrap: "wrap", mb: 2 }}>
        <Typography variant="h1">Just mix</Typography>
        {last && <Link href={`/mix/${NOW}`}>Back to “{last.session.name}”</Link>}
      </Box>
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
        {resins.length > 0 && (
          <TextField
            select
            label="Resin"
            value={resin?.id ?? ""}
            onChange={(e) => {
              setResinId(e.target.value);
              // What stood in fields that are gone keeps nobody from mixing.
              setUnread((now) => new Set([...now].filter((f) => !OF_A_RATIO.has(f))));
            }}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            sx={{ width: 230 }}
          >
            <MenuItem value="">by its ratio alone</MenuItem>
            {resins.map((r) => (
              <MenuItem key={r.id} value={r.id}>
                {r.name}
              </MenuItem>
            ))}
          </TextField>
        )}
        {!resin && (
          <>
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
          </>
        )}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", mt: 2, alignItems: "flex-start" }}>
        {!resin && (
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
        )}
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
  /** Of the kept session; null for a mix that nobody asked to be kept. */
  revision: number | null;
  answer: PlanAnswer;
}

function Opened({ id }: { id: string }) {
  const query = useQuery<Open>({
    queryKey: ["kept", "mix", id],
    queryFn: async () => {
      if (id === NOW) {
        const session = lastMix()?.session;
        if (!session) {
          return Promise.reject(NOTHING_MIXED);
        }
        return {
          session,
          revision: null,
          answer: await value(api.POST("/api/plan", { body: session })),
        };
      }
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
      {(open) => <Mix id={id} open={open} onChanged={() => void query.refetch()} />}
    </Fetched>
  );
}

function Mix({ id, open, onChanged }: { id: string; open: Open; onChanged: () => void }) {
  const navigate = useNavigate();
  const { session, revision, answer } = open;
  const about = useMemo(
    () => ({ session, id: revision === null ? undefined : id }),
    [session, revision, id],
  );
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const change = async (next: Session) => {
    if (revision === null) {
      keepMix(next);
      onChanged();
      return;
    }
    const kept = await ask(
      api.PUT("/api/sessions/{id}", {
        params: { path: { id }, query: { revision } },
        body: next,
      }),
    );
    // A clock that was not restarted must not look as if it were.
    setTrouble(kept.status === "trouble" ? kept.trouble : null);
  };
  /** Moves the start so that the first contact of A and B is now. */
  const meetNow = () => {
    const contact = answer.plan.batches[0]?.times.contactSeconds ?? 0;
    const startsAt = localTime(new Date(Date.now() - contact * 1000));
    void change({ ...session, startsAt, zoneId: here() });
  };
  const keep = async () => {
    const kept = await ask(api.POST("/api/sessions", { body: session }));
    if (kept.status === "trouble") {
      setTrouble(kept.trouble);
    } else {
      void navigate(`/mix/${kept.value.id}`);
    }
  };
  return (
    <>
      {trouble && <Told trouble={trouble} />}
      <AboutProvider value={about}>
        <Running
          session={session}
          answer={answer}
          onMeetNow={meetNow}
          onChange={(next) => void change(next)}
        />
      </AboutProvider>
      {revision === null && (
        <Box sx={{ px: 1, pt: 1 }}>
          <Button variant="outlined" onClick={() => void keep()}>
            Keep this mix
          </Button>
        </Box>
      )}
    </>
  );
}
