import Box from "@mui/material/Box";

/** A spot of a cup's colour; its name always stands beside it. */
export function Tag({ swatch }: { swatch: string }) {
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        display: "inline-block",
        width: 14,
        height: 14,
        borderRadius: "3px",
        border: 1,
        borderColor: "divider",
        bgcolor: swatch,
        verticalAlign: "-2px",
      }}
    />
  );
}
