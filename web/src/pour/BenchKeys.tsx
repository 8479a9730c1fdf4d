import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Fig } from "../plan/how/How";
import { LOW } from "./low";

interface Props {
  label: string;
  enabled: boolean;
  onDone: () => void;
  /** The two steps that follow. */
  then: { id: string; title: string; figure: string | null; of: string | null }[];
  /** Back to the step that is next; null while it is shown. */
  onTurn: (() => void) | null;
  /** What undo takes back, and how; null for nothing. */
  undo: { what: string; onUndo: () => void } | null;
  /** While a ratio is off. */
  rescue: { onAdded: () => void; onLeave: () => void } | null;
  onWeigh: (() => void) | null;
  /** Whether amounts are read off marks. */
  marks: boolean;
  onThick: (() => void) | null;
  /** A cup gets hot; null while none is open. */
  onHot: (() => void) | null;
  /** What else goes wrong; a phone has the two above behind it. */
  onTrouble: () => void;
  onAway: () => void;
}

/** The keys of the bench, for gloves: one wide for done, and what is needed in a hurry. */
export function BenchKeys(props: Props) {
  return (
    <Box
      component="footer"
      sx={{
        display: "grid",
        gridTemplateColumns: {
          xs: "minmax(0, 1fr) minmax(0, 1fr)",
          md: "minmax(0, 2.2fr) minmax(0, 1.5fr) auto",
        },
        gap: { xs: 1, md: 1.5 },
        alignItems: "stretch",
        [LOW]: { gridTemplateColumns: "minmax(0, 2fr) minmax(0, 3fr)", gap: 0.75 },
      }}
    >
      {props.rescue ? (
        <Button
          variant="contained"
          onClick={props.rescue.onAdded}
          sx={{
            minHeight: 84,
            fontSize: "1.7rem",
            gridColumn: { xs: "1 / -1", md: "auto" },
            [LOW]: { minHeight: 64, fontSize: "1.3rem", gridColumn: "auto" },
          }}
        >
          Added
        </Button>
      ) : (
        <Button
          variant="contained"
          onClick={props.onDone}
          disabled={!props.enabled}
          sx={{
            minHeight: { xs: 84, md: 136 },
            fontSize: { xs: "1.6rem", md: "2rem" },
            gridColumn: { xs: "1 / -1", md: "auto" },
            gap: 2,
            [LOW]: { minHeight: 64, fontSize: "1.3rem", gridColumn: "auto" },
          }}
        >
          {props.label}
          <Box
            component="span"
            sx={{ fontSize: "1.1rem", opacity: 0.8, display: { xs: "none", md: "inline" } }}
          >
            space
          </Box>
        </Button>
      )}
      <Box
        aria-label="Next"
        role="group"
        sx={{
          gridColumn: { xs: "1 / -1", md: "auto" },
          order: { xs: -1, md: 0 },
          fontSize: { xs: "0.98rem", md: "1.15rem" },
          alignSelf: "center",
          minWidth: 0,
          [LOW]: { display: props.onTurn ? "block" : "none", order: 0, gridColumn: "auto" },
        }}
      >
        {props.then.map((s, i) => (
          <Box key={s.id} sx={{ display: "flex", gap: 0.75, whiteSpace: "nowrap" }}>
            <b>{i === 0 ? "then" : "after"}</b>
            <Box
              component="span"
              sx={{ minWidth: 0, overflow: "hidden", textOverflow: "ellipsis" }}
            >
              {s.title}
            </Box>
            {s.figure !== null && (
              <Box component="span" sx={{ flex: "none" }}>
                {"· "}
                {s.of === null ? (
                  s.figure
                ) : (
                  <Fig of={s.of} what="How much">
                    {s.figure}
                  </Fig>
                )}
              </Box>
            )}
          </Box>
        ))}
        {props.onTurn && (
          <Button onClick={props.onTurn} sx={{ minHeight: 64 }}>
            Back to the step that is next
          </Button>
        )}
      </Box>
      <Box
        sx={{
          gridColumn: { xs: "1 / -1", md: "auto" },
          display: "grid",
          gridAutoFlow: "column",
          gridTemplateRows: { xs: "auto", md: "1fr 1fr" },
          gridAutoColumns: { xs: "minmax(0, 1fr)", md: "minmax(112px, auto)" },
          gap: 1,
          [LOW]: {
            gridColumn: "auto",
            gridTemplateRows: "auto",
            gridAutoColumns: "minmax(0, 1fr)",
          },
        }}
      >
        <Key
          onClick={() => props.undo?.onUndo()}
          disabled={!props.undo}
          {...(props.undo ? { what: props.undo.what } : {})}
        >
          Undo
        </Key>
        {props.rescue ? (
          <Key onClick={props.rescue.onLeave}>Leave it</Key>
        ) : (
          props.onWeigh && (
            <Key onClick={props.onWeigh}>{props.marks ? "Other amount" : "Other weight"}</Key>
          )
        )}
        {props.onThick && (
          <Key stops wide onClick={props.onThick}>
            Too thick
          </Key>
        )}
        {props.onHot && (
          <Key stops wide onClick={props.onHot}>
            Gets hot
          </Key>
        )}
        <Key stops onClick={props.onTrouble}>
          Trouble
        </Key>
        <Key stops onClick={props.onAway}>
          Stepped away
        </Key>
      </Box>
    </Box>
  );
}

interface KeyProps {
  onClick: () => void;
  disabled?: boolean;
  /** Said in the colour of what stops the work. */
  stops?: boolean;
  /** Only where the screen is wide; a phone has them behind one key. */
  wide?: boolean;
  /** What it is about, in small. */
  what?: string;
  children: string;
}

function Key(props: KeyProps) {
  const { onClick, disabled = false, stops = false, wide = false, what, children } = props;
  return (
    <Button
      variant="outlined"
      color={stops ? "error" : "primary"}
      onClick={onClick}
      disabled={disabled}
      sx={{
        minHeight: 64,
        minWidth: 0,
        px: { xs: 0.5, md: 1.5 },
        fontSize: { xs: "1rem", md: "1.1rem" },
        lineHeight: 1.15,
        ...(wide ? { display: { xs: "none", md: "inline-flex" }, [LOW]: { display: "none" } } : {}),
      }}
    >
      <Box component="span" sx={{ minWidth: 0, maxWidth: "100%" }}>
        {children}{" "}
        {what !== undefined && (
          <Box
            component="span"
            sx={{
              display: "block",
              maxWidth: 150,
              fontSize: "0.8rem",
              whiteSpace: "nowrap",
              overflow: "hidden",
              textOverflow: "ellipsis",
            }}
          >
            {what}
          </Box>
        )}
      </Box>
    </Button>
  );
}
