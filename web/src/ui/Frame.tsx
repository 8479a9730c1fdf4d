import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { type ReactNode, useState } from "react";
import { useLocation } from "react-router";
import { leads } from "./leading";
import { Going } from "./Going";
import { later } from "./later";
import { useReminds } from "./reminds";

const Reminders = later(() => import("./Reminders").then((m) => m.Reminders));
const FirstEvening = later(() => import("./FirstEvening").then((m) => m.FirstEvening));
const GuidePanel = later(() => import("./GuidePanel").then((m) => m.GuidePanel));

const ROOMS = [
  { key: "today", label: "Today", href: "/today" },
  { key: "plan", label: "Plan", href: "/plan" },
  { key: "sessions", label: "Sessions", href: "/sessions" },
  { key: "pour", label: "Pour", href: "/pour" },
  { key: "journal", label: "Journal", href: "/journal" },
  { key: "moulds", label: "Moulds", href: "/moulds" },
  { key: "shelf", label: "Shelf", href: "/shelf" },
  { key: "practice", label: "Practice", href: "/practice" },
  { key: "mix", label: "Just mix", href: "/mix" },
] as const;

const WORKSHOP = { key: "workshop", label: "My workshop", href: "/workshop" } as const;

/** The name and the rooms; everything else belongs to the screen. */
export function Frame({ children }: { children: ReactNode }) {
  const [, room = ""] = useLocation().pathname.split("/");
  const [guided, setGuided] = useState<string | null>(null);
  // Looked up anew with every address: it begins when a first plan was made.
  const here = room === "" || room === "first" ? "plan" : room;
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
            <Room key={room.key} room={room} here={here} />
          ))}
        </Box>
        <Box sx={{ ml: "auto", display: "flex", alignItems: "center", gap: 1 }}>
          <Room room={WORKSHOP} here={here} />
          <ButtonBase
            onClick={() => setGuided(guided === here ? null : here)}
            aria-expanded={guided === here}
            aria-label="? Guide to this screen"
            sx={{
              width: 36,
              height: 36,
              borderRadius: "50%",
              border: 1,
              borderColor: "divider",
              fontWeight: 700,
              color: "primary.main",
            }}
          >
            ?
          </ButtonBase>
        </Box>
      </Box>
      {guided === here && <GuidePanel room={here} onClose={() => setGuided(null)} />}
      {useReminds() && <Reminders />}
      {room !== "first" && leads() && <FirstEvening />}
      <main>{children}</main>
    </Box>
  );
}

function Room({
  room,
  here,
}: {
  room: { key: string; label: string; href: string };
  here: string;
}) {
  const current = room.key === here;
  return (
    <Box
      component={Going}
      href={room.href}
      aria-current={current ? "page" : undefined}
      sx={{
        textDecoration: "none",
        color: current ? "text.primary" : "text.secondary",
        fontWeight: current ? 700 : 400,
        borderBottom: 2,
        borderColor: current ? "primary.main" : "transparent",
        py: 1,
      }}
    >
      {room.label}
    </Box>
  );
}
