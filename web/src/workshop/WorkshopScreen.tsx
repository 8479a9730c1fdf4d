import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { type ReactNode, useEffect, useRef, useState } from "react";
import type { FieldError, Resin, Usual, UsualView } from "../api/client";
import { useUsual, useWorkshop } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { NumberField } from "../ui/NumberField";
import { OneOf } from "../ui/OneOf";
import { leftOut } from "../ui/path";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { GroupFields } from "../ways/GroupFields";
import { GROUPS } from "../ways/groups";
import { useKeepUsual, withUsualWays } from "../ways/useKeepUsual";
import { differs, same, usualWays, withGroup } from "../ways/ways";
import { WhatItChanges } from "./WhatItChanges";

/** How we work: what every new session begins with. What is typed is kept by itself. */
export function WorkshopScreen() {
  const shelf = useWorkshop();
  return (
    <Fetched query={useUsual()} loading="Fetching how you work…">
      {(view) => <OurWays view={view} resins={shelf.data?.resins ?? []} />}
    </Fetched>
  );
}

/** Somebody may be typing on, ms. */
const TYPING = 600;

const CONFLICT = 409;

function OurWays({ view, resins }: { view: UsualView; resins: Resin[] }) {
  const units = useUnits();
  const [usual, setUsual] = useState<Usual>(view.usual);
  /** As it was before each change on this screen. */
  const [past, setPast] = useState<Usual[]>([]);
  const { put, saving, trouble: refused } = useKeepUsual(view);
  const { refetch } = useUsual();
  const dirty = !same(usual, view.usual);
  // What was refused and then taken back is no trouble any more.
  const trouble = dirty ? refused : null;
  const tried = useRef<Usual | null>(null);
  useEffect(() => {
    if (!dirty || saving || tried.current === usual) {
      return;
    }
    const waiting = setTimeout(() => {
      tried.current = usual;
      void put(usual);
    }, TYPING);
    return () => clearTimeout(waiting);
  }, [dirty, saving, usual, put]);

  const change = (next: Usual) => {
    setPast((p) => [...p, usual]);
    setUsual(next);
  };
  // Another window has kept something else meanwhile: one of the two has to be chosen.
  const elsewhere = trouble?.status === CONFLICT;
  const takeTheirs = async () => {
    const { data } = await refetch();
    if (data) {
      change(data.usual);
    }
  };
  const keepMine = async () => {
    const { data } = await refetch();
    if (data) {
      await put(usual, data);
    }
  };
  const ways = usualWays(usual);
  const starting = usualWays(view.starting);
  const errors: FieldError[] = trouble?.errors ?? [];
  const errorAt = (field: string) => errors.find((e) => e.field === field);
  const first = past[0];
  return (
    <Box sx={{ pt: 1.5, display: "grid", gap: 1.5 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap", px: 1 }}>
        <Typography variant="h1" sx={{ mr: "auto" }}>
          My workshop
        </Typography>
        <Box role="status" sx={{ color: trouble ? "error.main" : "text.secondary" }}>
          {trouble
            ? elsewhere
              ? "Not kept yet."
              : "Not kept: something below cannot be used."
            : dirty
              ? "Keeping…"
              : past.length > 0
                ? "Kept."
                : "Every new session begins with this. What you change is kept by itself."}
        </Box>
        <Button
          disabled={past.length === 0}
          onClick={() => {
            const before = past.at(-1);
            if (before) {
              setPast(past.slice(0, -1));
              setUsual(before);
            }
          }}
        >
          Undo
        </Button>
      </Box>
      {trouble && elsewhere && (
        <Box>
          <Told trouble={trouble} />
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", px: 1, mt: 0.5 }}>
            <Button variant="outlined" onClick={() => void keepMine()}>
              Keep what is on this screen
            </Button>
            <Button variant="outlined" onClick={() => void takeTheirs()}>
              Take what the other window says
            </Button>
          </Box>
        </Box>
      )}
      {trouble && !elsewhere && errors.length === 0 && (
        <Told trouble={trouble} onRetry={() => void put(usual)} />
      )}
      {first && !dirty && <WhatItChanges before={usualWays(first)} after={ways} />}
      <Box
        sx={{
          display: "grid",
          gap: 1.5,
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "190px minmax(0, 1fr)" },
        }}
      >
        <Box
          component="nav"
          aria-label="Groups"
          sx={{
            display: { xs: "none", md: "block" },
            position: "sticky",
            top: 12,
            alignSelf: "start",
            px: 1,
          }}
        >
          {[{ key: "units", title: "Units, room, resin" }, ...GROUPS].map((g) => (
            <Link
              key={g.key}
              href={`#${g.key}`}
              underline="hover"
              sx={{ display: "block", py: 0.5, color: "text.secondary" }}
            >
              {g.title}
            </Link>
          ))}
        </Box>
        <Box sx={{ display: "grid", gap: 1.5, minWidth: 0 }}>
          <Part id="units" title="Units, room, resin">
            <OneOf
              label="Units"
              choices={[
                ["METRIC", "g · mL · mm · °C · kPa"],
                ["US", "oz · fl oz · in · °F · psi"],
              ]}
              chosen={usual.units}
              onChoose={(to) => change({ ...usual, units: to })}
            />
            <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", mt: 1.5 }}>
              <NumberField
                key={usual.units}
                label="Room"
                unit={units.TEMPERATURE}
                value={usual.room.temperatureC}
                error={errorAt("room.temperatureC")}
                onChange={(v) =>
                  v !== null && change({ ...usual, room: { ...usual.room, temperatureC: v } })
                }
              />
              <NumberField
                label="Humidity (if known)"
                symbol="%"
                width={170}
                optional
                value={usual.room.humidityPercent}
                error={errorAt("room.humidityPercent")}
                onChange={(v) => {
                  const room = leftOut(usual.room, "humidityPercent");
                  change({ ...usual, room: v === null ? room : { ...room, humidityPercent: v } });
                }}
              />
              <TextField
                select
                label="Resin"
                value={resins.some((r) => r.id === usual.resinId) ? usual.resinId : ""}
                onChange={(e) => {
                  const others = leftOut(usual, "resinId");
                  change(e.target.value === "" ? others : { ...others, resinId: e.target.value });
                }}
                sx={{ minWidth: 230 }}
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              >
                <MenuItem value="">asked each time</MenuItem>
                {resins.map((r) => (
                  <MenuItem key={r.id} value={r.id}>
                    {r.name}
                  </MenuItem>
                ))}
              </TextField>
            </Box>
            <Why>
              Ounces are by weight (oz wt) or US fluid (US fl oz), never both by one name. Less than
              a tenth of an ounce is told in grams, as scales do.
            </Why>
          </Part>
          {GROUPS.map((group) => (
            <Part
              key={group.key}
              id={group.key}
              title={group.title}
              aside={
                differs(group, ways, starting) && (
                  <Button
                    sx={{ minHeight: 32, py: 0 }}
                    onClick={() => change(withUsualWays(usual, withGroup(ways, group, starting)))}
                  >
                    As at first
                  </Button>
                )
              }
            >
              <GroupFields
                group={group}
                ways={ways}
                errors={errors}
                onChange={(next) => change(withUsualWays(usual, next))}
              />
            </Part>
          ))}
        </Box>
      </Box>
    </Box>
  );
}

function Part(props: { id: string; title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <Box id={props.id} sx={{ scrollMarginTop: 12 }}>
      <Sheet title={props.title} aside={props.aside}>
        {props.children}
      </Sheet>
    </Box>
  );
}

function Why({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ color: "text.secondary", fontSize: "0.87rem", mt: 0.75, maxWidth: 900 }}>
      {children}
    </Box>
  );
}
