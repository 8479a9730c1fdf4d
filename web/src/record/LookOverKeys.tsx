import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import TextField from "@mui/material/TextField";
import { useRef, useState } from "react";
import type { LookOver, PieceOut, PieceView } from "../api/client";
import { PictureInput } from "../ui/PictureInput";
import { Told } from "../ui/Told";
import { usePicture } from "../ui/usePicture";
import { FAULTS, VERDICTS } from "../words/record";
import { Spots } from "./Spots";

interface Props {
  runId: string;
  piece: PieceOut;
  name: string;
  /** Its mould in section. */
  view: PieceView | undefined;
  /** The numbers of its pictures. */
  pictures: number[];
  onLooked: (look: LookOver) => void;
  onClose: () => void;
}

const LONGEST = 300;

/** How one piece came out: three keys, the faults, a line, a picture. */
export function LookOverKeys(props: Props) {
  const { runId, piece, name, view, pictures, onLooked, onClose } = props;
  const before = piece.lookedOver;
  const [verdict, setVerdict] = useState<LookOver["verdict"]>(before?.verdict ?? "GOOD");
  const [faults, setFaults] = useState<LookOver["faults"]>(before?.faults ?? []);
  const [marks, setMarks] = useState<LookOver["marks"]>(before?.marks ?? []);
  const [about, setAbout] = useState(before?.faults.at(-1));
  const [text, setText] = useState(before?.text ?? "");
  const input = useRef<HTMLInputElement>(null);
  const photos = `/api/runs/${encodeURIComponent(runId)}/pieces/${encodeURIComponent(piece.piece)}/photos`;
  // The next one; the others stay.
  const [next] = useState(Math.max(0, ...pictures) + 1);
  const picture = usePicture(`${photos}/${next}`, false);
  const toggle = (fault: LookOver["faults"][number]) => {
    const on = !faults.includes(fault);
    const now = on ? [...faults, fault] : faults.filter((x) => x !== fault);
    setFaults(now);
    setAbout(on ? fault : now.at(-1));
    setMarks((m) => m.filter((x) => now.includes(x.fault)));
  };
  return (
    <Box
      role="dialog"
      aria-label={`Look over ${name}`}
      sx={{
        position: "fixed",
        inset: 0,
        zIndex: 1150,
        bgcolor: "background.default",
        p: { xs: 1.5, md: 3 },
        overflow: "auto",
        display: "flex",
        flexDirection: "column",
        gap: 1.5,
      }}
    >
      <Box component="h2" sx={{ typography: "h1", m: 0 }}>
        {name}
      </Box>
      <Box role="radiogroup" aria-label="Verdict" sx={{ display: "flex", gap: 1 }}>
        {(Object.keys(VERDICTS) as LookOver["verdict"][]).map((v) => (
          <Button
            key={v}
            role="radio"
            aria-checked={v === verdict}
            variant={v === verdict ? "contained" : "outlined"}
            onClick={() => setVerdict(v)}
            sx={{ minHeight: 84, flex: 1, fontSize: { xs: "1.2rem", md: "1.6rem" } }}
          >
            {VERDICTS[v]}
          </Button>
        ))}
      </Box>
      <Box
        role="group"
        aria-label="What is wrong with it"
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(3, 1fr)" },
          gap: 1,
        }}
      >
        {FAULTS.map(({ fault, words }) => {
          const on = faults.includes(fault);
          return (
            <ButtonBase
              key={fault}
              role="checkbox"
              aria-checked={on}
              onClick={() => toggle(fault)}
              sx={{
                minHeight: 64,
                px: 1.5,
                gap: 1,
                borderRadius: 2,
                border: 2,
                borderColor: on ? "error.main" : "divider",
                justifyContent: "flex-start",
                textAlign: "left",
                font: "inherit",
                fontSize: { xs: "0.95rem", md: "1.1rem" },
              }}
            >
              <Box aria-hidden sx={{ width: 22, fontSize: "1.3rem", lineHeight: 1 }}>
                {on ? "×" : "○"}
              </Box>
              {words}
            </ButtonBase>
          );
        })}
      </Box>
      {view && about && view.section.length > 1 && (
        <Spots view={view} fault={about} marks={marks} onMarks={setMarks} />
      )}
      <TextField
        label="A line about it"
        value={text}
        onChange={(e) => setText(e.target.value)}
        error={text.length > LONGEST}
        helperText={
          text.length > LONGEST
            ? `${text.length - LONGEST} letters too many; a line is enough.`
            : "Where the fault is, what you would do otherwise."
        }
      />
      <PictureInput input={input} label={`Picture of ${name}`} onTake={picture.take} />
      {picture.trouble && <Told trouble={picture.trouble} />}
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          onClick={() => input.current?.click()}
          sx={{ minHeight: 64, fontSize: "1.1rem" }}
        >
          {picture.source
            ? "Take it again…"
            : pictures.length > 0
              ? "One more picture…"
              : "A picture…"}
        </Button>
        {pictures.map((n) => (
          <Box
            key={n}
            component="img"
            src={`${photos}/${n}`}
            alt={`${name}, picture ${n}`}
            sx={{ maxHeight: 120, borderRadius: 1 }}
          />
        ))}
        {picture.source && (
          <Box
            component="img"
            src={picture.source}
            alt={name}
            sx={{ maxHeight: 120, borderRadius: 1 }}
          />
        )}
        <Box sx={{ color: "text.secondary" }}>Pictures stay on this machine.</Box>
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, mt: "auto" }}>
        <Button onClick={onClose} sx={{ minHeight: 84, flex: 1, fontSize: "1.2rem" }}>
          Back
        </Button>
        <Button
          variant="contained"
          disabled={text.length > LONGEST}
          onClick={() => {
            const line = text.trim();
            onLooked({ verdict, faults, marks, ...(line === "" ? {} : { text: line }) });
          }}
          sx={{ minHeight: 84, flex: 2, fontSize: "1.4rem" }}
        >
          Keep it
        </Button>
      </Box>
    </Box>
  );
}
