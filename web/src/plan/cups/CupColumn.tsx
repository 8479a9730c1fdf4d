import { ofCup, ofPour } from "../../session/place";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import type { ReactNode } from "react";
import type { Cup, Plan } from "../../api/client";
import { CupDrawing } from "../../drawing/CupDrawing";
import { LoadingBar } from "../../drawing/LoadingBar";
import { LookSwatches, lookText } from "../../drawing/LookSwatches";
import { mayBeCarried, mayGo, type Portion, portions } from "../../session/cupsByHand";
import { WrongMark } from "../../ui/Told";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { doseText } from "../../words/doses";
import { heatWarnings } from "../../words/heat";
import { limitText, loadingText, portionShort, portionText } from "../../words/loading";
import { measured, measureOfCup, otherwise } from "../../words/measured";
import { Fig } from "../how/How";
import { type Carrying, useCarrying } from "./useCarrying";

export const NEW_CUP = "new";

/** What a cup needs to be shown and worked on by hand. */
export interface Bench {
  plan: Plan;
  pxPerMm: number;
  room: number;
  selected: string | null;
  carrying: Carrying | null;
  until: (cup: Cup) => string;
  name: (cup: Cup) => string;
  onSelect: (cup: Cup) => void;
  handle: ReturnType<typeof useCarrying>["handle"];
}

/** A heat warning at the cup it is about. */
export function CupHeat({ place, plan }: { place: string; plan: Plan }) {
  const units = useUnits();
  const finding = heatWarnings(plan).find((f) => f.place === place);
  return (
    finding && (
      <Box sx={{ color: "error.main", fontWeight: 700, fontSize: "0.85rem", lineHeight: 1.2 }}>
        <WrongMark /> Heat: {showWith(units.TEMPERATURE, finding.value, 0)}
        {finding.rule === "HOT_IF_FORGOTTEN" && " if forgotten"}
      </Box>
    )
  );
}

/** Where a cup stands: something may be dropped on it while it is carried. */
export function Place({ cup, bench, children }: { cup: Cup; bench: Bench; children: ReactNode }) {
  const { carrying, plan } = bench;
  const takes = carrying !== null && mayGo(plan, carrying.what, cup);
  return (
    <Box
      {...(takes ? { "data-cup": cup.id } : {})}
      sx={{
        minWidth: 0,
        borderRadius: "10px",
        outline: takes ? "2px dashed" : undefined,
        outlineColor: carrying?.over === cup.id ? "primary.main" : "divider",
        bgcolor: carrying?.over === cup.id ? "action.hover" : undefined,
        opacity: carrying !== null && !takes && carrying.what.cupId !== cup.id ? 0.45 : 1,
      }}
    >
      {children}
    </Box>
  );
}

/** The layers poured from a cup; each can be carried to another cup. */
export function Portions({ cup, bench }: { cup: Cup; bench: Bench }) {
  if (!mayBeCarried(cup)) {
    return null;
  }
  return (
    <Box
      component="ul"
      aria-label={`Poured from ${bench.name(cup)}`}
      sx={{
        listStyle: "none",
        p: 0,
        m: 0,
        mt: 0.25,
        display: "grid",
        gridTemplateColumns: "minmax(0, 1fr)",
        justifyItems: "center",
        gap: "2px",
        "& li": { maxWidth: "100%" },
      }}
    >
      {portions(cup).map((portion: Portion) => {
        const words = portionText(bench.plan, portion);
        return (
          <li key={`${portion.line}.${portion.layer}`}>
            <ButtonBase
              {...bench.handle({ cupId: cup.id, portion }, words)}
              onClick={() => bench.onSelect(cup)}
              aria-label={`${portionShort(bench.plan, portion)}: ${words}, from ${bench.name(cup)}`}
              title={`${words}: drag it to another cup`}
              sx={{
                maxWidth: "100%",
                minHeight: 24,
                px: 0.5,
                borderRadius: "6px",
                bgcolor: "background.default",
                font: "inherit",
                fontSize: "0.78rem",
                cursor: "grab",
                touchAction: "none",
              }}
            >
              <Box
                component="span"
                sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}
              >
                {portionShort(bench.plan, portion)}
              </Box>
            </ButtonBase>
          </li>
        );
      })}
    </Box>
  );
}

/** A cup's name, which opens it; marked when it was put together by hand. */
export function CupName({ cup, bench, wrong }: { cup: Cup; bench: Bench; wrong: boolean }) {
  const whole = { cupId: cup.id, portion: null };
  return (
    <>
      <ButtonBase
        {...(mayBeCarried(cup) ? bench.handle(whole, `the ${bench.name(cup)} cup`) : {})}
        onClick={() => bench.onSelect(cup)}
        aria-expanded={bench.selected === cup.id}
        aria-label={`Open the ${bench.name(cup)} cup`}
        sx={{
          mt: 0.5,
          px: 0.75,
          minHeight: 30,
          maxWidth: "100%",
          borderRadius: "6px",
          font: "inherit",
          fontWeight: 700,
          textDecoration: "underline dotted",
          textUnderlineOffset: "3px",
          color: wrong ? "error.main" : undefined,
          cursor: "grab",
          touchAction: "none",
        }}
      >
        {wrong && <WrongMark />} {bench.name(cup)}
      </ButtonBase>
      {cup.byHand !== undefined && (
        <Box sx={{ fontSize: "0.78rem", color: "primary.main", mt: -0.5 }}>by hand</Box>
      )}
    </>
  );
}

export function CupLook({ cup }: { cup: Cup }) {
  return (
    cup.tint.look &&
    cup.tint.doses.length > 0 && (
      <Box
        title={`in its thinnest layer it ${lookText(cup.tint.look)}`}
        sx={{ my: 0.25, lineHeight: 1 }}
      >
        <LookSwatches look={cup.tint.look} size={20} />
      </Box>
    )
  );
}

export function isWrong(plan: Plan, cup: Cup): boolean {
  return plan.findings.some(
    (f) =>
      f.severity === "BREACH" &&
      (f.place === ofCup(cup.id) || cup.pours.some((p) => f.place === ofPour(p.id))),
  );
}

export function CupColumn({ cup, bench }: { cup: Cup; bench: Bench }) {
  const { pxPerMm, room, until } = bench;
  const units = useUnits();
  const measure = measureOfCup(bench.plan, cup);
  return (
    <Box
      role="group"
      aria-label={`Cup ${bench.name(cup)}`}
      sx={{ textAlign: "center", minWidth: 0 }}
    >
      <Place cup={cup} bench={bench}>
        <Box
          sx={{ height: room, display: "flex", alignItems: "flex-end", justifyContent: "center" }}
        >
          <CupDrawing
            kind={cup.kind}
            levels={[{ mm: cup.amounts.levelMm, fill: cup.colour.swatch }]}
            pxPerMm={pxPerMm}
            label={`${cup.kind.name}, filled to ${cup.amounts.levelMm.toFixed(0)} mm`}
          />
        </Box>
        <CupName cup={cup} bench={bench} wrong={isWrong(bench.plan, cup)} />
        <Box sx={{ fontSize: "1.12rem", fontWeight: 700 }}>
          <Fig of={`${ofCup(cup.id)}/resinG`} what={`Resin for ${cup.colour.name}`}>
            {measured(units, measure, cup.amounts.resinG)}
          </Fig>
          {measure.marks && (
            <Box
              component="span"
              sx={{ fontWeight: 400, color: "text.secondary", fontSize: "0.85rem" }}
            >
              {" "}
              {otherwise(units, measure, cup.amounts.resinG)}
            </Box>
          )}
        </Box>
        <Doses cup={cup} />
        {cup.tint.loading.length > 0 ? (
          <Loading cup={cup} />
        ) : (
          <Box sx={{ color: "text.secondary", fontSize: "0.87rem" }}>no tint</Box>
        )}
        <CupHeat place={ofCup(cup.id)} plan={bench.plan} />
        <CupLook cup={cup} />
        <Until cup={cup} until={until} />
        <Portions cup={cup} bench={bench} />
      </Place>
    </Box>
  );
}

export function Until({ cup, until }: { cup: Cup; until: (cup: Cup) => string }) {
  return (
    <Box sx={{ fontSize: "0.82rem", color: "text.secondary" }}>
      <Fig of={`${ofCup(cup.id)}/workingTimeMinutes`} what={`Working time of ${cup.colour.name}`}>
        until {until(cup)}
      </Fig>
    </Box>
  );
}

export function Doses({ cup }: { cup: Cup }) {
  const units = useUnits();
  const grams = Math.max(2, units.MASS.digits);
  return (
    <>
      {cup.tint.doses.map((dose) => {
        const at = `${ofCup(cup.id)}/dose/${dose.colourantId}`;
        const counted = doseText(dose.drops, dose.scoops);
        return (
          <Box
            key={dose.colourantId}
            sx={{ color: "text.secondary", fontSize: "0.82rem", lineHeight: 1.3 }}
          >
            <Box
              title={dose.colourantName}
              sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap", px: 0.5 }}
            >
              {dose.colourantName}
            </Box>
            {dose.by === "COUNT" && (
              <Box component="b" sx={{ color: "text.primary" }}>
                <Fig
                  of={`${at}/${dose.drops === undefined ? "scoops" : "drops"}`}
                  what={`${dose.colourantName} for ${cup.colour.name}, counted`}
                >
                  {counted}
                </Fig>{" "}
              </Box>
            )}
            <Fig of={`${at}/massG`} what={`${dose.colourantName} for ${cup.colour.name}`}>
              {showWith(units.MASS, dose.massG, grams)}
            </Fig>
            {dose.by === "SCALE" && " weighed"}
            {dose.by === "WITH_MIX" && " in the mix"}
            {dose.stock && <Box sx={{ color: "text.primary" }}>from a stock cup</Box>}
            {dose.by === "NOTHING" && (
              <Box sx={{ color: "error.main" }}>too little to measure: left out</Box>
            )}
          </Box>
        );
      })}
    </>
  );
}

export function Loading({ cup }: { cup: Cup }) {
  const nearest = cup.tint.loading[0];
  if (!nearest) {
    return null;
  }
  const held = cup.tint.heldAt < 1;
  return (
    <Box title={limitText(nearest)}>
      <LoadingBar share={nearest.percent / nearest.limitPercent} />
      <Box sx={{ fontSize: "0.82rem", color: held ? "error.main" : "text.secondary" }}>
        <Fig of={`${ofCup(cup.id)}/loading/0`} what={`Loading of ${cup.colour.name}`}>
          {loadingText(nearest)}
        </Fig>
        {held && ", held back"}
      </Box>
    </Box>
  );
}
