import Box from "@mui/material/Box";
import type { Usual } from "../api/client";
import { useUsual } from "../api/queries";
import { OneOf } from "../ui/OneOf";
import { Told } from "../ui/Told";
import { useKeepUsual } from "../ways/useKeepUsual";

/** Whether what is learned of resins, moulds, lids, cups, doses and hands is always planned with. */
export function useAlwaysLearned(): boolean {
  return useUsual().data?.usual.learned === "ALWAYS";
}

/** When what was learned is planned with. */
export function LearnedHabit() {
  const view = useUsual().data;
  const { put, trouble } = useKeepUsual(view);
  if (!view) {
    return null;
  }
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center" }}>
        <span>Plan with what was learned of resins, moulds, lids, cups, doses and hands</span>
        <OneOf<Usual["learned"]>
          label="Plan with what was learned"
          choices={[
            ["WHEN_ASKED", "when I say so"],
            ["ALWAYS", "always"],
          ]}
          chosen={view.usual.learned}
          onChoose={(learned) => void put({ ...view.usual, learned })}
        />
      </Box>
      {trouble && <Told trouble={trouble} />}
    </Box>
  );
}
