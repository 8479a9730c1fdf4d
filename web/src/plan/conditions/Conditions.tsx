import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import {
  errorsUnder,
  type FieldError,
  type Habits,
  type Hands,
  type Session,
  type Workshop,
} from "../../api/client";
import { Fields } from "../../ui/Fields";
import { leftOut } from "../../ui/path";
import { NumberField } from "../../ui/NumberField";
import { MomentField } from "../../ui/When";
import { useUnits } from "../../units/UnitsProvider";
import { AddResin } from "./AddResin";
import { HoursFields } from "./HoursFields";
import { RoomFields } from "./RoomFields";
import { SCHOOLS, schoolText } from "./schools";

interface Props {
  session: Session;
  shelf: Required<Workshop>;
  errors: FieldError[];
  habits: Required<Habits>;
  hands: Required<Hands>;
  onChange: (session: Session, field: string | null) => void;
}

type Numeric<T> = { [K in keyof T]: T[K] extends number ? K : never }[keyof T];

const HABITS: { key: Numeric<Required<Habits>>; label: string; symbol: string }[] = [
  { key: "overagePercent", label: "Overage", symbol: "%" },
  { key: "restMinutes", label: "Rest for bubbles", symbol: "min" },
  { key: "stirMinutes", label: "Stir, unless labelled", symbol: "min" },
  { key: "marginMinutes", label: "Margin", symbol: "min" },
  { key: "scaleDivisionG", label: "Scale reads", symbol: "g" },
  { key: "marksDivisionMl", label: "Cup marks every", symbol: "mL" },
  { key: "residueG", label: "Left on the cup wall", symbol: "g" },
  { key: "residuePercent", label: "and of the content", symbol: "%" },
  { key: "capAllPercent", label: "Additives at most", symbol: "%" },
  { key: "capLiquidPercent", label: "Liquid tint at most", symbol: "%" },
];

const HANDS: { key: Numeric<Required<Hands>>; label: string }[] = [
  { key: "weighSecondsPart", label: "Weigh a part" },
  { key: "secondCupSeconds", label: "Into a second cup" },
  { key: "splitSecondsCup", label: "Split, a cup" },
  { key: "tintSecondsCup", label: "Tint, a cup" },
  { key: "tintPowderSecondsCup", label: "Tint with powder" },
  { key: "pourSecondsCavity", label: "Pour, a cavity" },
  { key: "pourSecondsMl", label: "and for each mL" },
  { key: "bubbleSecondsCavity", label: "Bubbles, a cavity" },
  { key: "coverSeconds", label: "Cover" },
  { key: "embedSeconds", label: "An embed" },
  { key: "nudgeSeconds", label: "Nudge one" },
  { key: "demouldSecondsPiece", label: "Demould a piece" },
  { key: "mouldSeconds", label: "Wipe a cavity" },
  { key: "cleanUpSeconds", label: "Clean up" },
];

/** When, where, with which resin and by which habits: opened in place under the title. */
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
      sx={{ bgcolor: "background.paper", borderRadius: "10px", p: 2, mb: 1.5 }}
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
          width={120}
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
          width={165}
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
          sx={{ minWidth: 230 }}
        >
          {shelf.resins.map((r) => (
            <MenuItem key={r.id} value={r.id}>
              {r.name}
            </MenuItem>
          ))}
        </TextField>
        <Button onClick={() => setAdding(!adding)}>+ a resin</Button>
        <NumberField
          label="Batches at least"
          value={session.splitInto}
          width={140}
          error={errorAt("splitInto")}
          onChange={(v) => v !== null && onChange({ ...session, splitInto: v }, "splitInto")}
        />
        <TextField
          select
          label="Measure"
          value={props.habits.measureBy}
          onChange={(e) =>
            onChange(
              {
                ...session,
                habits: { ...props.habits, measureBy: e.target.value as Habits["measureBy"] },
              } as Session,
              null,
            )
          }
          sx={{ width: 185 }}
        >
          <MenuItem value="LABEL">as the label says</MenuItem>
          <MenuItem value="WEIGHT">by weight</MenuItem>
          <MenuItem value="VOLUME">by volume</MenuItem>
        </TextField>
        <TextField
          select
          label="Into the cup first"
          value={props.habits.firstPart}
          onChange={(e) =>
            onChange(
              {
                ...session,
                habits: { ...props.habits, firstPart: e.target.value as Habits["firstPart"] },
              } as Session,
              null,
            )
          }
          sx={{ width: 185 }}
        >
          <MenuItem value="B">B, the thinner one</MenuItem>
          <MenuItem value="A">A</MenuItem>
        </TextField>
      </Box>
      <RoomFields session={session} errors={errors} onChange={onChange} />
      <HoursFields session={session} errors={errors} onChange={onChange} />
      {adding && (
        <AddResin
          onClose={() => setAdding(false)}
          onAdded={(resin) => {
            setAdding(false);
            onChange({ ...session, resinId: resin.id }, null);
          }}
        />
      )}
      <Box sx={{ ...row, mt: 2 }}>
        {HABITS.map(({ key, label, symbol }) => (
          <NumberField
            key={key}
            label={label}
            symbol={symbol}
            width={158}
            value={props.habits[key]}
            error={errorAt(`habits.${key}`)}
            onChange={(v) =>
              v !== null &&
              onChange({ ...session, habits: { ...props.habits, [key]: v } }, `habits.${key}`)
            }
          />
        ))}
      </Box>
      {SCHOOLS.map((school) => (
        <Box key={school.title} sx={{ mt: 2 }}>
          <Box sx={{ color: "text.secondary" }}>{school.title}</Box>
          <Fields
            label={school.title}
            specs={school.specs(props.habits)}
            draft={props.habits}
            errors={errorsUnder(errors, "habits")}
            onChange={(habits) => onChange({ ...session, habits }, null)}
          />
          {schoolText(school.title, props.habits).map((line) => (
            <Box key={line} sx={{ color: "text.secondary", fontSize: "0.87rem", mt: 0.5 }}>
              {line}
            </Box>
          ))}
        </Box>
      ))}
      <Box sx={{ color: "text.secondary", mt: 2, mb: 1 }}>How long one pair of hands takes</Box>
      <Box sx={row}>
        {HANDS.map(({ key, label }) => (
          <NumberField
            key={key}
            label={label}
            symbol="s"
            width={158}
            value={props.hands[key]}
            error={errorAt(`hands.${key}`)}
            onChange={(v) =>
              v !== null &&
              onChange({ ...session, hands: { ...props.hands, [key]: v } }, `hands.${key}`)
            }
          />
        ))}
      </Box>
    </Box>
  );
}
