import Box from "@mui/material/Box";
import { WrongMark } from "./Told";

/** What is kept and cannot be read; it is not lost, and nothing else waits for it. */
export function Unreadable({ names }: { names: string[] }) {
  if (names.length === 0) {
    return null;
  }
  return (
    <Box role="note" sx={{ color: "error.main", px: 1, py: 0.5 }}>
      <WrongMark /> {names.join(", ")} cannot be read: kept by another version of Calm Pour, or
      damaged. It stays as it is kept.
    </Box>
  );
}
