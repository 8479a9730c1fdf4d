import { ofCup, ofPour, readPlace } from "../../session/place";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Popover, { type PopoverActions } from "@mui/material/Popover";
import Typography from "@mui/material/Typography";
import { useCallback, useRef, useState } from "react";
import { useAbout, useHow } from "../../api/asking";
import type { CureCurve, Derivation, Input } from "../../api/client";
import { CureCurves } from "../../drawing/CureCurves";
import { commonEnd, commonHottest } from "../../drawing/curveScale";
import { Told } from "../../ui/Told";
import { useUnits } from "../../units/UnitsProvider";
import { formulaText, originText } from "../../words/how";
import { inUnits } from "../../words/inUnits";
import { withUnit } from "../../words/numbers";
import { LearnedFrom } from "./EveningsBehind";

interface Props {
  of: string;
  what: string;
  anchor: HTMLElement;
  onClose: () => void;
}

/** How a figure came about, step by step, beside where it stands. */
export function CameAbout({ of, what, anchor, onClose }: Props) {
  const actions = useRef<PopoverActions>(null);
  // What is opened in it makes it longer: it moves up, so that all of it can be reached.
  const content = useCallback((shown: HTMLDivElement | null) => {
    const watch = new ResizeObserver(() => actions.current?.updatePosition());
    if (shown) {
      watch.observe(shown);
    }
    return () => watch.disconnect();
  }, []);
  return (
    <Popover
      open
      action={actions}
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      slotProps={{
        paper: {
          role: "dialog",
          // The keys of a bench behind it are not meant while it is open.
          ...{ "data-over": true },
          "aria-label": `How ${what} came about`,
          sx: { p: 2, maxWidth: 460, border: 1, borderColor: "divider" },
        },
      }}
    >
      <div ref={content}>
        <Typography variant="h3" component="p">
          {what}
        </Typography>
        <Asked of={of} />
      </div>
    </Popover>
  );
}

function Asked({ of }: { of: string }) {
  const { answer, trouble } = useHow(of, bodyOf(of));
  if (trouble) {
    return <Told trouble={trouble} />;
  }
  if (!answer) {
    return <p>Working it out…</p>;
  }
  return (
    <>
      <Steps derivation={answer.derivation} />
      {answer.curve && <Curve curve={answer.curve} piece={readPlace(of).of === "pour"} />}
    </>
  );
}

/** The body of resin whose curve is behind a number, where there is one. */
function bodyOf(quantity: string): string | null {
  const [kind, id, what] = quantity.split("/");
  if (kind === "cup" && what === "peakC") {
    return quantity;
  }
  const times = ["workingTimeMinutes", "threadMinutes", "gelsMinutes"];
  if (kind === "cup" && times.includes(what ?? "")) {
    return ofCup(id ?? "");
  }
  const hours = ["gelsMinutes", "bondHours", "demouldHours", "fullCureHours", "peakC"];
  return kind === "pour" && hours.includes(what ?? "") ? ofPour(id ?? "") : null;
}

function Curve({ curve, piece }: { curve: CureCurve; piece: boolean }) {
  return (
    <Box sx={{ width: { xs: 300, sm: 420 }, mt: 1 }}>
      <CureCurves
        curve={curve}
        until={commonEnd([curve], piece)}
        hottest={commonHottest([curve])}
        what="Thickness and temperature"
      />
    </Box>
  );
}

function Steps({ derivation }: { derivation: Derivation }) {
  const units = useUnits();
  const said = useSaid();
  const rounding = derivation.rounding;
  return (
    <Box sx={{ fontSize: "0.95rem" }}>
      <Box sx={{ fontSize: "1.3rem", fontWeight: 700 }}>
        {said(derivation.value, derivation.unit)}
      </Box>
      <Box sx={{ mb: 0.75 }}>{inUnits(formulaText(derivation.formula), units)}</Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {derivation.inputs.map((input, i) => (
          <Given key={i} input={input} />
        ))}
      </Box>
      {rounding && (
        <Box sx={{ mt: 0.75, color: "text.secondary" }}>
          {rounding.up ? "Rounded up" : "Rounded"} from{" "}
          {withUnit(rounding.exact, derivation.unit, units)} to steps of{" "}
          {withUnit(rounding.step, derivation.unit, units)}.
        </Box>
      )}
    </Box>
  );
}

/** A value as it is said; a moment of a run by the clock on the wall. */
function useSaid() {
  const units = useUnits();
  const { run } = useAbout();
  return (value: number, unit: string) =>
    unit === "clock" && run ? run.at(value) : withUnit(value, unit, units);
}

function Given({ input }: { input: Input }) {
  const said = useSaid();
  const [open, setOpen] = useState(false);
  const from = input.from;
  const row = (
    <Box sx={{ display: "flex", width: "100%", gap: 1.5, py: 0.25, alignItems: "baseline" }}>
      <span>
        {input.name}
        {input.subject ? `, ${input.subject}` : ""}
      </span>
      <Box component="b" sx={{ ml: "auto", whiteSpace: "nowrap" }}>
        {said(input.value, input.unit)}
      </Box>
      <Box
        component="span"
        sx={{
          width: 92,
          flex: "none",
          color: input.origin === "ASSUMED" ? "error.main" : "text.secondary",
        }}
      >
        {from ? (open ? "close" : "open") : originText(input.origin)}
      </Box>
    </Box>
  );
  return (
    <li>
      {from ? (
        <ButtonBase
          onClick={() => setOpen(!open)}
          aria-expanded={open}
          sx={{ font: "inherit", width: "100%", textAlign: "left" }}
        >
          {row}
        </ButtonBase>
      ) : (
        row
      )}
      {input.learned !== undefined && <LearnedFrom of={input.learned} what={input.name} />}
      {open && from && (
        <Box sx={{ pl: 1.5, borderLeft: 2, borderColor: "divider", my: 0.5 }}>
          <Steps derivation={from} />
        </Box>
      )}
    </li>
  );
}
