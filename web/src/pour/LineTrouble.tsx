import Box from "@mui/material/Box";
import { WrongMark } from "../ui/Told";

interface Props {
  /** Whether the server does not answer. */
  cutOff: boolean;
  /** How much was done that it does not know yet. */
  untold: number;
  /** Why it refused what it was told. */
  refused: string | null;
  /** Whether another screen had finished the step before. */
  before: boolean;
}

/** Over the bench: what is wrong between this screen and the run. */
export function LineTrouble({ cutOff, untold, refused, before }: Props) {
  if (!cutOff && !refused && !before) {
    return null;
  }
  return (
    <Box
      role="alert"
      sx={{
        position: "fixed",
        top: 64,
        left: 16,
        right: 16,
        zIndex: 1100,
        pointerEvents: "none",
      }}
    >
      <Box
        sx={{
          display: "inline-flex",
          gap: 1,
          alignItems: "center",
          bgcolor: "background.paper",
          border: 2,
          borderColor: "error.main",
          borderRadius: 2,
          px: 2,
          py: 1,
          fontSize: "1.1rem",
          pointerEvents: "auto",
        }}
      >
        <WrongMark />
        {cutOff
          ? `Not connected. Go on pouring: ${untold === 0 ? "nothing is lost" : `${untold} to be told when it answers`}.`
          : refused
            ? refused
            : "The other screen had finished that step already."}
      </Box>
    </Box>
  );
}
