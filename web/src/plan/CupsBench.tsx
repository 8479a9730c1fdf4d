import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import { useTheme } from "@mui/material/styles";
import { useCallback, useState, type ReactNode } from "react";
import type { Batch, Cup, FieldError, Plan, Session, Workshop } from "../api/client";
import { CupDrawing, type Level } from "../drawing/CupDrawing";
import { LoadingBar } from "../drawing/LoadingBar";
import { lookText, LookSwatches } from "../drawing/LookSwatches";
import { useWidth } from "../drawing/useWidth";
import { WrongMark } from "../frame/Told";
import { show, showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { CupPanel } from "./CupPanel";
import { allCups, apart, carry, mayBeCarried, mayGo, portions, release } from "./cupsByHand";
import type { Carried, Portion } from "./cupsByHand";
import { heatFigures, heatWarnings } from "./heat";
import { Fig } from "./How";
import { useCarrying, type Carrying } from "./useCarrying";
import { doseText } from "./doseWords";
import { clockTime, cupName, limitText, loadingText, portionShort, portionText } from "./wording";

const MIXING_COLUMN = 180;
const NARROWEST_CUP = 96;
const CUP_AREA = 104;

const NEW_CUP = "new";

interface Props {
  batch: Batch;
  plan: Plan;
  session: Session;
  shelf: Required<Workshop>;
  errors: FieldError[];
  startsAt: Date;
  zoneId: string;
  onEdit: (session: Session) => void;
}

/** What a cup needs to be shown and worked on by hand. */
interface Bench {
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

/** One batch: the mixing cup with its two marks, and what runs out of it into the cups. */
export function CupsBench(props: Props) {
  const { batch, plan, session, startsAt, zoneId, onEdit } = props;
  const [selected, setSelected] = useState<string | null>(null);
  const drop = useCallback(
    (what: Carried, over: string) => {
      const to = allCups(plan).find((c) => c.id === over);
      onEdit(to ? carry(session, plan, what, to) : apart(session, plan, what));
    },
    [plan, session, onEdit],
  );
  const { carrying, handle } = useCarrying(drop);
  const [ref, width] = useWidth<HTMLDivElement>();
  const cups = batch.split ? batch.cups : [];
  const lone = batch.split ? undefined : batch.cups[0];
  const perRow = Math.max(1, Math.floor((width - MIXING_COLUMN) / NARROWEST_CUP));
  const inOneRow = cups.length <= perRow;
  const tallest = Math.max(batch.mixingCup.heightMm, ...cups.map((c) => c.kind.heightMm));
  const widest = Math.max(...cups.map((c) => c.kind.topWidthMm), 1);
  const column = inOneRow && cups.length > 0 ? (width - MIXING_COLUMN) / cups.length : 120;
  const pxPerMm = Math.min(
    88 / tallest,
    118 / batch.mixingCup.topWidthMm,
    (Math.min(column, 140) - 16) / widest,
  );
  const bench: Bench = {
    plan,
    pxPerMm,
    // Streams need room above the cups; without them the cups may stand closer.
    room: inOneRow && cups.length > 0 ? CUP_AREA : tallest * pxPerMm + 8,
    selected,
    carrying,
    until: (cup) => clockTime(startsAt, cup.thickensSeconds, zoneId),
    name: (cup) => cupName(batch.cups, cup),
    onSelect: (cup) => setSelected(selected === cup.id ? null : cup.id),
    handle,
  };
  const open = batch.cups.find((c) => c.id === selected);
  return (
    <Box ref={ref} sx={{ position: "relative" }}>
      <Troubles errors={props.errors} session={session} onEdit={onEdit} />
      <Box sx={{ position: "relative" }}>
        {inOneRow && cups.length > 0 && (
          <Streams batch={batch} column={column} pxPerMm={pxPerMm} width={width} />
        )}
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: inOneRow
              ? `${MIXING_COLUMN}px repeat(${cups.length}, minmax(0, 1fr))`
              : `repeat(auto-fill, minmax(${NARROWEST_CUP + 24}px, 1fr))`,
            rowGap: 2,
          }}
        >
          <MixingCup batch={batch} lone={lone} bench={bench} wide={!inOneRow} />
          {cups.map((cup) => (
            <CupColumn key={cup.id} cup={cup} bench={bench} />
          ))}
        </Box>
      </Box>
      <Warmest batch={batch} plan={plan} />
      {carrying && (
        <>
          <Box
            data-cup={NEW_CUP}
            sx={{
              border: "2px dashed",
              borderColor: carrying.over === NEW_CUP ? "primary.main" : "divider",
              borderRadius: "10px",
              p: 1.25,
              mt: 1,
              textAlign: "center",
            }}
          >
            a cup of its own
          </Box>
          <Box
            aria-hidden="true"
            sx={{
              position: "fixed",
              left: carrying.x + 12,
              top: carrying.y + 10,
              zIndex: "tooltip",
              bgcolor: "background.default",
              border: 1,
              borderColor: "primary.main",
              borderRadius: "8px",
              px: 1,
              py: 0.25,
              pointerEvents: "none",
            }}
          >
            {carrying.words}
          </Box>
        </>
      )}
      {open && (
        <CupPanel
          cup={open}
          plan={plan}
          session={session}
          shelf={props.shelf}
          startsAt={startsAt}
          zoneId={zoneId}
          onEdit={onEdit}
          onClose={() => setSelected(null)}
        />
      )}
    </Box>
  );
}

/** How warm the batch gets as planned, and as if it were forgotten. */
function Warmest({ batch, plan }: { batch: Batch; plan: Plan }) {
  const units = useUnits();
  const figures = heatFigures(batch, plan, units);
  if (figures.length === 0) {
    return null;
  }
  return (
    <Box
      component="section"
      aria-label="How warm it gets"
      sx={{
        display: "flex",
        columnGap: 2,
        flexWrap: "wrap",
        mt: 1,
        color: "text.secondary",
        fontSize: "0.88rem",
      }}
    >
      <span>Warmest:</span>
      {figures.map((each) => (
        <span key={each.name}>
          {each.name} <b>{each.planned}</b>
          {each.forgotten !== null && `, if forgotten ${each.forgotten}`}
        </span>
      ))}
    </Box>
  );
}

/** A heat warning at the cup it is about. */
function CupHeat({ place, plan }: { place: string; plan: Plan }) {
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

/** What is wrong with cups put together by hand, each with the way out. */
function Troubles({
  errors,
  session,
  onEdit,
}: {
  errors: FieldError[];
  session: Session;
  onEdit: (session: Session) => void;
}) {
  const troubles = errors.filter((e) => e.field.startsWith("cupsByHand["));
  return troubles.map((trouble) => {
    const byHand = Number(/\d+/.exec(trouble.field)?.[0] ?? -1);
    return (
      <Box key={trouble.field} role="alert" sx={{ display: "flex", gap: 1, mb: 1 }}>
        <Box sx={{ color: "error.main", flex: 1 }}>
          <WrongMark /> {trouble.message}
        </Box>
        <Button variant="outlined" onClick={() => onEdit(release(session, byHand))}>
          Release it
        </Button>
      </Box>
    );
  });
}

/** Where a cup stands: something may be dropped on it while it is carried. */
function Place({ cup, bench, children }: { cup: Cup; bench: Bench; children: ReactNode }) {
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
function Portions({ cup, bench }: { cup: Cup; bench: Bench }) {
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
              aria-label={`${words}, from ${bench.name(cup)}`}
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
function CupName({ cup, bench, wrong }: { cup: Cup; bench: Bench; wrong: boolean }) {
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

function CupLook({ cup }: { cup: Cup }) {
  return (
    cup.look &&
    cup.doses.length > 0 && (
      <Box
        title={`in its thinnest layer it ${lookText(cup.look)}`}
        sx={{ my: 0.25, lineHeight: 1 }}
      >
        <LookSwatches look={cup.look} size={20} />
      </Box>
    )
  );
}

function MixingCup({
  batch,
  lone,
  bench,
  wide,
}: {
  batch: Batch;
  lone: Cup | undefined;
  bench: Bench;
  wide: boolean;
}) {
  const { pxPerMm, room, until } = bench;
  const units = useUnits();
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const first = batch.firstPart;
  const second = first === "A" ? "B" : "A";
  const volume = batch.measured === "VOLUME";
  const at = `batch/${batch.number}`;
  const levels: Level[] = [
    { mm: batch.firstPartMm, fill: ink?.rubber ?? "", mark: first },
    { mm: batch.bothPartsMm, fill: lone?.swatch ?? "#dde6e4", mark: second, letter: "#22313A" },
  ];
  const part = (which: "A" | "B") => {
    const amount = which === "A" ? batch.partA : batch.partB;
    return (
      <Box sx={{ fontSize: "1.12rem", fontWeight: 700, whiteSpace: "nowrap" }}>
        {which}{" "}
        <Fig of={`${at}/part${which}/${volume ? "volumeMl" : "massG"}`} what={`Part ${which}`}>
          {volume ? showWith(units.VOLUME, amount.volumeMl) : showWith(units.MASS, amount.massG)}
        </Fig>
        <Box
          component="span"
          sx={{ fontWeight: 400, color: "text.secondary", fontSize: "0.85rem" }}
        >
          {" "}
          <Fig
            of={`${at}/part${which}/${volume ? "massG" : "volumeMl"}`}
            what={`Part ${which}, ${volume ? "by weight" : "by volume"}`}
          >
            {volume ? showWith(units.MASS, amount.massG) : showWith(units.VOLUME, amount.volumeMl)}
          </Fig>
        </Box>
      </Box>
    );
  };
  return (
    <Box
      aria-label={`Batch ${batch.number}, mixing`}
      role="group"
      sx={{ gridColumn: wide ? "span 2" : undefined, minWidth: 0 }}
    >
      <Box sx={{ height: room, display: "flex", alignItems: "flex-end" }}>
        <CupDrawing
          kind={batch.mixingCup}
          levels={levels}
          pxPerMm={pxPerMm}
          label={`${batch.mixingCup.name}: ${first} to ${batch.firstPartMm.toFixed(0)} mm, both to ${batch.bothPartsMm.toFixed(0)} mm`}
        />
      </Box>
      <Box sx={{ mt: 0.75 }}>
        {part(first)}
        {part(second)}
        <Box sx={{ color: "text.secondary", fontSize: "0.87rem", pr: 1 }}>
          {first} first, then {second} to{" "}
          <Fig of={`${at}/totalG`} what="Both parts">
            {showWith(units.MASS, batch.totalG)}
          </Fig>
        </Box>
        {batch.tintedWhole.length > 0 && (
          <Box sx={{ fontSize: "0.87rem", pr: 1 }}>tinted in it, then split</Box>
        )}
        {batch.reserveG > 0 && (
          <Box sx={{ fontSize: "0.87rem", pr: 1 }}>
            {showWith(units.MASS, batch.reserveG)} stay in it clear, kept back
          </Box>
        )}
        <CupHeat place={`batch/${batch.number}`} plan={bench.plan} />
        {lone && (
          <Place cup={lone} bench={bench}>
            <CupName cup={lone} bench={bench} wrong={isWrong(bench.plan, lone)} />
            <Doses cup={lone} />
            {lone.loading.length > 0 && <Loading cup={lone} />}
            <CupLook cup={lone} />
            <Until cup={lone} until={until} />
            <Portions cup={lone} bench={bench} />
          </Place>
        )}
      </Box>
    </Box>
  );
}

function isWrong(plan: Plan, cup: Cup): boolean {
  return plan.findings.some(
    (f) =>
      f.severity === "BREACH" &&
      (f.place === `cup/${cup.id}` || cup.pours.some((p) => f.place === `pour/${p.id}`)),
  );
}

function CupColumn({ cup, bench }: { cup: Cup; bench: Bench }) {
  const { pxPerMm, room, until } = bench;
  const units = useUnits();
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
            levels={[{ mm: cup.levelMm, fill: cup.swatch }]}
            pxPerMm={pxPerMm}
            label={`${cup.kind.name}, filled to ${cup.levelMm.toFixed(0)} mm`}
          />
        </Box>
        <CupName cup={cup} bench={bench} wrong={isWrong(bench.plan, cup)} />
        <Box sx={{ fontSize: "1.12rem", fontWeight: 700 }}>
          <Fig of={`cup/${cup.id}/resinG`} what={`Resin for ${cup.colourName}`}>
            {showWith(units.MASS, cup.resinG)}
          </Fig>
        </Box>
        <Doses cup={cup} />
        {cup.loading.length > 0 ? (
          <Loading cup={cup} />
        ) : (
          <Box sx={{ color: "text.secondary", fontSize: "0.87rem" }}>no tint</Box>
        )}
        <CupHeat place={`cup/${cup.id}`} plan={bench.plan} />
        <CupLook cup={cup} />
        <Until cup={cup} until={until} />
        <Portions cup={cup} bench={bench} />
      </Place>
    </Box>
  );
}

function Until({ cup, until }: { cup: Cup; until: (cup: Cup) => string }) {
  return (
    <Box sx={{ fontSize: "0.82rem", color: "text.secondary" }}>
      <Fig of={`cup/${cup.id}/workingTimeMinutes`} what={`Working time of ${cup.colourName}`}>
        until {until(cup)}
      </Fig>
    </Box>
  );
}

function Doses({ cup }: { cup: Cup }) {
  const units = useUnits();
  const grams = Math.max(2, units.MASS.digits);
  return (
    <>
      {cup.doses.map((dose) => {
        const at = `cup/${cup.id}/dose/${dose.colourantId}`;
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
                  what={`${dose.colourantName} for ${cup.colourName}, counted`}
                >
                  {counted}
                </Fig>{" "}
              </Box>
            )}
            <Fig of={`${at}/massG`} what={`${dose.colourantName} for ${cup.colourName}`}>
              {show(units.MASS, dose.massG, grams)} {units.MASS.symbol}
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

function Loading({ cup }: { cup: Cup }) {
  const nearest = cup.loading[0];
  if (!nearest) {
    return null;
  }
  const held = cup.tintHeldAt < 1;
  return (
    <Box title={limitText(nearest)}>
      <LoadingBar share={nearest.percent / nearest.limitPercent} />
      <Box sx={{ fontSize: "0.82rem", color: held ? "error.main" : "text.secondary" }}>
        <Fig of={`cup/${cup.id}/loading/0`} what={`Loading of ${cup.colourName}`}>
          {loadingText(nearest)}
        </Fig>
        {held && ", held back"}
      </Box>
    </Box>
  );
}

interface StreamsProps {
  batch: Batch;
  column: number;
  pxPerMm: number;
  width: number;
}

/** What runs from the mixing cup into the cups, each stream as wide as its share. */
function Streams({ batch, column, pxPerMm, width }: StreamsProps) {
  const lip = {
    x: batch.mixingCup.topWidthMm * pxPerMm + 2,
    y: CUP_AREA - batch.mixingCup.heightMm * pxPerMm - 2,
  };
  return (
    <svg
      width={width}
      height={CUP_AREA}
      style={{ position: "absolute", left: 0, top: 0, pointerEvents: "none" }}
      aria-hidden="true"
    >
      {batch.cups
        .map((cup, i) => {
          const x = MIXING_COLUMN + column * (i + 0.5);
          const y = CUP_AREA - cup.levelMm * pxPerMm - 4;
          const over = Math.max(6, lip.y - 26);
          return (
            <path
              key={cup.id}
              d={`M${lip.x} ${lip.y + 4}C${lip.x + 34} ${over} ${x - 26} ${over - 12} ${x} ${y}`}
              fill="none"
              stroke={cup.swatch}
              strokeWidth={Math.max(1.5, (cup.resinG / batch.totalG) * 22)}
              strokeLinecap="round"
              opacity={0.85}
            />
          );
        })
        .reverse()}
    </svg>
  );
}
