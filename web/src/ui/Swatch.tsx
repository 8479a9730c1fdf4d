import Box from "@mui/material/Box";

/** A colour beside its name. */
export function Swatch({ colour }: { colour: string }) {
  return (
    <Box
      component="span"
      aria-hidden="true"
      sx={{
        display: "inline-block",
        flexShrink: 0,
        width: 14,
        height: 14,
        borderRadius: "3px",
        bgcolor: colour,
        border: 1,
        borderColor: "divider",
        mr: 0.75,
        verticalAlign: "-2px",
      }}
    />
  );
}
