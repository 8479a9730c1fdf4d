import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { CupNow } from "../api/client";
import { Over } from "./Over";
import { Tag } from "./Tag";

interface Props {
  cups: CupNow[];
  onChosen: (cupId: string) => void;
  onClose: () => void;
}

/** Which of the open cups gets hot. */
export function WhichCup({ cups, onChosen, onClose }: Props) {
  return (
    <Over label="Which cup gets hot?" onClose={onClose}>
      <Box component="h2" sx={{ typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.4rem" } }}>
        Which cup gets hot?
      </Box>
      {cups.map((c) => (
        <Button
          key={c.cupId}
          variant="outlined"
          color="error"
          onClick={() => onChosen(c.cupId)}
          sx={{ minHeight: 84, fontSize: "1.4rem", gap: 1.5 }}
        >
          <Tag swatch={c.swatch} />
          {c.colourName}
        </Button>
      ))}
      <Button onClick={onClose} sx={{ minHeight: 72, fontSize: "1.2rem" }}>
        None of them
      </Button>
    </Over>
  );
}
