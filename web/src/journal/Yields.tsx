import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import type { Yield, YieldBy } from "../api/client";
import { useYields } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { useAddressed } from "../ui/Going";
import { OneOf } from "../ui/OneOf";
import { Empty } from "../ui/Told";
import { countedName, yieldBy } from "../words/found";
import { yieldText } from "../words/journal";
import { CompareTwo } from "./CompareTwo";
import { HowGood } from "./HowGood";
import { MouldLives } from "./MouldLives";
import { Trials } from "./Trials";

const WIDTH = 260;
const HEIGHT = 22;

/** How many pieces came out well, by mould, resin, lot, colour, join or month, with how sure that is. */
export function Yields() {
  const [chosen, setBy] = useAddressed("by");
  const by = yieldBy(chosen);
  return (
    <>
      <HowGood />
      <OneOf<YieldBy>
        label="Counted by"
        choices={[
          ["MOULD", "mould"],
          ["COLOUR", "colour on top"],
          ["RESIN", "resin"],
          ["LOT", "lot"],
          ["JOIN", "join"],
          ["MONTH", "month"],
        ]}
        chosen={by}
        onChoose={setBy}
      />
      <Fetched query={useYields(by)} loading="Counting…">
        {(counted) => {
          const rows = counted.map((r) => ({ ...r, name: countedName(by, r.name) }));
          return rows.length === 0 ? (
            <Empty title="No piece was looked at yet">
              <p>Look over the pieces of an evening, and they count here.</p>
            </Empty>
          ) : (
            <>
              <Table rows={rows} />
              <Box sx={{ color: "text.secondary", maxWidth: 760 }}>
                The bar is where the share lies in 19 of 20 cases. Pieces of one evening share their
                mishap, so the bars are rather too narrow; and where many lines are compared, one in
                twenty differs by chance.
              </Box>
              <Trials />
              <CompareTwo rows={rows} />
              <MouldLives />
            </>
          );
        }}
      </Fetched>
    </>
  );
}

function Table({ rows }: { rows: Yield[] }) {
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: "collapse",
        maxWidth: 900,
        // On a phone a line of it stands below the other.
        display: { xs: "block", md: "table" },
        "& thead": { display: { xs: "none", md: "table-header-group" } },
        "& tbody": { display: { xs: "block", md: "table-row-group" } },
        "& tr": { display: { xs: "block", md: "table-row" } },
        "& td": { display: { xs: "block", md: "table-cell" } },
        "& svg": { maxWidth: "100%" },
        "& th, & td": {
          textAlign: "left",
          py: 0.5,
          pr: 2,
          borderBottom: 1,
          borderColor: "divider",
        },
      }}
    >
      <thead>
        <tr>
          <th>Name</th>
          <th>Came out well, 0 to 100 %</th>
          <th>In figures</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.name}>
            <td>{row.name}</td>
            <td>
              <Span row={row} />
            </td>
            <td>
              {yieldText(row)}
              {row.differs && <b> {row.better ? "Better" : "Worse"} than the rest.</b>}
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** The counted share as a mark, and from where to where it may really lie as a bar. */
function Span({ row }: { row: Yield }) {
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const x = (share: number) => share * WIDTH;
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={yieldText(row)}
    >
      <line x1={0} x2={WIDTH} y1={11} y2={11} stroke={ink?.rule} />
      <rect
        x={x(row.lowest)}
        width={Math.max(2, x(row.highest) - x(row.lowest))}
        y={6}
        height={10}
        rx={5}
        fill={ink?.soft}
        opacity={0.45}
      />
      <rect x={x(row.good / row.looked) - 2} width={4} y={2} height={18} fill={ink?.line} />
    </svg>
  );
}
