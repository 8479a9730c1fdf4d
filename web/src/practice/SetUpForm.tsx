import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { FieldError, SetUp, Workshop } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { showWith, type Units } from "../units/units";
import { span } from "../words/curves";
import { Choice, Row, Slid } from "./SetUpParts";
import { change, massAt, slidTo } from "./setUps";

interface Props {
  which: string;
  setUp: SetUp;
  workshop: Workshop;
  /** When it can be poured at the earliest, min; null until that is known. */
  ready: number | null;
  errors: FieldError[];
  onChange: (setUp: SetUp) => void;
}

const LIES: Record<SetUp["lies"], string> = {
  CUP: "stays in its cup",
  MOULD: "is poured into a mould",
  SHEET: "is spread as a sheet",
  TOP_COAT: "goes on a piece as a top coat",
};

/** Everything of one set-up: what matters most on sliders, the rest folded away. */
export function SetUpForm({ which, setUp, workshop, ready, errors, onChange }: Props) {
  const units = useUnits();
  const [more, setMore] = useState(false);
  const edit = (by: Parameters<typeof change>[1]) => onChange(change(setUp, by));
  const error = (field: string) => errors.find((e) => e.field === field)?.message;
  const folded = ["laterC", "laterAfterHours", "embedId", "colourId", "humidityPercent"];
  const opened = more || errors.some((e) => folded.includes(e.field));
  return (
    <Box
      component="form"
      aria-label={`${which} set-up`}
      noValidate
      onSubmit={(e) => e.preventDefault()}
      sx={{ display: "grid", gap: 0.25 }}
    >
      <Row>
        <Choice
          label="Resin"
          value={setUp.resinId}
          error={error("resinId")}
          options={(workshop.resins ?? []).map((r) => [r.id, r.name])}
          onChange={(resinId) => edit({ resinId })}
        />
        <Choice
          label="Mixed in"
          value={setUp.cupId ?? ""}
          error={error("cupId")}
          options={[
            ["", "a cup as high as wide"],
            ...(workshop.cups ?? []).map((c): [string, string] => [c.id, c.name]),
          ]}
          onChange={(cupId) => edit({ cupId: cupId || undefined })}
        />
      </Row>
      <Row>
        <Slid
          label="A and B"
          value={slidTo(setUp.massG)}
          min={0}
          max={1}
          step={0.01}
          text={showWith(units.MASS, setUp.massG, units.MASS.symbol === "g" ? 0 : 1)}
          error={error("massG")}
          onChange={(slid) => edit({ massG: massAt(slid) })}
        />
        <Slid
          label="Room"
          value={setUp.roomC}
          min={10}
          max={40}
          step={0.5}
          text={showWith(units.TEMPERATURE, setUp.roomC)}
          error={error("roomC")}
          onChange={(roomC) => edit({ roomC })}
        />
      </Row>
      <Row>
        <Slid
          label="A and B meet at"
          value={setUp.startC ?? setUp.roomC}
          min={10}
          max={50}
          step={0.5}
          text={setUp.startC === undefined ? "room" : showWith(units.TEMPERATURE, setUp.startC)}
          error={error("startC")}
          onChange={(startC) => edit({ startC: startC === setUp.roomC ? undefined : startC })}
        />
        <Slid
          label="Split into"
          value={setUp.splitInto}
          min={1}
          max={12}
          step={1}
          text={setUp.splitInto === 1 ? "not split" : `${setUp.splitInto} cups`}
          error={error("splitInto")}
          onChange={(splitInto) => edit({ splitInto })}
        />
      </Row>
      <Row>
        <Choice
          label="Split cups"
          value={setUp.splitInto > 1 ? (setUp.splitCupId ?? "") : "none"}
          disabled={setUp.splitInto === 1}
          error={error("splitCupId")}
          options={
            setUp.splitInto === 1
              ? [["none", "not split"]]
              : [
                  ["", "like the mixing cup"],
                  ...(workshop.cups ?? []).map((c): [string, string] => [c.id, c.name]),
                ]
          }
          onChange={(id) => edit({ splitCupId: id || undefined })}
        />
        <Choice
          label="Then it"
          value={setUp.lies}
          error={error("lies")}
          options={Object.entries(LIES)}
          onChange={(lies) => edit(lying(setUp, lies as SetUp["lies"], workshop))}
        />
      </Row>
      {setUp.lies !== "CUP" && (
        <Row>
          {setUp.lies === "MOULD" ? (
            <Choice
              label="Mould"
              value={setUp.mouldId ?? ""}
              error={error("mouldId")}
              options={(workshop.moulds ?? []).map((m) => [m.id, m.name])}
              onChange={(mouldId) => edit({ mouldId })}
            />
          ) : (
            <Slid
              label="Depth"
              value={setUp.sheetMm ?? 3}
              min={0.5}
              max={setUp.lies === "SHEET" ? 150 : 6}
              step={0.5}
              text={showWith(units.LENGTH, setUp.sheetMm ?? 3, 1)}
              error={error("sheetMm")}
              onChange={(sheetMm) => edit({ sheetMm })}
            />
          )}
          <Slid
            label="Poured after"
            value={setUp.pouredAfterMinutes ?? ready ?? 1}
            min={Math.ceil(ready ?? 1)}
            max={120}
            step={1}
            text={
              setUp.pouredAfterMinutes === undefined ? "right away" : span(setUp.pouredAfterMinutes)
            }
            error={error("pouredAfterMinutes")}
            onChange={(pouredAfterMinutes) => edit({ pouredAfterMinutes })}
          />
        </Row>
      )}
      <Fold {...{ opened, setMore }} />
      {opened && <More {...{ setUp, workshop, edit, error, units }} />}
    </Box>
  );
}

function Fold({ opened, setMore }: { opened: boolean; setMore: (more: boolean) => void }) {
  return (
    <Button
      onClick={() => setMore(!opened)}
      aria-expanded={opened}
      sx={{ justifySelf: "start", alignSelf: "center", minHeight: 32, px: 0, py: 0 }}
    >
      {opened ? "Less" : "Rest, lamp, colour, damp…"}
    </Button>
  );
}

/** What has to be said of the place it ends up in, and nothing of the others. */
function lying(
  setUp: SetUp,
  lies: SetUp["lies"],
  workshop: Workshop,
): Parameters<typeof change>[1] {
  const mould = workshop.moulds?.[0]?.id;
  return {
    lies,
    mouldId: lies === "MOULD" ? (setUp.mouldId ?? mould) : undefined,
    cavityId: undefined,
    sheetMm: lies === "SHEET" ? 10 : lies === "TOP_COAT" ? 2 : undefined,
  };
}

interface MoreProps {
  setUp: SetUp;
  workshop: Workshop;
  edit: (by: Parameters<typeof change>[1]) => void;
  error: (field: string) => string | undefined;
  units: Units;
}

function More({ setUp, workshop, edit, error, units }: MoreProps) {
  const later = setUp.laterC !== undefined;
  return (
    <>
      <Row>
        <Slid
          label="Stirred for"
          value={setUp.mixMinutes}
          min={0.5}
          max={10}
          step={0.5}
          text={span(setUp.mixMinutes)}
          error={error("mixMinutes")}
          onChange={(mixMinutes) => edit({ mixMinutes })}
        />
        <Slid
          label="Rests for"
          value={setUp.restMinutes}
          min={0}
          max={30}
          step={1}
          text={span(setUp.restMinutes)}
          error={error("restMinutes")}
          onChange={(restMinutes) => edit({ restMinutes })}
        />
      </Row>
      <Row>
        <Slid
          label="Lamp or hot air on the cup"
          value={setUp.lampMinutes}
          min={0}
          max={15}
          step={1}
          text={setUp.lampMinutes === 0 ? "none" : span(setUp.lampMinutes)}
          error={error("lampMinutes")}
          onChange={(lampMinutes) => edit({ lampMinutes })}
        />
        <Slid
          label="Humidity"
          value={setUp.humidityPercent ?? 45}
          min={0}
          max={100}
          step={5}
          text={setUp.humidityPercent === undefined ? "unknown" : `${setUp.humidityPercent} %`}
          error={error("humidityPercent")}
          onChange={(humidityPercent) => edit({ humidityPercent })}
        />
      </Row>
      <Row>
        <Choice
          label="Colour"
          value={setUp.colourId ?? ""}
          error={error("colourId")}
          options={[
            ["", "clear"],
            ...(workshop.colours ?? []).map((c): [string, string] => [c.id, c.name]),
          ]}
          onChange={(id) => edit({ colourId: id || undefined })}
        />
        <Choice
          label="Embed"
          value={setUp.embedId ?? ""}
          error={error("embedId")}
          options={[
            ["", "none"],
            ...(workshop.embeds ?? []).map((e): [string, string] => [e.id, e.name]),
          ]}
          onChange={(id) => edit({ embedId: id || undefined })}
        />
      </Row>
      <Row>
        <Choice
          label="Later"
          value={later ? "box" : ""}
          error={error("laterC")}
          options={[
            ["", "stays in this room"],
            ["box", "a warm box, or a cooler night"],
          ]}
          onChange={(where) =>
            edit(
              where
                ? { laterC: 32, laterAfterHours: 2 }
                : { laterC: undefined, laterAfterHours: undefined },
            )
          }
        />
        {later ? (
          <Slid
            label="Later at"
            value={setUp.laterC ?? 32}
            min={5}
            max={50}
            step={1}
            text={`${showWith(units.TEMPERATURE, setUp.laterC ?? 32, 0)} after ${span((setUp.laterAfterHours ?? 2) * 60)}`}
            error={error("laterC")}
            onChange={(laterC) => edit({ laterC })}
          />
        ) : (
          <Box />
        )}
      </Row>
      {later && (
        <Slid
          label="From then on"
          value={setUp.laterAfterHours ?? 2}
          min={0}
          max={24}
          step={0.5}
          text={`after ${span((setUp.laterAfterHours ?? 2) * 60)}`}
          error={error("laterAfterHours")}
          onChange={(laterAfterHours) => edit({ laterAfterHours })}
        />
      )}
    </>
  );
}
