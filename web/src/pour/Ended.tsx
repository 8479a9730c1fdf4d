import Box from "@mui/material/Box";
import Button from "@mui/material/Button";

/** Nothing is left to do at the bench. */
export function Ended({ id, over }: { id: string; over: boolean }) {
  return (
    <Box>
      <Box component="h2" sx={{ typography: "h1", fontSize: "2.4rem" }}>
        {over ? "This evening is over" : "Everything is done"}
      </Box>
      <Button
        variant="contained"
        href={`/pour/${id}/record`}
        sx={{ mt: 2, minHeight: 84, fontSize: "1.4rem" }}
      >
        Look back at it
      </Button>
    </Box>
  );
}
