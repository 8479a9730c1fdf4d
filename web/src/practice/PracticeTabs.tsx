import Box from "@mui/material/Box";
import Link from "@mui/material/Link";

const PARTS = [
  { key: "whatif", label: "What if", href: "/practice" },
  { key: "timing", label: "Time a resin", href: "/practice/timing" },
  { key: "rehearsal", label: "Rehearsal", href: "/practice/rehearsal" },
] as const;

/** The parts of Practice. */
export function PracticeTabs({ here }: { here: (typeof PARTS)[number]["key"] }) {
  return (
    <Box component="nav" aria-label="Practice" sx={{ display: "flex", gap: 2.5, px: 1, pt: 0.5 }}>
      {PARTS.map((part) => (
        <Link
          key={part.key}
          href={part.href}
          underline={part.key === here ? "always" : "hover"}
          aria-current={part.key === here ? "page" : undefined}
          sx={{
            color: part.key === here ? "text.primary" : "text.secondary",
            fontWeight: part.key === here ? 700 : 400,
            py: 1,
          }}
        >
          {part.label}
        </Link>
      ))}
    </Box>
  );
}
