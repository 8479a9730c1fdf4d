import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { FieldError, Session, Workshop } from "../../api/client";
import { type Defaults, useUsual } from "../../api/queries";
import { useKeepUsual } from "../../ways/useKeepUsual";
import { leftOut } from "../../ui/path";
import { NumberField } from "../../ui/NumberField";
import { Told } from "../../ui/Told";
import { MomentField } from "../../ui/When";
import { useUnits } from "../../units/UnitsProvider";
import { GroupFields } from "../../ways/GroupFields";
import { GROUPS } from "../../ways/groups";
import { differs, usualWays, waysOf, withGroup, withWays } from "../../ways/ways";
import { AddResin } from "./AddResin";
import { WhatThereIs } from "./WhatThereIs";

interface Props {
  session: Session;
  shelf: Required<Workshop>;
  errors: FieldError[];
  defaults: Defaults;
  onChange: (session: Session, field: string | null) => void;
}

/** When, where, with which resin; and, by group, where this session is not as usual here. */
export function Conditions(props: Props) {
  const { session, shelf, errors, onChange } = props;
  const units = useUnits();
  const [adding, setAdding] = useState(false);
  const errorAt = (field: string | null) => errors.find((e) => e.field === field);
  const resinError = errorAt("resinId");
  const row = { display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "flex-start" } as const;
  return (
    <Box
      component="section"
      aria-label="Conditions"
      sx={{ bgcolor: "background.paper", borderRadius: "10px", px: 2, py: 1.5, mb: 1.5 }}
    >
      <Box sx={row}>
        <MomentField
          label="Starts"
          value={session.startsAt}
          onChange={(moment) => onChange({ ...session, startsAt: moment }, "startsAt")}
          needed
          error={errorAt("startsAt")?.message}
          width={230}
        />
        <NumberField
          label="Room"
          unit={units.TEMPERATURE}
          value={session.room.temperatureC}
          width={105}
          error={errorAt("room.temperatureC")}
          onChange={(v) =>
            v !== null &&
            onChange(
              { ...session, room: { ...session.room, temperatureC: v } },
              "room.temperatureC",
            )
          }
        />
        <NumberField
          label="Humidity (if known)"
          symbol="%"
          value={session.room.humidityPercent}
          width={155}
          optional
          error={errorAt("room.humidityPercent")}
          onChange={(v) => {
            const room = leftOut(session.room, "humidityPercent");
            onChange(
              { ...session, room: v === null ? room : { ...room, humidityPercent: v } },
              "room.humidityPercent",
            );
          }}
        />
        <TextField
          select
          label="Resin"
          value={shelf.resins.some((r) => r.id === session.resinId) ? session.resinId : ""}
          onChange={(e) => onChange({ ...session, resinId: e.target.value }, null)}
          error={Boolean(resinError)}
          helperText={resinError?.message}
          sx={{ minWidth: 215 }}
        >
          {shelf.resins.map((r) => (
            <MenuItem key={r.id} value={r.id}>
              {r.name}
            </MenuItem>
          ))}
        </TextField>
        <Button onClick={() => setAdding(!adding)}>+ a resin</Button>
        <WhatThereIs session={session} shelf={shelf} errors={errors} onChange={onChange} />
        <NumberField
          label="Batches at least"
          value={session.splitInto}
          width={130}
          error={errorAt("splitInto")}
          onChange={(v) => v !== null && onChange({ ...session, splitInto: v }, "splitInto")}
        />
      </Box>
      {adding && (
        <AddResin
          onClose={() => setAdding(false)}
          onAdded={(resin) => {
            setAdding(false);
            onChange({ ...session, resinId: resin.id }, null);
          }}
        />
      )}
      <Ways {...props} />
    </Box>
  );
}

/** How this session works: what is not as usual is marked, and put back or kept with a key. */
function Ways({ session, errors, defaults, onChange }: Props) {
  const usual = useUsual();
  const [open, setOpen] = useState<string | null>(null);
  const ways = waysOf(session, defaults);
  const our = usual.data ? usualWays(usual.data.usual) : null;
  const group = GROUPS.find((g) => g.key === open);
  const other = group && our && differs(group, ways, our);
  const within = errors.map((e) => ({ ...e, field: e.field.replace(/^arrangement\./, "") }));
  const wrong = (paths: readonly string[]) =>
    within.some((e) => paths.some((p) => e.field === p || e.field.startsWith(`${p}.`)));
  const keep = useKeepUsual(usual.data);
  return (
    <Box role="group" aria-label="How this session works" sx={{ mt: 1 }}>
      <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap", alignItems: "center" }}>
        {GROUPS.map((g) => {
          const not = our !== null && differs(g, ways, our);
          return (
            <ButtonBase
              key={g.key}
              aria-expanded={g.key === open}
              aria-label={`${g.title}${not ? ", not as usual" : ""}`}
              onClick={() => setOpen(g.key === open ? null : g.key)}
              sx={{
                font: "inherit",
                fontSize: "0.93rem",
                minHeight: 36,
                px: 1,
                borderRadius: "10px",
                color: wrong(g.owns) ? "error.main" : "primary.main",
                fontWeight: g.key === open ? 700 : 400,
                borderBottom: 2,
                borderColor: g.key === open ? "primary.main" : "transparent",
              }}
            >
              {g.title}
              {not && (
                <Box component="span" aria-hidden sx={{ ml: 0.5, fontWeight: 700 }}>
                  ≠
                </Box>
              )}
            </ButtonBase>
          );
        })}
      </Box>
      {group && (
        <Box sx={{ maxHeight: { md: 240 }, overflowY: { md: "auto" }, pt: 0.5 }}>
          <GroupFields
            group={group}
            ways={ways}
            errors={within}
            onChange={(next) => onChange(withWays(session, next), `ways ${group.key}`)}
          />
          {other && (
            <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", mt: 0.75 }}>
              <span>Not as usual in your workshop.</span>
              <Button
                variant="outlined"
                onClick={() => onChange(withWays(session, withGroup(ways, group, our)), null)}
              >
                Put back
              </Button>
              <Button
                variant="outlined"
                disabled={wrong(group.owns) || keep.saving}
                onClick={() => keep.change(withGroup(our, group, ways))}
              >
                Keep for every session
              </Button>
            </Box>
          )}
          {keep.trouble && <Told trouble={keep.trouble} />}
        </Box>
      )}
    </Box>
  );
}
