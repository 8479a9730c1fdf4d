import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import type { LookedBack, PieceOut } from "../api/client";
import { Sheet } from "../ui/Sheet";
import { BECAME, faultWords, VERDICTS } from "../words/record";

interface Props {
  looked: LookedBack;
  name: (piece: PieceOut) => string;
  onLook: (piece: PieceOut) => void;
  onMany: () => void;
}

const NOT_PRINTED = { "@media print": { display: "none" } } as const;

function stands(p: PieceOut): string {
  return p.givenUp
    ? "given up"
    : p.poured === p.layers
      ? p.demoulded
        ? "out of its mould"
        : "poured"
      : `${p.poured} of ${p.layers} layers`;
}

/** The pieces of an evening, and how they came out. */
export function PiecesOfEvening({ looked, name, onLook, onMany }: Props) {
  const all = looked.asRun.pieces;
  // What was never poured is no piece.
  const pieces = all.filter((p) => p.poured > 0);
  const never = all.length - pieces.length;
  const seen = pieces.filter((p) => p.lookedOver).length;
  return (
    <Sheet title="The pieces" aside={`${seen} of ${pieces.length} looked over`}>
      {pieces.length > 1 && (
        <Button
          variant={seen === 0 ? "contained" : "outlined"}
          onClick={onMany}
          sx={{ minHeight: 56, mb: 0.5, ...NOT_PRINTED }}
        >
          Look over many at once…
        </Button>
      )}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {pieces.map((p) => (
          <Box
            component="li"
            key={p.piece}
            sx={{
              display: "flex",
              alignItems: "center",
              gap: 1.5,
              py: 0.5,
              borderBottom: 1,
              borderColor: "divider",
            }}
          >
            <Box sx={{ minWidth: 0 }}>
              <Link href={`/journal/${looked.id}/${p.piece}`} color="inherit" underline="hover">
                <b>{name(p)}</b>
              </Link>{" "}
              <Box component="span" sx={{ color: "text.secondary" }}>
                {p.became && p.became.what !== "STILL_HERE" ? BECAME[p.became.what] : stands(p)}
              </Box>
              {p.lookedOver && (
                <Box>
                  {VERDICTS[p.lookedOver.verdict]}
                  {p.lookedOver.faults.length > 0 &&
                    `: ${p.lookedOver.faults.map(faultWords).join("; ")}`}
                  {p.lookedOver.text && ` – ${p.lookedOver.text}`}
                </Box>
              )}
            </Box>
            <Button
              variant="outlined"
              onClick={() => onLook(p)}
              aria-label={`Look over ${name(p)}`}
              sx={{ ml: "auto", minHeight: 64, flexShrink: 0, ...NOT_PRINTED }}
            >
              {p.lookedOver ? "Look again" : "Look over"}
            </Button>
          </Box>
        ))}
      </Box>
      {never > 0 && (
        <Box sx={{ color: "text.secondary", pt: 0.5 }}>
          {never} {never === 1 ? "cavity" : "cavities"}{" "}
          {looked.finishedAt === undefined ? "not poured yet." : "never poured."}
        </Box>
      )}
    </Sheet>
  );
}
