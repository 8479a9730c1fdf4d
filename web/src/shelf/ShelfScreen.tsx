import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import { type ReactNode, useState } from "react";
import type { FieldError, ShelfView, Trouble } from "../api/client";
import { useDemoShelf, useShelf } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { Unreadable } from "../ui/Unreadable";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { ColourEditor } from "./ColourEditor";
import { ColourantEditor } from "./ColourantEditor";
import {
  CupEditor,
  DesignEditor,
  type EditorProps,
  EmbedEditor,
  PartEditor,
  ResinEditor,
  ToolEditor,
} from "./editors";
import {
  COLOURANTS,
  COLOURS,
  CUPS,
  DESIGNS,
  EMBEDS,
  type Kind,
  type Material,
  PARTS,
  RESINS,
  TOOLS,
} from "./kinds";

const BOARDS = [RESINS, PARTS, COLOURANTS, COLOURS, EMBEDS, CUPS, TOOLS, DESIGNS] as const;

/** Materials as they stand on the shelf, one board a kind; one of them opens in place. */
export function ShelfScreen({ id }: { id: string }) {
  return (
    <Fetched query={useShelf()} loading="Fetching the shelf…">
      {(shelf) => <Boards shelf={shelf} kind={id} />}
    </Fetched>
  );
}

function Boards({ shelf, kind }: { shelf: ShelfView; kind: string }) {
  const units = useUnits();
  const here = BOARDS.find((b) => b.key === kind)?.key ?? "resins";
  const props = { shelf };
  return (
    <Box sx={{ pt: 1.5 }}>
      <Box
        sx={{ display: "flex", gap: 2.5, alignItems: "baseline", flexWrap: "wrap", px: 1, mb: 1.5 }}
      >
        <Typography variant="h1">Shelf</Typography>
        <Box component="nav" aria-label="Boards" sx={{ display: "flex", gap: 2, flexWrap: "wrap" }}>
          {BOARDS.map((board) => (
            <Link
              key={board.key}
              href={`/shelf/${board.key}`}
              underline="none"
              aria-current={board.key === here ? "page" : undefined}
              sx={{
                py: 1,
                color: board.key === here ? "text.primary" : "text.secondary",
                fontWeight: board.key === here ? 700 : 400,
                borderBottom: 2,
                borderColor: board.key === here ? "primary.main" : "transparent",
              }}
            >
              {board.title}
            </Link>
          ))}
        </Box>
      </Box>
      <Unreadable names={shelf.unreadable} />
      {here === "resins" && <Board key={here} kind={RESINS} editor={ResinEditor} {...props} />}
      {here === "bottles" && <Board key={here} kind={PARTS} editor={PartEditor} {...props} />}
      {here === "colourants" && (
        <Board key={here} kind={COLOURANTS} editor={ColourantEditor} {...props} />
      )}
      {here === "colours" && <Board key={here} kind={COLOURS} editor={ColourEditor} {...props} />}
      {here === "embeds" && <Board key={here} kind={EMBEDS} editor={EmbedEditor} {...props} />}
      {here === "cups" && <Board key={here} kind={CUPS} editor={CupEditor} {...props} />}
      {here === "tools" && <Board key={here} kind={TOOLS} editor={ToolEditor} {...props} />}
      {here === "designs" && <Board key={here} kind={DESIGNS} editor={DesignEditor} {...props} />}
      <Box
        component="section"
        aria-label="Cautions"
        sx={{ color: "text.secondary", fontSize: "0.87rem", px: 2.5, pt: 1.5, maxWidth: 1100 }}
      >
        <b>On the shelf:</b> {showWith(units.TEMPERATURE, 18, 0)} to{" "}
        {showWith(units.TEMPERATURE, 25, 0)}, shut well, caps and bottles marked and never swapped:
        a swapped cap seizes. Powders are opened without draught, with a respirator. No children,
        pets or food near. Each product’s safety data sheet and local rules come first.
      </Box>
    </Box>
  );
}

interface BoardProps<T extends Material> {
  kind: Kind<T>;
  shelf: ShelfView;
  editor: (props: EditorProps<T>) => ReactNode;
}

function Board<T extends Material>({ kind, shelf, editor: Editor }: BoardProps<T>) {
  const units = useUnits();
  const items = kind.items(shelf, units);
  const [draft, setDraft] = useState<T | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [copying, setCopying] = useState(false);
  const demo = useDemoShelf(copying);
  const isNew = draft !== null && !items.some((i) => i.value.id === draft.id);
  const errors: FieldError[] = trouble?.errors ?? [];
  const open = (value: T | null) => {
    setTrouble(null);
    setDraft(value);
  };
  const settle = (answer: Awaited<ReturnType<Kind<T>["put"]>>, then: () => void) => {
    if (answer.status === "ok") {
      then();
    } else {
      setTrouble(answer.trouble);
    }
  };
  const copies = demo.data
    ? kind.fromDemo(demo.data).filter((d) => !items.some((i) => i.value.id === d.id))
    : [];
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      <Sheet
        title={`${items.length} ${items.length === 1 ? kind.one : kind.title.toLowerCase()}`}
        aside={
          <>
            <Button onClick={() => setCopying(true)} sx={{ minHeight: 32, py: 0 }}>
              Copy one from the demo
            </Button>
            <Button variant="contained" onClick={() => open(kind.begin())} sx={{ minHeight: 36 }}>
              Add {/^[aeiou]/.test(kind.one) ? "an" : "a"} {kind.one}
            </Button>
          </>
        }
      >
        {copying && demo.error && <Told trouble={demo.error} onRetry={() => void demo.refetch()} />}
        {copying && demo.data && (
          <Box
            role="group"
            aria-label="From the demo"
            sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mb: 1.5 }}
          >
            {copies.length === 0 && <span>Everything of the demo is here already.</span>}
            {copies.map((copy) => (
              <Button
                key={copy.id}
                variant="outlined"
                onClick={() =>
                  void kind.put(copy).then((answer) => settle(answer, () => undefined))
                }
              >
                {copy.name}
              </Button>
            ))}
            <Button onClick={() => setCopying(false)}>Close</Button>
          </Box>
        )}
        {items.length === 0 && (
          <Typography sx={{ py: 2 }}>
            Nothing here yet. Add what you have by its label; what it does not say may stay unknown.
          </Typography>
        )}
        <Box
          component="ul"
          aria-label={kind.title}
          sx={{
            listStyle: "none",
            m: 0,
            p: 0,
            display: "grid",
            rowGap: 1.5,
            gridTemplateColumns: "repeat(auto-fill, minmax(168px, 1fr))",
          }}
        >
          {items.map((item) => (
            <li key={item.value.id}>
              <ButtonBase
                onClick={() => open(draft?.id === item.value.id ? null : item.value)}
                aria-label={item.value.name}
                aria-expanded={draft?.id === item.value.id}
                sx={{
                  width: "100%",
                  height: 100,
                  alignItems: "flex-end",
                  gap: 0.5,
                  borderBottom: 2,
                  borderColor: "text.primary",
                  borderRadius: 0,
                  bgcolor: draft?.id === item.value.id ? "action.selected" : undefined,
                }}
              >
                <Box aria-hidden sx={{ display: "contents" }}>
                  {item.drawing}
                </Box>
              </ButtonBase>
              <Box sx={{ textAlign: "center", lineHeight: 1.3, pt: 0.5, px: 0.75 }}>
                <Box sx={{ fontWeight: 600 }}>{item.value.name}</Box>
                <Box sx={{ color: "text.secondary", fontSize: "0.87rem" }}>{item.line}</Box>
                {item.doubt && (
                  <Box sx={{ color: "error.main", fontSize: "0.87rem", fontWeight: 700 }}>
                    {item.doubt}
                  </Box>
                )}
              </Box>
            </li>
          ))}
        </Box>
      </Sheet>
      {draft && (
        <Sheet
          title={isNew ? `A new ${kind.one}` : draft.name}
          aside={
            <>
              {!isNew && (
                <Button
                  color="error"
                  onClick={() =>
                    void kind.remove(draft.id).then((answer) => settle(answer, () => open(null)))
                  }
                >
                  Remove
                </Button>
              )}
              <Button onClick={() => open(null)}>Close</Button>
              <Button
                variant="contained"
                onClick={() =>
                  void kind.put(draft).then((answer) => settle(answer, () => open(null)))
                }
              >
                {isNew ? "Put it on the shelf" : "Save"}
              </Button>
            </>
          }
        >
          {trouble && errors.length === 0 && <Told trouble={trouble} />}
          <Editor draft={draft} errors={errors} shelf={shelf} onChange={setDraft} />
        </Sheet>
      )}
      {trouble && !draft && <Told trouble={trouble} />}
    </Box>
  );
}
