import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import type { Trouble } from "../api/client";

/** Says in place that something is wrong, by shape and word as well as by colour. */
export function Told({ trouble, onRetry }: { trouble: Trouble; onRetry?: () => void }) {
  return (
    <Box
      role="alert"
      sx={{ display: "flex", alignItems: "center", gap: 1.5, color: "error.main", py: 1, px: 1 }}
    >
      <WrongMark />
      <span>
        <b>{trouble.title}.</b> {trouble.detail}
      </span>
      {onRetry && (
        <Button variant="outlined" onClick={onRetry}>
          Try again
        </Button>
      )}
    </Box>
  );
}

export function WrongMark() {
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true" style={{ flex: "none" }}>
      <path d="M9 1 17 16H1Z" fill="none" stroke="currentColor" strokeWidth="2" />
      <path d="M9 6v5M9 13v1.5" stroke="currentColor" strokeWidth="2" />
    </svg>
  );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box sx={{ py: 5, px: 2.5, maxWidth: 640 }}>
      <Box component="p" sx={{ typography: "h2", m: 0, mb: 1 }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}
