import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Batch, FieldError, Plan, Session, Workshop } from "../../api/client";
import { OneOf } from "../../ui/OneOf";
import { Sheet } from "../../ui/Sheet";
import { countWord } from "../../words/numbers";
import { clockTime } from "../../words/time";
import { CupsBench } from "./CupsBench";

interface Props {
  batch: Batch | undefined;
  plan: Plan | null;
  session: Session;
  shelf: Required<Workshop>;
  errors: FieldError[];
  startsAt: Date;
  zoneId: string;
  onEdit: (session: Session) => void;
  onBatch: (number: number) => void;
  /** Null while what is typed cannot be planned. */
  onCard: (() => void) | null;
}

/** One batch and the cups it is split into; which one, where there are several. */
export function CupsSheet(props: Props) {
  const { batch, plan, session, shelf, startsAt, zoneId, onBatch, onCard } = props;
  return (
    <Sheet
      title={
        batch?.split === false
          ? "One cup"
          : batch
            ? `From one cup to ${countWord(batch.cups.length).toLowerCase()}`
            : "The cups"
      }
      aside={
        <>
          {batch && onCard && (
            <Button onClick={onCard} sx={{ minHeight: 32, py: 0 }}>
              Batch card
            </Button>
          )}
          {plan && plan.batches.length > 1 ? (
            <OneOf
              label="Batch"
              choices={plan.batches.map(
                (b) =>
                  [
                    b.number,
                    `Batch ${b.number}, ${clockTime(startsAt, b.times.startSeconds, zoneId)}`,
                  ] as const,
              )}
              chosen={batch?.number ?? 1}
              onChoose={onBatch}
            />
          ) : (
            shelf.resins.find((r) => r.id === session.resinId)?.name
          )}
        </>
      }
    >
      <Box className="stale">
        {plan && batch ? (
          <CupsBench
            batch={batch}
            plan={plan}
            session={session}
            shelf={shelf}
            errors={props.errors}
            startsAt={startsAt}
            zoneId={zoneId}
            onEdit={props.onEdit}
          />
        ) : (
          <Box sx={{ color: "text.secondary" }}>
            The batch and its cups are shown here as soon as there is something to pour.
          </Box>
        )}
      </Box>
    </Sheet>
  );
}
