import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { visuallyHidden } from "@mui/utils";
import { useState } from "react";
import { api, ask, type FieldError, type Mould, type MouldView, type Trouble } from "../api/client";
import { Fields } from "../ui/Fields";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { usedUpText, wantWords } from "../words/moulds";
import { CavityEditor } from "./CavityEditor";
import { Photo } from "./Photo";
import { makeFields, STATE_FIELDS } from "./fields";
import { newCavity } from "./newMould";

interface Props {
  given: Mould;
  view: MouldView | null;
  onSaved: (mould: Mould) => void;
  onRemoved: () => void;
}

/** One mould: what it holds, what state it is in, how it is made. */
export function MouldPage({ given, view, onSaved, onRemoved }: Props) {
  const isNew = view === null;
  const [mould, setMould] = useState(given);
  const [saved, setSaved] = useState(isNew ? null : given);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const errors: FieldError[] = trouble?.errors ?? [];
  const dirty = saved !== mould;
  const change = (next: Mould) => setMould(next);
  const save = async (next: Mould) => {
    // A lone cavity goes by the mould’s name.
    const [first] = next.cavities;
    const named: Mould =
      next.cavities.length === 1 && first
        ? { ...next, cavities: [{ ...first, name: next.name }] }
        : next;
    const answer = await ask(
      api.PUT("/api/moulds/{id}", { params: { path: { id: named.id } }, body: named }),
    );
    if (answer.status === "ok") {
      setMould(named);
      setSaved(named);
      setTrouble(null);
      onSaved(named);
    } else {
      setTrouble(answer.trouble);
    }
  };
  const countedAnew = async () => {
    const answer = await ask(
      api.POST("/api/moulds/{id}/counted", { params: { path: { id: given.id } } }),
    );
    if (answer.status === "ok") {
      onSaved(given);
    } else {
      setTrouble(answer.trouble);
    }
  };
  const remove = async () => {
    const answer = await ask(
      api.DELETE("/api/moulds/{id}", { params: { path: { id: mould.id } } }),
    );
    if (answer.status === "ok") {
      onRemoved();
    } else {
      setTrouble(answer.trouble);
    }
  };
  const state = mould.state ?? { casts: 0 };
  const mark = (part: Partial<NonNullable<Mould["state"]>>) => {
    const next = { ...mould, state: { ...state, ...part } };
    change(next);
    if (!dirty) {
      void save(next); // a tick at the bench is kept at once
    }
  };
  const wet = mould.state?.dry === false;
  const measuredWet = mould.cavities.some((c) => c.measure.method.startsWith("WATER"));
  const words = view ? wantWords(view) : [];
  return (
    <Box sx={{ display: "grid", gap: 1.5, pt: 1.5 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", px: 1 }}>
        <Link href="/moulds">All moulds</Link>
        <Typography component="h1" sx={visuallyHidden}>
          {mould.name || "A new mould"}
        </Typography>
        <TextField
          label={isNew ? "What is it called?" : "Mould"}
          value={mould.name}
          onChange={(e) => change({ ...mould, name: e.target.value })}
          error={errors.some((e) => e.field === "name")}
          helperText={errors.find((e) => e.field === "name")?.message}
          sx={{ width: 280 }}
        />
        {words.length > 0 && (
          <Box sx={{ color: "error.main", fontWeight: 700 }}>{words.join(" · ")}</Box>
        )}
        <Box sx={{ ml: "auto", display: "flex", gap: 1 }}>
          {!isNew && (
            <Button color="error" onClick={() => void remove()}>
              Remove
            </Button>
          )}
          <Button variant="contained" disabled={!dirty} onClick={() => void save(mould)}>
            {dirty ? (isNew ? "Put it on the shelf" : "Save") : "Saved"}
          </Button>
        </Box>
      </Box>
      {trouble && errors.length > 0 && <Told trouble={{ ...trouble, title: "Not saved yet" }} />}
      {trouble && errors.length === 0 && <Told trouble={trouble} />}
      <Box
        sx={{
          display: "grid",
          gap: 1.5,
          alignItems: "start",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 7fr) minmax(0, 6fr)" },
        }}
      >
        <Sheet
          title={
            mould.cavities.length === 1
              ? "What it holds"
              : `A tray of ${mould.cavities.length} kinds of cavity`
          }
          aside={
            <Button
              onClick={() =>
                change({
                  ...mould,
                  cavities: [...mould.cavities, newCavity(`cavity ${mould.cavities.length + 1}`)],
                })
              }
              sx={{ minHeight: 32, py: 0 }}
            >
              + another kind of cavity
            </Button>
          }
        >
          <Box sx={{ display: "grid", gap: 3 }}>
            {mould.cavities.map((cavity, i) => (
              <CavityEditor
                key={cavity.id}
                cavity={cavity}
                errors={errors
                  .filter((e) => e.field.startsWith(`cavities[${i}].`))
                  .map((e) => ({ ...e, field: e.field.slice(`cavities[${i}].`.length) }))}
                only={mould.cavities.length === 1}
                startOpen={isNew || cavity !== given.cavities.find((c) => c.id === cavity.id)}
                onChange={(next) => {
                  const cavities = mould.cavities.map((c, n) => (n === i ? next : c));
                  const nowWet =
                    next.measure !== cavity.measure && next.measure.method.startsWith("WATER");
                  change({
                    ...mould,
                    cavities,
                    ...(nowWet ? { state: { ...state, dry: false } } : {}),
                  });
                }}
                onRemove={() =>
                  change({ ...mould, cavities: mould.cavities.filter((_, n) => n !== i) })
                }
              />
            ))}
          </Box>
        </Sheet>
        <Box sx={{ display: "grid", gap: 1.5 }}>
          <Sheet title="As it is now">
            <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mb: 1.5 }}>
              <Button
                variant={wet ? "contained" : "outlined"}
                aria-pressed={mould.state?.dry === true}
                onClick={() => mark({ dry: wet })}
                sx={{ minHeight: 48 }}
              >
                {wet ? "Wet: mark as dry" : mould.state?.dry ? "Dry: mark as wet" : "Mark as wet"}
              </Button>
              <Button
                variant={mould.state?.clean === false ? "contained" : "outlined"}
                aria-pressed={mould.state?.clean === true}
                onClick={() => mark({ clean: mould.state?.clean === false })}
                sx={{ minHeight: 48 }}
              >
                {mould.state?.clean === false
                  ? "It is clean again"
                  : mould.state?.clean
                    ? "Clean ✓"
                    : "Clean? Tap when not"}
              </Button>
              <Button
                variant="outlined"
                onClick={() => mark({ casts: state.casts + 1 })}
                sx={{ minHeight: 48 }}
              >
                One more cast
              </Button>
            </Box>
            {measuredWet && wet && (
              <Typography sx={{ mb: 1.5 }}>
                It has just held water. Dry every corner before resin goes in: damp makes foam and
                clouds. The plan says so until it is marked dry.
              </Typography>
            )}
            <Fields
              specs={STATE_FIELDS}
              draft={mould}
              errors={errors}
              onChange={(next) => change(withCasts(next))}
            />
          </Sheet>
          <Sheet title="How it is made">
            <Fields
              specs={makeFields(mould.make?.opening)}
              draft={mould}
              errors={errors}
              onChange={change}
            />
            {view?.usedUp !== undefined && view.usedUp > 0 && (
              <Box sx={{ mt: 1 }}>
                {usedUpText(view.usedUp, given.make?.copies ?? 0)}
                <Button onClick={() => void countedAnew()}>
                  There are {given.make?.copies} again
                </Button>
              </Box>
            )}
          </Sheet>
          {!isNew && <Photo mould={mould} has={view.photo} />}
        </Box>
      </Box>
    </Box>
  );
}

/** A state without a count of casts is none. */
function withCasts(mould: Mould): Mould {
  return mould.state && mould.state.casts === undefined
    ? { ...mould, state: { ...(mould.state as NonNullable<Mould["state"]>), casts: 0 } }
    : mould;
}
