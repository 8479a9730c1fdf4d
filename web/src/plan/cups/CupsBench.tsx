import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useCallback, useState } from "react";
import type { Batch, FieldError, Plan, Session, Workshop } from "../../api/client";
import { useWidth } from "../../drawing/useWidth";
import { allCups, apart, type Carried, carry, release } from "../../session/cupsByHand";
import { WrongMark } from "../../ui/Told";
import { later } from "../../ui/later";
import { useUnits } from "../../units/UnitsProvider";
import { heatFigures } from "../../words/heat";
import { cupName } from "../../words/places";
import { clockTime } from "../../words/time";
import { Bench, CupColumn, NEW_CUP } from "./CupColumn";
import { MixingCup, Streams } from "./MixingCup";
import { CUP_AREA, MIXING_COLUMN, NARROWEST_CUP } from "./sizes";
import { useCarrying } from "./useCarrying";

const Strokes = later(() => import("./Strokes").then((m) => m.Strokes));
const CupPanel = later(() => import("./CupPanel").then((m) => m.CupPanel));

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
  const tallest = Math.max(batch.mixing.cup.heightMm, ...cups.map((c) => c.kind.heightMm));
  const widest = Math.max(...cups.map((c) => c.kind.topWidthMm), 1);
  const column = inOneRow && cups.length > 0 ? (width - MIXING_COLUMN) / cups.length : 120;
  const pxPerMm = Math.min(
    88 / tallest,
    118 / batch.mixing.cup.topWidthMm,
    (Math.min(column, 140) - 16) / widest,
  );
  const bench: Bench = {
    plan,
    pxPerMm,
    // Streams need room above the cups; without them the cups may stand closer.
    room: inOneRow && cups.length > 0 ? CUP_AREA : tallest * pxPerMm + 8,
    selected,
    carrying,
    until: (cup) => clockTime(startsAt, cup.times.thickensSeconds, zoneId),
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
      {(pumped(props.shelf, batch) || batch.mixing.cup.ringsMm !== undefined) && (
        <Strokes batch={batch} session={session} />
      )}
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

/** Whether both parts of its resin have a pump. */
function pumped(shelf: Required<Workshop>, batch: Batch): boolean {
  const resin = shelf.resins.find((r) => r.id === batch.resinId);
  return [resin?.partAId, resin?.partBId].every((id) =>
    shelf.parts.some((p) => p.id === id && p.pumpMl !== undefined),
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
