import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useMemo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import type { MouldView } from "../api/client";
import { useMoulds, useShelf } from "../api/queries";
import { CavitySection } from "../drawing/CavitySection";
import { useWidth } from "../drawing/useWidth";
import { Fetched } from "../ui/Fetched";
import { useAddressed } from "../ui/Going";
import { Empty } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { wantWords } from "../words/moulds";
import { Unreadable } from "../ui/Unreadable";
import { countWord } from "../words/numbers";
import { MouldPage } from "./MouldPage";
import { newMould } from "./newMould";

/** All moulds as a shelf of sections, or one of them. */
export function MouldsScreen({ id }: { id: string }) {
  return (
    <Fetched query={useMoulds()} loading="Fetching the moulds…">
      {(moulds) => <Moulds moulds={moulds} id={id} />}
    </Fetched>
  );
}

function Moulds({ moulds, id }: { moulds: MouldView[]; id: string }) {
  const navigate = useNavigate();
  const [fresh] = useState(newMould);
  const toList = () => void navigate("/moulds");
  if (id === "new") {
    return <MouldPage key="new" given={fresh} view={null} onSaved={toList} onRemoved={toList} />;
  }
  if (id) {
    const view = moulds.find((m) => m.mould.id === id);
    return view ? (
      <MouldPage
        key={id}
        given={view.mould}
        view={view}
        onSaved={() => undefined}
        onRemoved={toList}
      />
    ) : (
      <Empty title="This mould is not on the shelf">
        <Button href="/moulds">All moulds</Button>
      </Empty>
    );
  }
  return <Shelf moulds={moulds} />;
}

const ITEM_PX = 164;
const ROW_PX = 196;

function Shelf({ moulds }: { moulds: MouldView[] }) {
  const unreadable = useShelf().data?.unreadable ?? [];
  const [found, setFound] = useAddressed("find");
  // What is typed is shown at once; the address may follow.
  const [find, setTyped] = useState(found ?? "");
  const setFind = (text: string) => {
    setTyped(text);
    setFound(text || null);
  };
  const [box, width] = useWidth<HTMLDivElement>();
  const shown = useMemo(() => {
    const words = find.toLowerCase().split(/\s+/).filter(Boolean);
    return moulds.filter((m) => {
      const text =
        `${m.mould.name} ${m.mould.cavities.map((c) => c.name).join(" ")} ${wantWords(m).join(" ")}`.toLowerCase();
      return words.every((w) => text.includes(w));
    });
  }, [moulds, find]);
  const wanting = moulds.filter((m) =>
    m.wants.some((w) => w === "DRYING" || w === "CLEANING" || w === "REPLACING"),
  ).length;
  if (moulds.length === 0) {
    return (
      <Empty title="No moulds yet">
        <p>
          Measure one once, and every plan relies on it: a kitchen scale and some water are enough.
        </p>
        <Button variant="contained" href="/moulds/new">
          Measure a mould
        </Button>{" "}
        <Button variant="outlined" href="/first">
          Begin with the guide
        </Button>
      </Empty>
    );
  }
  return (
    <Box sx={{ pt: 1.5 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", flexWrap: "wrap", px: 1 }}>
        <Typography variant="h1">Moulds</Typography>
        <Box sx={{ color: "text.secondary" }}>
          {moulds.length} on the shelf.{" "}
          {wanting > 0 &&
            `${countWord(wanting)} ${wanting === 1 ? "mould needs" : "moulds need"} attention.`}
        </Box>
        <Box sx={{ ml: "auto", display: "flex", gap: 1, flexWrap: "wrap" }}>
          <TextField
            label="Find"
            value={find}
            onChange={(e) => setFind(e.target.value)}
            sx={{ width: 190 }}
          />
          <Button variant="outlined" href="/moulds/make">
            Make a mould
          </Button>
          <Button variant="contained" href="/moulds/new">
            Measure a mould
          </Button>
        </Box>
      </Box>
      <Unreadable names={unreadable} />
      <Box ref={box} sx={{ mt: 1.5 }}>
        {shown.length === 0 ? (
          <Box sx={{ p: 3, color: "text.secondary" }}>
            No mould is called “{find}”. <Button onClick={() => setFind("")}>Show all</Button>
          </Box>
        ) : (
          <Rows moulds={shown} perRow={Math.max(2, Math.floor((width ?? 1200) / ITEM_PX))} />
        )}
      </Box>
    </Box>
  );
}

/** Only the boards in sight are drawn, so that two thousand moulds scroll like twenty. */
function Rows({ moulds, perRow }: { moulds: MouldView[]; perRow: number }) {
  const list = useRef<HTMLDivElement>(null);
  const rows = Math.ceil(moulds.length / perRow);
  const [top, setTop] = useState(0);
  const virtual = useWindowVirtualizer({
    count: rows,
    estimateSize: () => ROW_PX,
    overscan: 3,
    scrollMargin: top,
  });
  return (
    <Box
      ref={(element: HTMLDivElement | null) => {
        list.current = element;
        if (element && element.offsetTop !== top) {
          setTop(element.offsetTop);
        }
      }}
      role="list"
      aria-label="Moulds on the shelf"
      sx={{ position: "relative", height: rows * ROW_PX }}
    >
      {virtual.getVirtualItems().map((row) => (
        <Box
          key={row.key}
          role="presentation"
          sx={{
            position: "absolute",
            left: 0,
            right: 0,
            top: row.start - top,
            height: ROW_PX,
            display: "grid",
            gridTemplateColumns: `repeat(${perRow}, minmax(0, 1fr))`,
          }}
        >
          {moulds.slice(row.index * perRow, (row.index + 1) * perRow).map((view) => (
            <Item key={view.mould.id} view={view} />
          ))}
        </Box>
      ))}
    </Box>
  );
}

const WIDEST_PX = 118;
const TALLEST_PX = 74;

function Item({ view }: { view: MouldView }) {
  const units = useUnits();
  const main = view.cavities[0];
  const words = wantWords(view);
  if (!main) {
    return null;
  }
  const wide =
    Math.max(...main.section.map((r) => r.rightMm)) -
    Math.min(...main.section.map((r) => r.leftMm));
  // Small moulds to one scale; only what would not fit on its place is drawn smaller.
  const px = Math.min(2.2, WIDEST_PX / wide, TALLEST_PX / main.depthMm);
  return (
    <Box role="listitem" sx={{ minWidth: 0 }}>
      <ButtonBase
        href={`/moulds/${view.mould.id}`}
        aria-label={view.mould.name}
        sx={{
          width: "100%",
          height: TALLEST_PX + 24,
          alignItems: "flex-end",
          borderBottom: 2,
          borderColor: "text.primary",
          borderRadius: 0,
        }}
      >
        <CavitySection
          section={main.section}
          pxPerMm={px}
          assumed={main.depthAssumed}
          label={`${view.mould.name} in section`}
        />
      </ButtonBase>
      <Box sx={{ textAlign: "center", lineHeight: 1.25, pt: 0.5, px: 0.5 }}>
        <Box
          sx={{
            fontWeight: 600,
            overflow: "hidden",
            textOverflow: "ellipsis",
            whiteSpace: "nowrap",
          }}
        >
          {view.mould.name}
        </Box>
        <Box sx={{ color: "text.secondary", fontSize: "0.87rem" }}>
          {view.cavities.length === 1
            ? `${showWith(units.VOLUME, main.volumeMl)} ± ${showWith(units.VOLUME, main.plusMinusMl)}`
            : view.mould.cavities.map((c) => `${c.count} ${c.name.toLowerCase()}`).join(", ")}
        </Box>
        {words.length > 0 && (
          <Box sx={{ color: "error.main", fontSize: "0.87rem", fontWeight: 700 }}>
            {words.slice(0, 2).join(" · ")}
          </Box>
        )}
      </Box>
    </Box>
  );
}
