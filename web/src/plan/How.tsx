import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Popover from "@mui/material/Popover";
import Typography from "@mui/material/Typography";
import { createContext, useContext, useState, type ReactNode } from "react";
import {
  api,
  ask,
  type CureCurve,
  type Derivation,
  type Input,
  type Session,
  type Trouble,
} from "../api/client";
import { CureCurves } from "../drawing/CureCurves";
import { commonEnd, commonHottest } from "../drawing/curveScale";
import { Told } from "../frame/Told";
import { useUnits } from "../units/UnitsProvider";
import { formulaText, originText, withUnit } from "./wording";

const SessionContext = createContext<Session | null>(null);

/** Which session the numbers below belong to. */
export const HowProvider = SessionContext.Provider;

type State =
  | { status: "asking" }
  | { status: "told"; derivation: Derivation; curve: CureCurve | null }
  | { status: "trouble"; trouble: Trouble };

/** A number that opens how it came about. */
export function Fig({
  of,
  children,
  what,
}: {
  of: string;
  children: ReactNode;
  /** What the number is, for those who do not see where it stands. */
  what: string;
}) {
  const session = useContext(SessionContext);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [state, setState] = useState<State>({ status: "asking" });
  const open = async (at: HTMLElement) => {
    if (!session) {
      return;
    }
    setAnchor(at);
    setState({ status: "asking" });
    const body = bodyOf(of);
    const [answer, curve] = await Promise.all([
      ask(api.POST("/api/plan/explain", { body: { session, quantity: of } })),
      body === null ? null : ask(api.POST("/api/plan/curve", { body: { session, body } })),
    ]);
    setState(
      answer.status === "ok"
        ? {
            status: "told",
            derivation: answer.value,
            // Where a rule of thumb stands in there is no curve; the derivation says so.
            curve: curve?.status === "ok" ? curve.value : null,
          }
        : { status: "trouble", trouble: answer.trouble },
    );
  };
  return (
    <>
      <ButtonBase
        onClick={(event) => void open(event.currentTarget)}
        aria-label={`${what}: how it came about`}
        sx={{
          font: "inherit",
          color: "inherit",
          textAlign: "inherit",
          borderRadius: 0.5,
          px: 0.25,
          verticalAlign: "baseline",
          "&:hover, &:focus-visible": { textDecoration: "underline dotted 2px" },
        }}
      >
        {children}
      </ButtonBase>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        slotProps={{
          paper: {
            role: "dialog",
            "aria-label": `How ${what} came about`,
            sx: { p: 2, maxWidth: 460, border: 1, borderColor: "divider" },
          },
        }}
      >
        <Typography variant="h3" component="p">
          {what}
        </Typography>
        {state.status === "asking" && <p>Working it out…</p>}
        {state.status === "trouble" && <Told trouble={state.trouble} />}
        {state.status === "told" && (
          <>
            <Steps derivation={state.derivation} />
            {state.curve && <Curve curve={state.curve} piece={of.startsWith("pour/")} />}
          </>
        )}
      </Popover>
    </>
  );
}

/** The body of resin whose curve is behind a number, where there is one. */
function bodyOf(quantity: string): string | null {
  const [kind, id, what] = quantity.split("/");
  if (kind === "cup" && what === "peakC") {
    return quantity;
  }
  const ofCup = ["workingTimeMinutes", "threadMinutes", "gelsMinutes"];
  if (kind === "cup" && ofCup.includes(what ?? "")) {
    return `cup/${id}`;
  }
  const ofLayer = ["gelsMinutes", "bondHours", "demouldHours", "fullCureHours", "peakC"];
  return kind === "pour" && ofLayer.includes(what ?? "") ? `pour/${id}` : null;
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
  const rounding = derivation.rounding;
  return (
    <Box sx={{ fontSize: "0.95rem" }}>
      <Box sx={{ fontSize: "1.3rem", fontWeight: 700 }}>
        {withUnit(derivation.value, derivation.unit, units)}
      </Box>
      <Box sx={{ mb: 0.75 }}>{formulaText(derivation.formula)}</Box>
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

function Given({ input }: { input: Input }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const from = input.from;
  const row = (
    <Box sx={{ display: "flex", width: "100%", gap: 1.5, py: 0.25, alignItems: "baseline" }}>
      <span>
        {input.name}
        {input.subject ? `, ${input.subject}` : ""}
      </span>
      <Box component="b" sx={{ ml: "auto", whiteSpace: "nowrap" }}>
        {withUnit(input.value, input.unit, units)}
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
      {open && from && (
        <Box sx={{ pl: 1.5, borderLeft: 2, borderColor: "divider", my: 0.5 }}>
          <Steps derivation={from} />
        </Box>
      )}
    </li>
  );
}
