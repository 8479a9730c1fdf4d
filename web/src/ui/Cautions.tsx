import Box from "@mui/material/Box";

/** The usual cautions for opening resin; what the maker of the resin and the law say goes first. */
export function Cautions() {
  return (
    <Box
      component="section"
      aria-label="Cautions"
      sx={{
        color: "text.secondary",
        fontSize: "0.87rem",
        px: 2.5,
        pt: 1.25,
        maxWidth: 1150,
        "@media print": { px: 0 },
      }}
    >
      <b>Before a bottle is opened:</b> nitrile gloves, eye protection, apron, hair back, moving
      air. A respirator for organic vapour in poor air, when you are sensitive, or when powders go
      in. Never on skin: a sensitisation stays for life. No children, pets or food near. A cup that
      gets hot is not held, covered or binned: put it outdoors on something that does not burn, and
      stay out of the fumes. The product’s safety data sheet and local rules always come first.
    </Box>
  );
}
