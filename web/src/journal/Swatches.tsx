import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useRef, useState } from "react";
import type { ChipView, Trouble } from "../api/client";
import { useSwatches, useTellSwatches, useWorkshop } from "../api/queries";
import { localTime } from "../session/newSession";
import { Fetched } from "../ui/Fetched";
import { NumberField } from "../ui/NumberField";
import { PictureInput } from "../ui/PictureInput";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { DayField } from "../ui/When";
import { usePicture } from "../ui/usePicture";
import { useUnits } from "../units/UnitsProvider";
import { chipText, FADED, type Faded, lookText, nextText } from "../words/swatches";

/** Chips of colours: what is in them, how they came out, and how they looked after months. */
export function Swatches() {
  return (
    <Box sx={{ display: "grid", gap: 1.5, gridTemplateColumns: "minmax(0, 1fr)" }}>
      <NewChip />
      <Fetched query={useSwatches()} loading="Opening the swatch book…">
        {({ chips, unreadable }) => (
          <>
            {unreadable.map((name) => (
              <Box key={name} role="alert">
                {name}: this chip cannot be read.
              </Box>
            ))}
            {chips.length === 0 && (
              <Box>
                No chip yet. Pour what is left in a cup a few millimetres thin, let it cure, and
                keep it here with its picture: a colour, or a patch of what you dust moulds with.
              </Box>
            )}
            <Box
              component="ul"
              aria-label="Swatch book"
              sx={{
                listStyle: "none",
                m: 0,
                p: 0,
                display: "grid",
                gap: 1.5,
                gridTemplateColumns: "repeat(auto-fill, minmax(270px, 1fr))",
              }}
            >
              {chips.map((view) => (
                <ChipCard key={view.chip.id} view={view} />
              ))}
            </Box>
          </>
        )}
      </Fetched>
    </Box>
  );
}

const WALL = { htmlInput: { maxLength: 100 } };
const NOTE = { htmlInput: { maxLength: 300 } };

function NewChip() {
  const units = useUnits();
  const { data: workshop } = useWorkshop();
  const [open, setOpen] = useState(false);
  const [colourId, setColourId] = useState("");
  const [strength, setStrength] = useState<number | null>(100);
  const [strengthReads, setStrengthReads] = useState(true);
  const [thickness, setThickness] = useState<number | null>(null);
  const [thicknessReads, setThicknessReads] = useState(true);
  const [madeOn, setMadeOn] = useState(() => localTime(new Date()).slice(0, 10));
  const [note, setNote] = useState("");
  const [wall, setWall] = useState("");
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const { add } = useTellSwatches(setTrouble);
  const error = (field: string) => trouble?.errors.find((e) => e.field === field);
  const keep = async () => {
    const kept = await add({
      colourId,
      ...(strength === null ? {} : { strengthPercent: strength }),
      ...(thickness === null ? {} : { thicknessMm: thickness }),
      ...(madeOn === "" ? {} : { madeOn }),
      ...(note === "" ? {} : { note }),
      ...(wall === "" ? {} : { wall }),
    });
    if (kept) {
      setOpen(false);
      setWall("");
      setNote("");
    }
  };
  if (!open) {
    return (
      <Button
        variant="outlined"
        onClick={() => setOpen(true)}
        sx={{ justifySelf: "start", minHeight: 48, "@media print": { display: "none" } }}
      >
        Add a chip
      </Button>
    );
  }
  return (
    <Sheet title="A new chip">
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "flex-start", mt: 1 }}>
        <TextField
          select
          label="Colour"
          value={colourId}
          error={error("colourId") !== undefined}
          helperText={error("colourId")?.message}
          onChange={(e) => setColourId(e.target.value)}
          sx={{ width: 200 }}
        >
          {(workshop?.colours ?? []).map((c) => (
            <MenuItem key={c.id} value={c.id}>
              {c.name}
            </MenuItem>
          ))}
        </TextField>
        <NumberField
          label="Of its recipe"
          symbol="%"
          value={strength}
          onChange={setStrength}
          onReadable={setStrengthReads}
          error={error("strengthPercent")}
          width={140}
        />
        <NumberField
          label="Thickness"
          unit={units.LENGTH}
          value={thickness}
          onChange={setThickness}
          onReadable={setThicknessReads}
          error={error("thicknessMm")}
          width={140}
        />
        <DayField
          label="Made on"
          value={madeOn}
          onChange={setMadeOn}
          error={error("madeOn")?.message}
        />
        <TextField
          label="Dusted or painted first with"
          value={wall}
          onChange={(e) => setWall(e.target.value)}
          slotProps={WALL}
          sx={{ width: 230 }}
        />
        <TextField
          label="Note"
          value={note}
          onChange={(e) => setNote(e.target.value)}
          slotProps={NOTE}
          sx={{ width: 300 }}
        />
      </Box>
      {trouble && trouble.errors.length === 0 && <Told trouble={trouble} />}
      <Box sx={{ display: "flex", gap: 1, mt: 1.5 }}>
        <Button
          variant="contained"
          disabled={!strengthReads || !thicknessReads}
          onClick={() => void keep()}
        >
          Keep the chip
        </Button>
        <Button onClick={() => setOpen(false)}>Cancel</Button>
      </Box>
    </Sheet>
  );
}

function ChipCard({ view }: { view: ChipView }) {
  const units = useUnits();
  const { chip } = view;
  const [looking, setLooking] = useState(false);
  const [removing, setRemoving] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const { look, remove } = useTellSwatches(setTrouble);
  const input = useRef<HTMLInputElement>(null);
  const picture = usePicture(`/api/swatches/${chip.id}/photo`, view.picture);
  const tell = async (was: Faded) => {
    if (await look(chip.id, was)) {
      setLooking(false);
    }
  };
  return (
    <Box
      component="li"
      sx={{
        bgcolor: "background.paper",
        borderRadius: 1,
        p: 1.5,
        display: "grid",
        gap: 0.5,
        alignContent: "start",
      }}
    >
      {picture.source ? (
        <Box
          component="img"
          alt={`Chip of ${chip.colourName}`}
          src={picture.source}
          sx={{ width: "100%", height: 150, objectFit: "cover", borderRadius: 1 }}
        />
      ) : (
        <Box
          sx={{
            height: 60,
            borderRadius: 1,
            border: 1,
            borderColor: "divider",
            bgcolor: view.swatch ?? "transparent",
          }}
        />
      )}
      <b>{chip.colourName}</b>
      <Box>{chipText(view, units)}</Box>
      {chip.note && <Box>“{chip.note}”</Box>}
      {chip.looks.map((l) => (
        <Box key={l.on + l.was}>{lookText(chip.madeOn, l)}</Box>
      ))}
      <Box sx={{ color: view.due ? "text.primary" : "text.secondary" }}>{nextText(view)}</Box>
      {(trouble ?? picture.trouble) && <Told trouble={(trouble ?? picture.trouble) as Trouble} />}
      <PictureInput
        input={input}
        label={`Picture of the chip of ${chip.colourName}`}
        onTake={picture.take}
      />
      <Box
        sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, "@media print": { display: "none" } }}
      >
        {looking ? (
          FADED.map(([was, words]) => (
            <Button key={was} variant="outlined" onClick={() => void tell(was)}>
              {words}
            </Button>
          ))
        ) : (
          <>
            <Button variant="outlined" onClick={() => setLooking(true)}>
              How is it now?
            </Button>
            <Button onClick={() => input.current?.click()}>
              {picture.source ? "Another picture" : "Add a picture"}
            </Button>
            {removing ? (
              <>
                <Button color="error" onClick={() => void remove(chip.id)}>
                  Remove for good
                </Button>
                <Button onClick={() => setRemoving(false)}>Keep it</Button>
              </>
            ) : (
              <Button onClick={() => setRemoving(true)}>Remove</Button>
            )}
          </>
        )}
      </Box>
    </Box>
  );
}
