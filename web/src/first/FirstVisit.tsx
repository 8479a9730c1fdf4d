import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import {
  api,
  ask,
  type Colour,
  type Colourant,
  type FieldError,
  type Mould,
  type Resin,
  type Session,
  type Trouble,
} from "../api/client";
import { useDemoShelf, useUsual } from "../api/queries";
import { newId } from "../moulds/newMould";
import { newSession } from "../session/newSession";
import { RESINS } from "../shelf/kinds";
import { RESIN_BRIEF } from "../shelf/resinBrief";
import { FORMS } from "../shelf/specs";
import { Cautions } from "../ui/Cautions";
import { keepLeading } from "../ui/leading";
import { Fields, type FieldSpec } from "../ui/Fields";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";

const MOULD: FieldSpec[] = [
  { path: "name", label: "What do you call it?", kind: "text", needed: true, width: 220 },
  {
    path: "cavities[0].measure.emptyG",
    label: "Mould alone, on the scale",
    kind: "number",
    quantity: "MASS",
    width: 200,
  },
  {
    path: "cavities[0].measure.filledG",
    label: "Filled with water",
    kind: "number",
    quantity: "MASS",
    needed: true,
    width: 160,
  },
  {
    path: "cavities[0].depthMm",
    label: "Deep (if you like)",
    kind: "number",
    quantity: "LENGTH",
    width: 150,
  },
];
const JAR: FieldSpec[] = [
  { path: "name", label: "What is in the jar?", kind: "text", needed: true, width: 220 },
  { path: "form", label: "It is", kind: "choice", needed: true, choices: FORMS },
  { path: "swatch", label: "Looks", kind: "colour", needed: true },
];

function startMould(): Mould {
  return {
    id: newId("mould"),
    name: "",
    cavities: [
      {
        id: "main",
        name: "Main",
        count: 1,
        measure: { method: "WATER_IN_MOULD", filledG: 10, parts: [], levels: [] },
      },
    ],
    state: { casts: 0, dry: false },
  };
}

type Step = "mould" | "resin" | "colour";

/** The first few minutes: one mould, one resin, one colour, and the plan that follows. */
export function FirstVisit() {
  const navigate = useNavigate();
  const [mould, setMould] = useState(startMould);
  const [resin, setResin] = useState<Resin>(RESINS.begin);
  const [jar, setJar] = useState<Colourant>(() => ({
    id: newId("colourant"),
    name: "",
    form: "LIQUID_TINT",
    swatch: "#47718a",
  }));
  const [colourId, setColourId] = useState("clear");
  const [step, setStep] = useState<Step>("mould");
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const demo = useDemoShelf(true).data;
  const usual = useUsual().data;
  const errors: FieldError[] = trouble?.errors ?? [];
  const go = (next: Step) => {
    setTrouble(null);
    setStep(next);
  };
  const keepMould = async (chosen: Mould) => {
    const [first, ...others] = chosen.cavities;
    const named = first
      ? {
          ...chosen,
          cavities: [
            { ...first, name: others.length > 0 ? first.name : chosen.name || first.name },
            ...others,
          ],
        }
      : chosen;
    const answer = await ask(
      api.PUT("/api/moulds/{id}", { params: { path: { id: named.id } }, body: named }),
    );
    if (answer.status === "trouble") {
      return setTrouble(answer.trouble);
    }
    setMould(named);
    go("resin");
  };
  const keepResin = async (chosen: Resin) => {
    const answer = await ask(
      api.PUT("/api/resins/{id}", { params: { path: { id: chosen.id } }, body: chosen }),
    );
    if (answer.status === "trouble") {
      return setTrouble(answer.trouble);
    }
    setResin(chosen);
    go("colour");
  };
  const keepColour = async (jars: Colourant[], colour: Colour) => {
    for (const each of jars) {
      const kept = await ask(
        api.PUT("/api/colourants/{id}", { params: { path: { id: each.id } }, body: each }),
      );
      if (kept.status === "trouble") {
        return setTrouble(kept.trouble);
      }
    }
    const answer = await ask(
      api.PUT("/api/colours/{id}", { params: { path: { id: colour.id } }, body: colour }),
    );
    if (answer.status === "trouble") {
      return setTrouble(answer.trouble);
    }
    setColourId(colour.id);
    await plan(colour.id);
  };
  const plan = async (colour: string) => {
    const session: Session = {
      ...newSession(usual?.usual ?? null),
      name: "My first session",
      resinId: resin.id,
      pieces: mould.cavities.map((c) => ({
        mouldId: mould.id,
        cavityId: c.id,
        count: c.count,
        layers: [{ colourId: colour, join: "TOGETHER" }],
      })),
    };
    const answer = await ask(api.POST("/api/sessions", { body: session }));
    if (answer.status === "trouble") {
      return setTrouble(answer.trouble);
    }
    keepLeading(true);
    void navigate(`/plan/${answer.value.id}`);
  };
  const done = (mine: Step) =>
    (["mould", "resin", "colour"] as Step[]).indexOf(step) >
    (["mould", "resin", "colour"] as Step[]).indexOf(mine);
  const demoJars = (colour: Colour) =>
    (demo?.colourants ?? []).filter((c) => colour.recipe.some((p) => p.colourantId === c.id));
  return (
    <Box sx={{ pt: 2, display: "grid", gap: 1.5, maxWidth: 1000 }}>
      <Box sx={{ px: 1 }}>
        <Typography variant="h1">Your first plan</Typography>
        <Typography color="text.secondary">
          One mould, one resin, one colour. A scale and a little water are all you need; whatever
          you do not know may stay unknown.
        </Typography>
      </Box>
      {trouble && errors.length === 0 && <Told trouble={trouble} />}
      <Sheet
        title="1. A mould"
        aside={done("mould") ? `${mould.name} ✓` : "weigh the water it holds"}
      >
        {step === "mould" && (
          <>
            <Fields specs={MOULD} draft={mould} errors={errors} onChange={setMould} />
            <Keys>
              <Button variant="contained" onClick={() => void keepMould(mould)}>
                That is my mould
              </Button>
            </Keys>
            <Copies
              of={(demo?.moulds ?? []).filter((m) => m.cavities.length === 1)}
              onCopy={(m) => void keepMould(m)}
            />
          </>
        )}
      </Sheet>
      <Sheet title="2. A resin" aside={done("resin") ? `${resin.name} ✓` : "what its label says"}>
        {step === "resin" && (
          <>
            <Fields specs={RESIN_BRIEF} draft={resin} errors={errors} onChange={setResin} />
            <Keys>
              <Button variant="contained" onClick={() => void keepResin(resin)}>
                That is my resin
              </Button>
            </Keys>
            <Copies
              of={demo?.resins ?? []}
              onCopy={(r) => {
                const own = { ...r };
                delete own.partAId;
                delete own.partBId;
                void keepResin(own);
              }}
            />
          </>
        )}
      </Sheet>
      <Sheet title="3. A colour" aside="or none, for a clear piece">
        {step === "colour" && (
          <>
            <Fields specs={JAR} draft={jar} errors={errors} onChange={setJar} />
            <Keys>
              <Button
                variant="contained"
                onClick={() =>
                  void keepColour([jar], {
                    id: newId("colour"),
                    name: jar.name,
                    swatch: jar.swatch,
                    recipe: [{ colourantId: jar.id, percentOfMix: 1 }],
                  })
                }
              >
                Plan with this colour
              </Button>
              <Button variant="outlined" onClick={() => void plan(colourId)}>
                Plan it clear
              </Button>
            </Keys>
            <Copies
              of={(demo?.colours ?? []).filter((c) => c.recipe.length > 0)}
              onCopy={(c) => void keepColour(demoJars(c), c)}
            />
          </>
        )}
      </Sheet>
      <Cautions />
    </Box>
  );
}

function Keys({ children }: { children: ReactNode }) {
  return <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mt: 1.5 }}>{children}</Box>;
}

function Copies<T extends { id: string; name: string }>({
  of,
  onCopy,
}: {
  of: T[];
  onCopy: (one: T) => void;
}) {
  return of.length === 0 ? null : (
    <Box role="group" aria-label="Or copy one from the demo" sx={{ mt: 2 }}>
      <Box sx={{ color: "text.secondary", mb: 0.75 }}>Or copy one from the demo:</Box>
      <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
        {of.map((one) => (
          <Button key={one.id} variant="outlined" onClick={() => onCopy(one)}>
            {one.name}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
