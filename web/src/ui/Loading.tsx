import Box from "@mui/material/Box";

/** While something is fetched. */
export function Loading({ children }: { children: string }) {
  return (
    <Box role="status" sx={{ p: 3, color: "text.secondary" }}>
      {children}
    </Box>
  );
}
