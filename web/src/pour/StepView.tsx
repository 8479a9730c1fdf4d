import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import type { Plan, RunStep } from "../api/client";
import { Fig } from "../plan/how/How";
import type { Units } from "../units/units";
import { minutes } from "../words/counted";
import type { StepWords } from "../words/steps";
import { StepDrawing } from "./StepDrawing";
import { LOW } from "./low";

interface Props {
  step: RunStep;
  words: StepWords;
  plan: Plan;
  units: Units;
  /** Whether it is looked at out of its turn. */
  ahead: boolean;
  /** When it can be done at the earliest; null for now. */
  notBefore: string | null;
  /** Until when it does, and what it takes after that; null for no window. */
  window: string | null;
  leaves: boolean;
  /** What design, mould and habits say about it. */
  lines: string[];
  /** Whether something is measured: a phone then has no room for the drawing. */
  measured: boolean;
  /** Whether it has a drawing although nothing is measured. */
  drawn: boolean;
  /** What is measured while it is done. */
  children: ReactNode;
}

/** More lines than that want the room themselves. */
const ALL_THERE_IS = 4;

/** One step on the whole bench: what, how much, and to which line. */
export function StepView(props: Props) {
  const { step, words, plan, units } = props;
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1fr)" },
        // Long words scroll beside the drawing; they do not push it out of sight.
        gridTemplateRows: { xs: "auto minmax(0, 1fr)", md: "minmax(0, 1fr)" },
        opacity: props.ahead ? 0.75 : 1,
        [LOW]: { gridTemplateColumns: "minmax(0, 1fr)", gridTemplateRows: "auto" },
      }}
    >
      <Box
        sx={{
          gridColumn: { md: words.figure || props.drawn ? "1" : "1 / -1" },
          [LOW]: { gridColumn: "1" },
        }}
      >
        <Box
          component="h2"
          sx={{
            m: 0,
            fontFamily: "h1.fontFamily",
            fontWeight: 600,
            lineHeight: 1.08,
            fontSize: { xs: "clamp(1.6rem, 7.4vw, 2.6rem)", md: "3.2rem" },
            [LOW]: { fontSize: "1.4rem" },
            overflowWrap: "break-word",
          }}
        >
          {words.title}
        </Box>
        {words.figure !== undefined && (
          <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
            <Box
              sx={{
                fontWeight: 700,
                lineHeight: 1.1,
                fontSize: {
                  xs: "clamp(3.2rem, 21vw, 6.5rem)",
                  md: props.lines.length > 0 ? "5rem" : "6.5rem",
                },
                [LOW]: { fontSize: "2.8rem" },
              }}
            >
              {step.targetG !== undefined && step.status !== "DONE" ? (
                <Fig of={`step/${step.taskId}/targetG`} what={words.title}>
                  {words.figure}
                </Fig>
              ) : (
                words.figure
              )}
            </Box>
            <Box sx={{ fontSize: { xs: "1.4rem", md: "2.2rem" }, [LOW]: { fontSize: "1.2rem" } }}>
              {words.unit}
            </Box>
          </Box>
        )}
        <Box
          sx={{
            color: "text.secondary",
            fontSize: { xs: "1.05rem", md: "1.5rem" },
            mt: { xs: 0.5, md: 1.5 },
            [LOW]: { fontSize: "1rem", mt: 0.25 },
          }}
        >
          {step.status === "DONE" ? "This is done." : words.how}
        </Box>
        {props.window && (
          <Box sx={{ fontSize: { xs: "1.05rem", md: "1.4rem" }, fontWeight: 700, mt: 0.5 }}>
            {step.untilSeconds === undefined ? (
              props.window
            ) : (
              <Fig of={`step/${step.taskId}/until`} what={`Until when: ${words.title}`}>
                {props.window}
              </Fig>
            )}
          </Box>
        )}
        <Box sx={{ mt: { xs: 1, md: 2 } }}>{props.children}</Box>
        {step.status !== "DONE" && props.lines.length > 0 && (
          <Box
            component="ul"
            aria-label="What this step says"
            sx={{
              m: 0,
              mt: 1,
              pl: "1.3em",
              // Where the words are all there is, they are read from where the hands are.
              fontSize:
                words.figure === undefined && props.lines.length <= ALL_THERE_IS
                  ? { xs: "1.2rem", sm: "1.45rem", md: "1.75rem" }
                  : { xs: "1.02rem", md: "1.3rem" },
              [LOW]: { fontSize: "1rem" },
            }}
          >
            {props.lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
        )}
        {props.notBefore && (
          <Box sx={{ fontSize: { xs: "1.05rem", md: "1.5rem" }, mt: 1 }}>
            Not before{" "}
            <Fig of={`step/${step.taskId}/from`} what={`Not before: ${words.title}`}>
              {props.notBefore}
            </Fig>
            {props.leaves && ": the bench is not needed until then."}
          </Box>
        )}
      </Box>
      <Box
        sx={{
          minHeight: 0,
          minWidth: 0,
          overflow: "hidden",
          position: { md: "sticky" },
          top: 0,
          display: { xs: props.measured ? "none" : "flex", md: "flex" },
          alignItems: "flex-end",
          justifyContent: "center",
          [LOW]: { display: "none" },
        }}
      >
        <StepDrawing
          step={step}
          plan={plan}
          units={units}
          width={Math.min(380, window.innerWidth - 60)}
          height={Math.min(320, window.innerHeight * (window.innerWidth < 900 ? 0.2 : 0.42))}
        />
      </Box>
    </Box>
  );
}

/** A wait that runs out, as large as it has to be seen. */
export function Waiting({ title, left }: { title: string; left: number }) {
  return (
    <Box role="timer" aria-label={title}>
      <Box
        component="h2"
        sx={{
          m: 0,
          fontFamily: "h1.fontFamily",
          fontWeight: 600,
          fontSize: { xs: "1.9rem", md: "3.6rem" },
          [LOW]: { fontSize: "1.4rem" },
        }}
      >
        {title}
      </Box>
      <Box
        sx={{
          fontWeight: 700,
          fontSize: { xs: "4.2rem", md: "8rem" },
          lineHeight: 1.1,
          [LOW]: { fontSize: "2.8rem" },
        }}
      >
        {minutes(left)}
      </Box>
      <Box sx={{ color: "text.secondary", fontSize: { xs: "1.05rem", md: "1.5rem" } }}>
        Bubbles rise; the clock of the cup runs on.
      </Box>
    </Box>
  );
}

/** What brings the ratio right again. */
export function Rescued({ title, parts }: { title: string; parts: string }) {
  return (
    <Box>
      <Box
        component="h2"
        sx={{
          m: 0,
          fontFamily: "h1.fontFamily",
          fontWeight: 600,
          fontSize: { xs: "1.9rem", md: "3.4rem" },
          [LOW]: { fontSize: "1.4rem" },
        }}
      >
        {title}
      </Box>
      <Box
        sx={{
          fontWeight: 700,
          fontSize: { xs: "3.6rem", md: "6.5rem" },
          lineHeight: 1.1,
          [LOW]: { fontSize: "2.4rem" },
        }}
      >
        {parts}
      </Box>
      <Box sx={{ color: "text.secondary", fontSize: { xs: "1.05rem", md: "1.5rem" } }}>
        Then the ratio is right again, and there is more than planned.
      </Box>
    </Box>
  );
}
