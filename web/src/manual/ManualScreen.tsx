import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { parser, type Token } from "marked";
import { Empty } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { inUnits } from "../words/inUnits";
import { DRAWINGS } from "./drawings";
import { drawingOf, PAGES, type Page } from "./pages";

/** The manual, a page at a time, in the order of the work. */
export function ManualScreen({ id }: { id: string }) {
  const at = id === "" ? 0 : PAGES.findIndex((p) => p.id === id);
  const page = PAGES[at];
  if (!page) {
    return (
      <Empty title="The manual has no such page">
        <Button variant="contained" href="/manual">
          Open its first page
        </Button>
      </Empty>
    );
  }
  return (
    <Box
      sx={{
        display: "grid",
        gap: 3,
        pt: 1.5,
        px: 1,
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "230px minmax(0, 760px)" },
        "@media print": { display: "block" },
      }}
    >
      <Box
        component="nav"
        aria-label="Pages of the manual"
        sx={{ "@media print": { display: "none" } }}
      >
        {PAGES.map((p) => (
          <Link
            key={p.id}
            href={`/manual/${p.id}`}
            aria-current={p === page ? "page" : undefined}
            underline="hover"
            sx={{
              display: "block",
              py: 0.75,
              color: p === page ? "text.primary" : "text.secondary",
              fontWeight: p === page ? 700 : 400,
            }}
          >
            {p.title}
          </Link>
        ))}
      </Box>
      <Text page={page} />
      <Box
        sx={{ gridColumn: { md: 2 }, display: "flex", gap: 1, "@media print": { display: "none" } }}
      >
        {PAGES[at - 1] && <Button href={`/manual/${PAGES[at - 1]?.id}`}>Back</Button>}
        {PAGES[at + 1] && (
          <Button variant="outlined" href={`/manual/${PAGES[at + 1]?.id}`}>
            Next: {PAGES[at + 1]?.title}
          </Button>
        )}
      </Box>
    </Box>
  );
}

function Text({ page }: { page: Page }) {
  return (
    <Box
      component="article"
      sx={{
        fontSize: "1.05rem",
        lineHeight: 1.5,
        overflowWrap: "break-word",
        "& svg": { maxWidth: "100%", height: "auto", my: 1 },
        "& table": { borderCollapse: "collapse", my: 1.5, width: "100%" },
        "& th, & td": {
          textAlign: "left",
          verticalAlign: "top",
          py: 0.5,
          pr: 2,
          borderBottom: 1,
          borderColor: "divider",
        },
        "& li": { my: 0.4 },
      }}
    >
      <Box component="h1" sx={{ typography: "h1", m: 0, mb: 1 }}>
        {page.title}
      </Box>
      {page.tokens.map((token, i) => (
        <Part key={i} token={token} />
      ))}
    </Box>
  );
}

function Part({ token }: { token: Token }) {
  const units = useUnits();
  const drawing = drawingOf(token);
  return drawing === null ? (
    // Our own pages, built in: no word of it comes from a maker.
    <div dangerouslySetInnerHTML={{ __html: inUnits(parser([token]), units) }} />
  ) : (
    <div>{DRAWINGS[drawing]}</div>
  );
}
