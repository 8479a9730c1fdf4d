import Button from "@mui/material/Button";
import { type ComponentProps, useState } from "react";
import { useAddressed } from "../../ui/Going";
import { later } from "../../ui/later";
import { Sheet } from "../../ui/Sheet";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { Fig } from "../how/How";
import { Board } from "./Board";
import { EVERYTHING, MANY_LINES, soughtLines } from "./seek";

const BenchFromAbove = later(() =>
  import("../../drawing/BenchFromAbove").then((m) => m.BenchFromAbove),
);
const StayEmpty = later(() => import("./StayEmpty").then((m) => m.StayEmpty));
const Find = later(() => import("./Find").then((m) => m.Find));

/** Where the focus goes on once a mould is on the board. */
export const ADD_MOULD = "add-a-mould";

type Props = Omit<ComponentProps<typeof Board>, "only"> & {
  /** Opens or closes the choice of another mould. */
  onAdding: () => void;
};

/** What is made: the lines of the board in section, or all moulds from above. */
export function BoardSheet({ onAdding, ...board }: Props) {
  const { plan } = board;
  const units = useUnits();
  const [sought, setSought] = useState(EVERYTHING);
  const [seen, setSeen] = useAddressed("board");
  const above = seen === "above";
  const many = plan !== null && plan.pieces.length >= MANY_LINES;
  return (
    <Sheet
      title="On the board"
      aside={
        <>
          {plan && (
            <>
              {plan.totals.cavities} {plan.totals.cavities === 1 ? "cavity" : "cavities"} ·{" "}
              <Fig of="session/volumeMl" what="Volume of the session">
                {showWith(units.VOLUME, plan.totals.volumeMl)}
              </Fig>{" "}
            </>
          )}
          {plan && (
            <Button
              onClick={() => setSeen(above ? null : "above")}
              aria-pressed={above}
              sx={{ minHeight: 32, py: 0 }}
            >
              {above ? "In section" : "From above"}
            </Button>
          )}
          <Button id={ADD_MOULD} onClick={onAdding} sx={{ minHeight: 32, py: 0 }}>
            + a mould
          </Button>
        </>
      }
    >
      {plan && above && <BenchFromAbove plan={plan} />}
      {plan && many && !above && <Find plan={plan} sought={sought} onSeek={setSought} />}
      <StayEmpty session={board.session} shelf={board.shelf} />
      {!above && <Board {...board} only={plan && many ? soughtLines(plan, sought) : null} />}
    </Sheet>
  );
}
