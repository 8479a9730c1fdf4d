import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { Available, FieldError, Session, Workshop } from "../../api/client";
import { NumberField } from "../../ui/NumberField";
import { leftOut } from "../../ui/path";
import { useUnits } from "../../units/UnitsProvider";

interface Props {
  session: Session;
  shelf: Required<Workshop>;
  errors: FieldError[];
  onChange: (session: Session, field: string | null) => void;
}

type How = "enough" | "totalMl" | "totalG" | "parts" | "kit" | "left";

/** What there is of the resin, where the plan has to fit it. */
export function WhatThereIs({ session, shelf, errors, onChange }: Props) {
  const units = useUnits();
  const has = session.available;
  const set = (available: Available | null) =>
    onChange(available ? { ...session, available } : leftOut(session, "available"), "available");
  const how: How =
    has === undefined
      ? "enough"
      : has.totalMl !== undefined
        ? "totalMl"
        : has.totalG !== undefined
          ? "totalG"
          : "parts";
  const resin = shelf.resins.find((r) => r.id === session.resinId);
  const bottles = [resin?.partAId, resin?.partBId].map((id) =>
    shelf.parts.find((p) => p.id === id),
  );
  const [kitA, kitB] = bottles.map((p) => p?.kitG);
  const [leftA, leftB] = bottles.map((p) =>
    p && (p.lots ?? []).length > 0 && (p.lots ?? []).every((l) => l.leftG !== undefined)
      ? (p.lots ?? []).reduce((sum, l) => sum + (l.leftG ?? 0), 0)
      : undefined,
  );
  const both = (a: number | undefined, b: number | undefined) =>
    a !== undefined && has?.partAG === a && has.partBG === b;
  const told: How =
    how !== "parts" ? how : both(kitA, kitB) ? "kit" : both(leftA, leftB) ? "left" : "parts";
  const choose = (to: How) => {
    switch (to) {
      case "enough":
        return set(null);
      case "totalMl":
        return set({ totalMl: 120 });
      case "totalG":
        return set({ totalG: 120 });
      case "parts":
        return set({ partAG: 30, partBG: 15 });
      case "kit":
        return set({ partAG: kitA ?? 0, partBG: kitB ?? 0 });
      case "left":
        return set({ partAG: leftA ?? 0, partBG: leftB ?? 0 });
    }
  };
  const errorAt = (field: string) => errors.find((e) => e.field === `available.${field}`);
  const field = (key: keyof Available, label: string, of: "MASS" | "VOLUME") => (
    <NumberField
      key={key}
      label={label}
      unit={units[of]}
      value={has?.[key]}
      width={130}
      error={errorAt(key)}
      onChange={(v) => v !== null && set({ ...has, [key]: v })}
    />
  );
  return (
    <>
      <TextField
        select
        label="There is"
        value={told}
        onChange={(e) => choose(e.target.value as How)}
        sx={{ width: 175 }}
      >
        <MenuItem value="enough">enough of it</MenuItem>
        <MenuItem value="totalMl">a total, by volume</MenuItem>
        <MenuItem value="totalG">a total, by weight</MenuItem>
        <MenuItem value="parts">so much A, so much B</MenuItem>
        {kitA !== undefined && kitB !== undefined && <MenuItem value="kit">one kit</MenuItem>}
        {leftA !== undefined && leftB !== undefined && (
          <MenuItem value="left">what is left in the bottles</MenuItem>
        )}
      </TextField>
      {how === "totalMl" && field("totalMl", "A and B together", "VOLUME")}
      {how === "totalG" && field("totalG", "A and B together", "MASS")}
      {how === "parts" && field("partAG", "Of A", "MASS")}
      {how === "parts" && field("partBG", "Of B", "MASS")}
    </>
  );
}
