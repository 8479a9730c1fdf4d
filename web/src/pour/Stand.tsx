import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Fragment } from "react";
import { Fig } from "../plan/how/How";
import { WrongMark } from "../ui/Told";
import type { SoonTold } from "../words/soon";
import type { Standing } from "../words/stands";
import { LOW } from "./low";

interface Props {
  sentence: Standing;
  /** What is lost unless somebody goes on; null for nothing. */
  soon: SoonTold | null;
  /** What the last thing made of the rest; null where it stayed as it was. */
  change: string | null;
  onGiveUp: (() => void) | null;
}

/** How the run stands beside its plan, in one line above the step. */
export function Stand({ sentence, soon, change, onGiveUp }: Props) {
  const wrong = sentence.wrong || soon !== null;
  return (
    <Box
      role="status"
      sx={{
        color: wrong ? "error.main" : "text.secondary",
        fontWeight: wrong ? 700 : 400,
        fontSize: { xs: "1rem", md: "1.2rem" },
        display: "flex",
        gap: 1,
        alignItems: "center",
        flexWrap: { xs: "wrap", md: "nowrap" },
        [LOW]: { fontSize: "0.9rem" },
      }}
    >
      {wrong && <WrongMark />}
      <Box component="span" sx={{ flex: "1 1 0", minWidth: 220 }}>
        {soon !== null && (
          <>
            <Fig of={soon.of} what="Until when">
              {soon.words}
            </Fig>{" "}
          </>
        )}
        {sentence.parts.map(({ words, of }, i) => (
          <Fragment key={words}>
            {i > 0 && "; "}
            {of === null ? (
              words
            ) : (
              <Fig of={of} what="How it stands">
                {words}
              </Fig>
            )}
          </Fragment>
        ))}
        {sentence.parts.length > 0 && "."}
        {change && <b> {change}</b>}
      </Box>
      {onGiveUp && (
        <Button
          onClick={onGiveUp}
          sx={{ minHeight: 64, whiteSpace: "nowrap", [LOW]: { minHeight: 44 } }}
        >
          See what to give up
        </Button>
      )}
    </Box>
  );
}
