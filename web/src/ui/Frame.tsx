import Box from "@mui/material/Box";
import { visuallyHidden } from "@mui/utils";
import ButtonBase from "@mui/material/ButtonBase";
import type { ReactNode } from "react";
import { useLocation } from "react-router";
import { Going } from "./Going";
import { useUnitSystem } from "../units/UnitsProvider";

const ROOMS = [
  { key: "today", label: "Today", href: "/today" },
  { key: "plan", label: "Plan", href: "/" },
  { key: "sessions", label: "Sessions", href: "/sessions" },
  { key: "pour", label: "Pour", href: "/pour" },
  { key: "moulds", label: "Moulds", href: "/moulds" },
  { key: "shelf", label: "Shelf", href: "/shelf" },
  { key: "practice", label: "Practice", href: "/practice" },
  { key: "mix", label: "Just mix", href: "/mix" },
] as const;

/** The name, the rooms and the units; everything else belongs to the screen. */
export function Frame({ children }: { children: ReactNode }) {
  const [, room = ""] = useLocation().pathname.split("/");
  const here = room === "" || room === "first" ? "plan" : room;
  const { system, choose } = useUnitSystem();
  return (
    <Box sx={{ maxWidth: 1480, mx: "auto", px: { xs: 1.5, md: 2.5 }, pb: 2 }}>
      <Box
        component="header"
        sx={{
          display: "flex",
          alignItems: "center",
          columnGap: 3,
          flexWrap: "wrap",
          pt: 1.25,
          "@media print": { display: "none" },
        }}
      >
        <Box sx={{ fontFamily: "h1.fontFamily", fontSize: "1.3rem", fontWeight: 600, pl: 1 }}>
          Calm Pour
        </Box>
        <Box
          component="nav"
          aria-label="Rooms"
          sx={{
            display: "flex",
            flexWrap: "wrap",
            columnGap: { xs: 1.75, sm: 2.5 },
            order: { xs: 1, sm: 0 },
          }}
        >
          {ROOMS.map((room) => (
            <Box
              component={Going}
              key={room.key}
              href={room.href}
              aria-current={room.key === here ? "page" : undefined}
              sx={{
                textDecoration: "none",
                color: room.key === here ? "text.primary" : "text.secondary",
                fontWeight: room.key === here ? 700 : 400,
                borderBottom: 2,
                borderColor: room.key === here ? "primary.main" : "transparent",
                py: 1,
              }}
            >
              {room.label}
            </Box>
          ))}
        </Box>
        <ButtonBase
          onClick={() => choose(system === "us" ? "metric" : "us")}
          sx={{ ml: "auto", color: "text.secondary", fontSize: "0.9rem", p: 1, borderRadius: 1 }}
        >
          {system === "us" ? "US ounces, inches, °F" : "g · mL · mm · °C"}
          <Box component="span" sx={visuallyHidden}>
            , change to {system === "us" ? "metric" : "US"} units
          </Box>
        </ButtonBase>
      </Box>
      <main>{children}</main>
    </Box>
  );
}
