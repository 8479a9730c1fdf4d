import Box from "@mui/material/Box";
import type { ReactNode } from "react";

interface Props {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
}

/** One area of the bench. */
export function Sheet({ title, aside, children }: Props) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ bgcolor: "background.paper", borderRadius: "10px", px: 2.5, py: 1.25, minWidth: 0 }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 0.5, flexWrap: "wrap" }}>
        <Box component="h2" sx={{ typography: "h2", m: 0 }}>
          {title}
        </Box>
        <Box sx={{ ml: "auto", color: "text.secondary", fontSize: "0.87rem" }}>{aside}</Box>
      </Box>
      {children}
    </Box>
  );
}
