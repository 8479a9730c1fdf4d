import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useLocation } from "react-router";
import { stopAt } from "../words/firstEvening";
import { keepLeading, leads } from "./leading";

/** Leads through a first evening: one line for the screen that is open, until it is hidden. */
export function FirstEvening() {
  const [on, setOn] = useState(leads);
  const stop = stopAt(useLocation().pathname);
  return stop === null || !on ? null : (
    <Box
      component="aside"
      aria-label="Your first evening"
      sx={{
        display: "flex",
        gap: 2,
        alignItems: "center",
        flexWrap: { xs: "wrap", md: "nowrap" },
        border: 2,
        borderColor: "primary.main",
        borderRadius: 2,
        px: 2,
        py: 1,
        mt: 1,
        "@media print": { display: "none" },
      }}
    >
      <Box sx={{ fontWeight: 700, flexShrink: 0 }}>{stop.title}</Box>
      <Box sx={{ minWidth: 0 }}>{stop.text}</Box>
      <Button
        onClick={() => {
          keepLeading(false);
          setOn(false);
        }}
        sx={{ ml: "auto", flexShrink: 0 }}
      >
        {stop.title.startsWith("5") ? "That was it" : "Hide this"}
      </Button>
    </Box>
  );
}
