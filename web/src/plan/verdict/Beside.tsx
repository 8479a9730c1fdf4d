import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import type { Plan } from "../../api/client";
import { PourLine } from "../../drawing/PourLine";
import { sittings } from "../../drawing/pourLineLayout";
import { WrongMark } from "../../ui/Told";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { heatWarnings } from "../../words/heat";
import { lastPourEnds, lateIn, outOfMoulds, sure } from "../../words/plan";
import { stand } from "../../words/stand";
import { dayAndTime, minutes } from "../../words/time";

/** A plan that is held beside another. */
export interface Held {
  key: string;
  /** What is different about it. */
  title: string;
  plan: Plan;
  startsAt: Date;
  zoneId: string;
  /** Takes it; null for the plan that is taken already. */
  onTake: (() => void) | null;
}

interface Props {
  held: Held[];
  /** Whose pour line is drawn below the present one; null for none. */
  shown: string | null;
  onShow: (key: string | null) => void;
}

/** Plans side by side: figures in columns, and below them two pour lines of one's choice. */
export function Beside({ held, shown, onShow }: Props) {
  const units = useUnits();
  const rows: { name: string; of: (held: Held) => ReactNode }[] = [
    {
      name: "how it stands",
      of: ({ plan, startsAt, zoneId }) => {
        const heat = heatWarnings(plan).length;
        const stands = stand(plan, startsAt, zoneId, units);
        const how =
          heat === 0
            ? stands
            : {
                wrong: true,
                text: `Heat: ${heat} ${heat === 1 ? "warning" : "warnings"}. ${stands.text}`,
              };
        return (
          <Box component="span" sx={{ color: how.wrong ? "error.main" : undefined }}>
            {how.wrong && <WrongMark />} {how.text}
          </Box>
        );
      },
    },
    { name: "pieces", of: ({ plan }) => plan.totals.cavities },
    { name: "batches", of: ({ plan }) => plan.batches.length },
    { name: "A and B", of: ({ plan }) => showWith(units.MASS, plan.totals.resinG) },
    { name: "left over", of: ({ plan }) => showWith(units.MASS, plan.totals.staysG) },
    { name: "least to spare", of: ({ plan }) => spare(plan) },
    { name: "how sure", of: ({ plan }) => sure(plan) },
    {
      name: "begins",
      of: ({ plan, startsAt, zoneId }) =>
        dayAndTime(
          new Date(startsAt.getTime() + 1000 * Math.min(...plan.tasks.map((t) => t.startSeconds))),
          zoneId,
        ),
    },
    {
      name: "last pour",
      of: ({ plan, startsAt, zoneId }) =>
        dayAndTime(new Date(startsAt.getTime() + 1000 * lastPourEnds(plan)), zoneId),
    },
    {
      name: "all out of their moulds",
      of: ({ plan, startsAt, zoneId }) => {
        const out = outOfMoulds(plan);
        return out === null
          ? "not in this room"
          : dayAndTime(new Date(startsAt.getTime() + 1000 * out), zoneId);
      },
    },
  ];
  const lines = held.filter((h, i) => i === 0 || h.key === shown);
  return (
    <>
      <Box sx={{ overflowX: "auto" }}>
        <Box
          component="table"
          aria-label="Plans side by side"
          sx={{
            borderCollapse: "collapse",
            width: "100%",
            "& th, & td": {
              textAlign: "left",
              verticalAlign: "top",
              p: "4px 14px 4px 0",
              borderTop: 1,
              borderColor: "divider",
              fontWeight: 400,
              minWidth: 150,
            },
            "& thead th": { border: 0, fontWeight: 700 },
            "& tbody th": { color: "text.secondary", minWidth: 110 },
          }}
        >
          <thead>
            <tr>
              <td />
              {held.map((h) => (
                <th key={h.key} scope="col">
                  {h.title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.name}>
                <th scope="row">{row.name}</th>
                {held.map((h) => (
                  <td key={h.key}>{row.of(h)}</td>
                ))}
              </tr>
            ))}
            <tr>
              <td />
              {held.map((h) => (
                <td key={h.key}>
                  {h.onTake && (
                    <>
                      <Button
                        variant="contained"
                        onClick={h.onTake}
                        aria-label={`Take: ${h.title}`}
                        sx={{ mr: 1 }}
                      >
                        Take it
                      </Button>
                      <Button
                        onClick={() => onShow(shown === h.key ? null : h.key)}
                        aria-expanded={shown === h.key}
                        aria-label={`Its pour line: ${h.title}`}
                      >
                        {shown === h.key ? "Put away" : "Its pour line"}
                      </Button>
                    </>
                  )}
                </td>
              ))}
            </tr>
          </tbody>
        </Box>
      </Box>
      {shown !== null &&
        lines.map((h) => (
          <Box key={h.key} sx={{ mt: 1.5 }}>
            <Box component="h3" sx={{ typography: "h3", m: 0 }}>
              {h.title}
            </Box>
            {sittings(h.plan).map((batches) => (
              <PourLine
                key={batches[0]?.number}
                plan={h.plan}
                batches={batches}
                startsAt={h.startsAt}
                zoneId={h.zoneId}
                late={lateIn(h.plan)}
              />
            ))}
          </Box>
        ))}
    </>
  );
}

function spare(plan: Plan): string {
  return plan.spareSeconds < 0
    ? `${minutes(-plan.spareSeconds / 60)} too late`
    : minutes(plan.spareSeconds / 60);
}
