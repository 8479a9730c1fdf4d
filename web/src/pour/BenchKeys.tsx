import Box from "@mui/material/Box";
import Button from "@mui/material/Button";

interface Props {
  label: string;
  enabled: boolean;
  onDone: () => void;
  /** The two steps that follow. */
  then: { id: string; words: string }[];
  /** Back to the step that is next; null while it is shown. */
  onTurn: (() => void) | null;
  onUndo: (() => void) | null;
  /** While a ratio is off. */
  rescue: { onAdded: () => void; onLeave: () => void } | null;
  onWeigh: (() => void) | null;
  onThick: (() => void) | null;
  /** A cup gets hot; null while none is open. */
  onHot: (() => void) | null;
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
          md: "minmax(0, 2.2fr) minmax(0, 1.5fr) auto auto",
        },
        gap: { xs: 1, md: 1.5 },
        alignItems: "stretch",
      }}
    >
      {props.rescue ? (
        <Button
          variant="contained"
          onClick={props.rescue.onAdded}
          sx={{ minHeight: 84, fontSize: "1.7rem", gridColumn: { xs: "1 / -1", md: "auto" } }}
        >
          Added
        </Button>
      ) : (
        <Button
          variant="contained"
          onClick={props.onDone}
          disabled={!props.enabled}
          sx={{
            minHeight: { xs: 96, md: 136 },
            fontSize: { xs: "1.6rem", md: "2rem" },
            gridColumn: { xs: "1 / -1", md: "auto" },
            gap: 2,
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
        }}
      >
        {props.then.map((s, i) => (
          <Box
            key={s.id}
            sx={{ whiteSpace: "nowrap", overflow: "hidden", textOverflow: "ellipsis" }}
          >
            <b>{i === 0 ? "then" : "after"}</b> {s.words}
          </Box>
        ))}
        {props.onTurn && (
          <Button onClick={props.onTurn} sx={{ minHeight: 48 }}>
            Back to the step that is next
          </Button>
        )}
      </Box>
      <Box sx={{ display: "flex", flexDirection: { xs: "row", md: "column" }, gap: 1 }}>
        <Button
          variant="outlined"
          onClick={() => props.onUndo?.()}
          disabled={!props.onUndo}
          sx={{ minHeight: 64, fontSize: "1.15rem", flex: 1, minWidth: 110 }}
        >
          Undo
        </Button>
        {props.rescue ? (
          <Button
            variant="outlined"
            onClick={props.rescue.onLeave}
            sx={{ minHeight: 64, fontSize: "1.05rem", flex: 1 }}
          >
            Leave it
          </Button>
        ) : (
          props.onWeigh && (
            <Button
              variant="outlined"
              onClick={props.onWeigh}
              sx={{ minHeight: 64, fontSize: "1.05rem", flex: 1 }}
            >
              Other weight
            </Button>
          )
        )}
      </Box>
      <Box sx={{ display: "flex", flexDirection: { xs: "row", md: "column" }, gap: 1 }}>
        {props.onThick && (
          <Button
            variant="outlined"
            color="error"
            onClick={props.onThick}
            sx={{ minHeight: 64, fontSize: "1.05rem", flex: 1 }}
          >
            Too thick
          </Button>
        )}
        {props.onHot && (
          <Button
            variant="outlined"
            color="error"
            onClick={props.onHot}
            sx={{ minHeight: 64, fontSize: "1.05rem", flex: 1 }}
          >
            Gets hot
          </Button>
        )}
        <Button
          variant="outlined"
          color="error"
          onClick={props.onAway}
          sx={{ minHeight: 64, fontSize: "1.15rem", flex: 1, borderWidth: 3, minWidth: 130 }}
        >
          Stepped away
        </Button>
      </Box>
    </Box>
  );
}
