import Box from "@mui/material/Box";

/** How much of a limit is used up; the tick is the limit. */
export function LoadingBar({ share }: { share: number }) {
  const near = share >= 0.9;
  return (
    <Box sx={{ position: "relative", height: 13, width: 84, mx: "auto" }} aria-hidden="true">
      <Box
        sx={{
          position: "absolute",
          top: 4,
          left: 0,
          width: 74,
          height: 5,
          borderRadius: 3,
          bgcolor: "divider",
        }}
      />
      <Box
        sx={{
          position: "absolute",
          top: 4,
          left: 0,
          width: 74 * Math.min(1, share),
          height: 5,
          borderRadius: 3,
          bgcolor: near ? "error.main" : "primary.main",
        }}
      />
      <Box
        sx={{
          position: "absolute",
          top: 0,
          left: 74,
          width: 2,
          height: 13,
          bgcolor: "text.primary",
        }}
      />
    </Box>
  );
}
