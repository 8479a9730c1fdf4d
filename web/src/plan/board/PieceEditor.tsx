import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { FieldError, Layer, Piece, PieceView, Session, Workshop } from "../../api/client";
import { DesignSection } from "../../drawing/DesignSection";
import { dragged } from "../../session/layerFill";
import { NumberField } from "../../ui/NumberField";
import { OneOf } from "../../ui/OneOf";
import { leftOut } from "../../ui/path";
import { useUnits } from "../../units/UnitsProvider";
import { ofLine } from "../../session/place";
import { fillTold } from "../../words/fill";
import { Fig } from "../how/How";
import { Designs } from "./Designs";
import { LayerRow } from "./LayerRow";
import { PieceWorkEditor } from "./PieceWorkEditor";
import { TrialField } from "./TrialField";

interface Props {
  line: number;
  piece: Piece;
  /** As the last plan had it; null before there is one. */
  view: PieceView | null;
  session: Session;
  shelf: Required<Workshop>;
  errors: FieldError[];
  /** The mould as it was when the session was saved, when it has since been removed. */
  onBringBack: (() => void) | null;
  onChange: (piece: Piece, field: string | null) => void;
  onEvery: (change: (piece: Piece) => Piece) => void;
  /** Half of its pieces become a trial. */
  onTrial: (trial: string) => void;
  onRemove: () => void;
  onRemoveLayer: (layer: number) => void;
  onClose: () => void;
}

/** One line of pieces, opened in place: the design drawn on its mould, and all that belongs to it. */
export function PieceEditor(props: Props) {
  const { line, piece, shelf, errors } = props;
  const [selected, setSelected] = useState<number | null>(null);
  const units = useUnits();
  const [finished, setFinished] = useState(false);
  const at = `pieces[${line}]`;
  const errorAt = (field: string | null) => errors.find((e) => e.field === field);
  const cavities = shelf.moulds.find((m) => m.id === piece.mouldId)?.cavities ?? [];
  const mouldError = errorAt(`${at}.mouldId`);
  // While a layer is added or taken away the drawing is a step behind.
  const view =
    props.view?.mouldId === piece.mouldId && props.view.layers.length === piece.layers.length
      ? props.view
      : null;
  const setLayer = (index: number, layer: Layer, field: string | null) =>
    props.onChange(
      { ...piece, layers: piece.layers.map((l, i) => (i === index ? layer : l)) },
      field && `${at}.layers[${index}].${field}`,
    );
  return (
    <Box component="section" aria-label={`Line ${line + 1}`} sx={{ pt: 1 }}>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-start" }}>
        <TextField
          select
          label="Mould"
          value={shelf.moulds.some((m) => m.id === piece.mouldId) ? piece.mouldId : ""}
          onChange={(e) => {
            props.onChange({ ...leftOut(piece, "cavityId"), mouldId: e.target.value }, null);
          }}
          error={Boolean(mouldError)}
          helperText={mouldError?.message}
          sx={{ minWidth: 170, maxWidth: 300 }}
        >
          {shelf.moulds.map((m) => (
            <MenuItem key={m.id} value={m.id}>
              {m.name}
            </MenuItem>
          ))}
        </TextField>
        {cavities.length > 1 && (
          <TextField
            select
            label="Cavity"
            value={piece.cavityId ?? cavities[0]?.id ?? ""}
            onChange={(e) => props.onChange({ ...piece, cavityId: e.target.value }, null)}
            sx={{ minWidth: 130 }}
          >
            {cavities.map((c) => (
              <MenuItem key={c.id} value={c.id}>
                {c.name}
              </MenuItem>
            ))}
          </TextField>
        )}
        <NumberField
          label="Pieces"
          value={piece.count}
          width={100}
          error={errorAt(`${at}.count`)}
          onChange={(count) => count !== null && props.onChange({ ...piece, count }, `${at}.count`)}
        />
        <Designs
          session={props.session}
          line={line}
          piece={piece}
          onChange={props.onChange}
          onEvery={props.onEvery}
        />
        <Box sx={{ ml: "auto", display: "flex" }}>
          <Button onClick={props.onRemove} color="error">
            Take off the board
          </Button>
          <Button onClick={props.onClose}>Done</Button>
        </Box>
      </Box>
      {props.onBringBack && (
        <Button variant="outlined" onClick={props.onBringBack} sx={{ mt: 1 }}>
          Use it as it was when this session was saved
        </Button>
      )}
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", mt: 1.5 }}>
        <Box sx={{ flex: "0 1 auto", minWidth: 0 }}>
          {view ? (
            <DesignSection
              view={view}
              joins={piece.layers.map((l) => l.join ?? "TOGETHER")}
              asFinished={finished}
              selected={selected}
              onSelect={setSelected}
              fixed={piece.layers.map((l) => !l.fill)}
              onLevel={(i, toMm) => {
                const layer = view.layers[i];
                const own = piece.layers[i];
                if (layer && own) {
                  setLayer(i, { ...own, fill: dragged(layer, view, toMm) }, "fill");
                }
              }}
            />
          ) : (
            <Box role="status" sx={{ color: "text.secondary", width: 240 }}>
              The design is drawn here as soon as it can be poured.
            </Box>
          )}
          {view &&
            fillTold(view, units).map(({ words, of }) => (
              <Box key={words} sx={{ color: "text.secondary", maxWidth: 420 }}>
                {of === null ? (
                  words
                ) : (
                  <Fig of={`${ofLine(line)}/${of}`} what="How full">
                    {words}
                  </Fig>
                )}
              </Box>
            ))}
          <OneOf
            label="Which way up"
            choices={[
              [false, "as poured"],
              [true, "as finished"],
            ]}
            chosen={finished}
            onChoose={setFinished}
          />
        </Box>
        <Box sx={{ flex: "1 1 420px", minWidth: 0 }}>
          {/* The top layer stands on top here too, as it lies in the mould. */}
          {piece.layers
            .map((layer, i) => (
              <LayerRow
                key={i}
                index={i}
                layer={layer}
                view={view?.layers[i]}
                piece={view}
                top={i === piece.layers.length - 1}
                only={piece.layers.length === 1}
                chosen={selected === i}
                shelf={shelf}
                errors={errors.filter((e) => e.field.startsWith(`${at}.layers[${i}]`))}
                at={`${at}.layers[${i}]`}
                onChange={(next, field) => setLayer(i, next, field)}
                onRemove={() => props.onRemoveLayer(i)}
                onEvery={(colourId) =>
                  props.onEvery((p) => ({
                    ...p,
                    layers: p.layers.map((l) => ({ ...l, colourId })),
                  }))
                }
              />
            ))
            .reverse()}
          <Button
            onClick={() => props.onChange({ ...piece, layers: withOneMore(piece.layers) }, null)}
            disabled={piece.layers.length >= 6}
          >
            + a layer on top
          </Button>
        </Box>
      </Box>
      <PieceWorkEditor
        work={piece.work}
        shelf={shelf}
        errors={errors}
        at={`${at}.work`}
        onChange={(work) => props.onChange({ ...piece, work }, null)}
      />
      <TrialField
        piece={piece}
        error={errorAt(`${at}.trial`)}
        onChange={(next) => props.onChange(next, `${at}.trial`)}
        onTrial={props.onTrial}
      />
    </Box>
  );
}

/** The layer below gives up half the mould, so that there is room for the new one. */
function withOneMore(layers: Layer[]): Layer[] {
  const below = layers.map((l) => (l.fill ? l : { ...l, fill: { share: 0.5 } }));
  return [...below, { colourId: "clear", join: "TOGETHER" }];
}
