import Box from "@mui/material/Box";
import Link from "@mui/material/Link";

const HALVES = [
  { key: "whatif", label: "What if", href: "/practice" },
  { key: "rehearsal", label: "Rehearsal", href: "/practice/rehearsal" },
] as const;

/** The two halves of Practice. */
export function PracticeTabs({ here }: { here: (typeof HALVES)[number]["key"] }) {
  return (
    <Box component="nav" aria-label="Practice" sx={{ display: "flex", gap: 2.5, px: 1, pt: 0.5 }}>
      {HALVES.map((half) => (
        <Link
          key={half.key}
          href={half.href}
          underline={half.key === here ? "always" : "hover"}
          aria-current={half.key === here ? "page" : undefined}
          sx={{
            color: half.key === here ? "text.primary" : "text.secondary",
            fontWeight: half.key === here ? 700 : 400,
            py: 1,
          }}
        >
          {half.label}
        </Link>
      ))}
    </Box>
  );
}
