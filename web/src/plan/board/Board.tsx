import { inLine, ofLine, ofPour } from "../../session/place";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import type { FieldError, Piece, PieceView, Plan, Session, Workshop } from "../../api/client";
import { MouldSection } from "../../drawing/MouldSection";
import { boardScale } from "../../drawing/boardScale";
import { WrongMark } from "../../ui/Told";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { mornings } from "../../words/moments";
import { outOfMould, whenText } from "../../words/states";
import { Fig } from "../how/How";

interface Props {
  session: Session;
  plan: Plan | null;
  shelf: Required<Workshop>;
  errors: FieldError[];
  selected: number | null;
  startsAt: Date;
  zoneId: string;
  onSelect: (line: number | null) => void;
  onCount: (line: number, count: number) => void;
  /** Shown only: the lines of these moulds; null for all. */
  only: Set<number> | null;
}

/** The moulds as they stand on the board, to scale, with how many of each. */
export function Board(props: Props) {
  const { session, plan, errors } = props;
  const units = useUnits();
  const pieces = session.pieces ?? [];
  // The drawing belongs to the last plan; a line it does not know yet has none for a moment.
  const views = pieces.map((piece, i) => matching(plan?.pieces[i], piece));
  const drawn = views.filter((v) => v !== null);
  const scale = drawn.length > 0 ? boardScale(drawn) : { pxPerMm: 1, heights: 1 };
  return (
    <>
      <Box
        component="ul"
        aria-label="Moulds on the board"
        sx={{
          display: "flex",
          flexWrap: "wrap",
          alignItems: "flex-end",
          listStyle: "none",
          p: 0,
          m: 0,
          rowGap: 1,
          maxHeight: { md: 420 },
          overflowY: { md: "auto" },
        }}
      >
        {pieces.map((piece, i) => {
          if (props.only && !props.only.has(i)) {
            return null;
          }
          const view = views[i] ?? null;
          const wrong =
            errors.some((e) => e.field.startsWith(`pieces[${i}]`)) ||
            (plan?.findings.some((f) => f.severity === "BREACH" && inLine(f.place, i)) ?? false);
          const name =
            view?.mouldName ??
            props.shelf.moulds.find((m) => m.id === piece.mouldId)?.name ??
            "missing mould";
          return (
            <Box
              component="li"
              key={i}
              sx={{
                display: "flex",
                flexDirection: "column",
                alignItems: "center",
                minWidth: 104,
                flex: "0 1 auto",
                bgcolor: props.selected === i ? "action.hover" : undefined,
                borderRadius: 1,
              }}
            >
              <ButtonBase
                onClick={() => props.onSelect(props.selected === i ? null : i)}
                aria-label={`Change ${name}`}
                aria-expanded={props.selected === i}
                sx={{
                  minHeight: 44,
                  width: "100%",
                  px: 1,
                  alignItems: "flex-end",
                  borderBottom: 2,
                  borderColor: "text.primary",
                  borderRadius: 0,
                }}
              >
                {view && <MouldSection piece={view} scale={scale} />}
              </ButtonBase>
              <Box sx={{ display: "flex", alignItems: "center", mt: 0.25 }}>
                <Step label={`One ${name} fewer`} onClick={() => props.onCount(i, piece.count - 1)}>
                  −
                </Step>
                <Box
                  component="b"
                  aria-label={`${piece.count} of ${name}`}
                  sx={{ minWidth: 26, textAlign: "center", fontSize: "1.1rem" }}
                >
                  {piece.count}
                </Box>
                <Step label={`One ${name} more`} onClick={() => props.onCount(i, piece.count + 1)}>
                  +
                </Step>
              </Box>
              <Box
                sx={{
                  display: "flex",
                  gap: 0.5,
                  color: wrong ? "error.main" : undefined,
                  fontSize: "0.92rem",
                  lineHeight: 1.25,
                }}
              >
                {wrong && <WrongMark />}
                <span>{name}</span>
              </Box>
              <Box sx={{ color: "text.secondary", fontSize: "0.82rem", lineHeight: 1.2 }}>
                {view && (
                  <Fig of={`${ofLine(i)}/volumeMl`} what={`Volume of one ${name}`}>
                    {showWith(units.VOLUME, view.pouredMl)}
                  </Fig>
                )}
              </Box>
              {view && plan && <Out plan={plan} piece={i} when={props} name={name} />}
              {piece.trial !== undefined && (
                <Box
                  sx={{ fontSize: "0.82rem", lineHeight: 1.2, maxWidth: 140, textAlign: "center" }}
                >
                  trial: {piece.trial}
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
      {scale.heights > 1 && (
        <Box sx={{ color: "text.secondary", fontSize: "0.8rem", mt: 0.5 }}>
          To scale, heights drawn {scale.heights}×
        </Box>
      )}
    </>
  );
}

/** When the pieces of a line come out of their moulds, in a word or two. */
function Out({
  plan,
  piece,
  when,
  name,
}: {
  plan: Plan;
  piece: number;
  when: { startsAt: Date; zoneId: string };
  name: string;
}) {
  const last = outOfMould(plan, piece);
  const out = plan.tasks.filter((t) => t.kind === "DEMOULD" && t.line === piece);
  if (!last) {
    return null;
  }
  // Pieces of several batches come out by themselves: from the first of them to the last.
  const from = Math.min(...out.map((t) => t.startSeconds));
  const until = Math.max(...out.map((t) => t.startSeconds));
  const text = (seconds: number) =>
    (seconds > 12 * 3600 &&
      mornings(new Date(when.startsAt.getTime() + seconds * 1000), when.zoneId)) ||
    whenText(seconds, when);
  return (
    <Box sx={{ color: "text.secondary", fontSize: "0.82rem", lineHeight: 1.3 }}>
      {out.length > 0 ? (
        <Fig of={`${ofPour(last.pourId)}/demouldHours`} what={`${name}: out of the mould`}>
          out {text(from)}
          {until > from && ` to ${text(until)}`}
        </Fig>
      ) : (
        "never hard here"
      )}
    </Box>
  );
}

function matching(view: PieceView | undefined, piece: Piece): PieceView | null {
  const same =
    view?.mouldId === piece.mouldId && (!piece.cavityId || view.cavityId === piece.cavityId);
  return view && same ? view : null;
}

function Step({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: string;
}) {
  return (
    <ButtonBase
      aria-label={label}
      onClick={onClick}
      sx={{
        width: 34,
        height: 32,
        fontSize: "1.25rem",
        borderRadius: "50%",
        color: "primary.main",
        "&:hover": { bgcolor: "action.hover" },
      }}
    >
      {children}
    </ButtonBase>
  );
}
