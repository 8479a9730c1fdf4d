import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import { WrongMark } from "../ui/Told";
import { LOW } from "./low";
import { isShut, wakeSound } from "./sounds";

interface Props {
  /** The heat warning of the batch at hand; null where it has none. */
  heat: string | null;
  name: string;
  done: number;
  of: number;
  time: string;
  /** As it was read last, or as the plan takes it to be. */
  room: string;
  onRoom: () => void;
  silent: boolean;
  onSilent: (on: boolean) => void;
  reads: boolean;
  onReads: (on: boolean) => void;
  /** Whether the step is shown in letters for across the room. */
  far: boolean;
  onFar: (on: boolean) => void;
  /** Chosen before anything is opened; null from then on. */
  onFootSwitch: (() => void) | null;
  /** Whose steps this screen shows; null where one pair of hands pours. */
  hands: string | null;
  onHands: () => void;
  onGuide: () => void;
  /** Opens what drives the stand-ins; null where everything is real. */
  onStandIns: (() => void) | null;
  /** Where one comes to who leaves. */
  leavesFor: string;
}

/** From where on keys for sounds, for letters and for the whole screen leave room for the way out. */
const SOUNDS = "@media (min-width: 760px)";
const LETTERS = "@media (min-width: 900px)";
const ALL = "@media (min-width: 1100px)";

/** What run this is, how far it is, and what the bench does with its sounds. */
export function BenchHeader(props: Props) {
  const { silent, reads } = props;
  return (
    <>
      {props.heat !== null && (
        <Box
          role="alert"
          sx={{
            display: "flex",
            gap: 1,
            alignItems: "center",
            color: "error.main",
            fontWeight: 700,
            fontSize: { xs: "0.95rem", md: "1.25rem" },
            overflow: "hidden",
            whiteSpace: { xs: "nowrap", md: "normal" },
            [LOW]: { whiteSpace: "nowrap", fontSize: "0.95rem" },
            textOverflow: "ellipsis",
          }}
          title={props.heat}
        >
          <WrongMark />
          {props.heat}
        </Box>
      )}
      <Box
        component="header"
        sx={{
          display: "flex",
          alignItems: "center",
          gap: { xs: 0.5, sm: 1, lg: 2 },
          // The way out is on a phone, too.
          fontSize: { xs: "0.9rem", md: "0.95rem", lg: "1rem" },
        }}
      >
        <Box
          component="h1"
          sx={{
            m: 0,
            fontFamily: "h1.fontFamily",
            fontWeight: 500,
            fontSize: { xs: "1.05rem", md: "1.5rem" },
            whiteSpace: "nowrap",
            overflow: "hidden",
            textOverflow: "ellipsis",
            minWidth: 0,
          }}
        >
          {props.name}
        </Box>
        <Box
          sx={{
            flex: 1,
            height: 8,
            borderRadius: 4,
            bgcolor: "divider",
            display: { xs: "none", md: "block" },
          }}
        >
          <Box
            sx={{
              height: 8,
              borderRadius: 4,
              bgcolor: "primary.main",
              width: `${(100 * props.done) / Math.max(1, props.of)}%`,
            }}
          />
        </Box>
        <Box sx={{ color: "text.secondary", whiteSpace: "nowrap", ml: "auto" }}>
          {Math.min(props.done + 1, props.of)} of {props.of}
        </Box>
        <Box sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>{props.time}</Box>
        <Small label={props.room} onClick={props.onRoom} />
        {props.hands && <Small label={props.hands} onClick={props.onHands} />}
        <Box
          sx={{
            display: "none",
            gap: 0.5,
            [SOUNDS]: { display: "flex" },
            [LOW]: { display: "none" },
          }}
        >
          {!silent && isShut() ? (
            // Touching it is all the browser waits for.
            <Small label="Sound off: touch" onClick={() => undefined} />
          ) : (
            <Small label={silent ? "Sound on" : "Silent"} onClick={() => props.onSilent(!silent)} />
          )}
          <Small
            label={reads ? "Do not read" : "Read aloud"}
            onClick={() => props.onReads(!reads)}
          />
          {props.onFootSwitch && <Small label="Foot switch" onClick={props.onFootSwitch} />}
          {/* A narrower screen has its large letters beside what waits. */}
          <Box sx={{ display: "none", [LETTERS]: { display: "contents" } }}>
            <Small
              label={props.far ? "Usual letters" : "Large letters"}
              onClick={() => props.onFar(!props.far)}
            />
          </Box>
          <Box sx={{ display: "none", [ALL]: { display: "contents" } }}>
            <Small
              label="Full screen"
              onClick={() =>
                void (document.fullscreenElement
                  ? document.exitFullscreen()
                  : document.documentElement.requestFullscreen())
              }
            />
          </Box>
        </Box>
        {props.onStandIns && <Small label="Simulated" onClick={props.onStandIns} />}
        <Small label="?" says="? Guide to the bench" onClick={props.onGuide} />
        <Button
          href={props.leavesFor}
          sx={{
            minHeight: 64,
            flexShrink: 0,
            minWidth: { xs: 0, sm: 64 },
            px: { xs: 0.75, sm: 1 },
            [LOW]: { minHeight: 44 },
          }}
        >
          Leave
        </Button>
      </Box>
    </>
  );
}

function Small({
  label,
  says,
  onClick,
}: {
  label: string;
  /** What it is called where its sign alone says too little. */
  says?: string;
  onClick: () => void;
}) {
  return (
    <ButtonBase
      aria-label={says}
      onClick={() => {
        wakeSound();
        onClick();
      }}
      sx={{
        minHeight: 64,
        [LOW]: { minHeight: 44 },
        px: { xs: 0.75, lg: 1.25 },
        borderRadius: 1,
        font: "inherit",
        color: "text.secondary",
        whiteSpace: "nowrap",
      }}
    >
      {label}
    </ButtonBase>
  );
}
