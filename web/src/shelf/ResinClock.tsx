import Box from "@mui/material/Box";
import type { ResinView } from "../api/client";
import { WrongMark } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { expectedText, factText, partText } from "../words/clock";
import { inUnits } from "../words/inUnits";

type Clock = NonNullable<ResinView["clock"]>;

/** What the times of a resin rest on: each thing that is known of it beside what comes out. */
export function ResinClock({ clock }: { clock: Clock }) {
  const units = useUnits();
  return (
    <Box role="group" aria-label="This resin’s clock" sx={{ display: "grid", gap: 1.25 }}>
      <b>This resin’s clock</b>
      {clock.facts.length === 0 ? (
        <span>The label gives no times. All that follows is assumed by its kind.</span>
      ) : (
        <Box
          component="table"
          sx={{ justifySelf: "start", borderSpacing: "0 4px", "& td, & th": cell }}
        >
          <thead>
            <tr>
              <th scope="col">What is known</th>
              <th scope="col">said</th>
              <th scope="col">comes out</th>
              <th scope="col" />
            </tr>
          </thead>
          <tbody>
            {clock.facts.map((fact, i) => {
              const text = factText(fact, units);
              return (
                <Box
                  component="tr"
                  key={i}
                  sx={{ color: fact.atOdds ? "error.main" : "text.primary" }}
                >
                  <td>{text.what}</td>
                  <td>{text.said}</td>
                  <td>{text.comes}</td>
                  <td>
                    <Box sx={{ display: "flex", gap: 0.75 }}>
                      {fact.atOdds && <WrongMark />}
                      {text.fits}
                    </Box>
                  </td>
                </Box>
              );
            })}
          </tbody>
        </Box>
      )}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }} aria-label="What follows">
        {clock.expected.map((expected, i) => (
          <li key={i}>{expectedText(expected, units)}</li>
        ))}
      </Box>
      <details>
        <summary>What the clock is made of</summary>
        <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
          {clock.parts.map((part) => (
            <li key={part.what}>{inUnits(partText(part), units)}</li>
          ))}
        </Box>
      </details>
    </Box>
  );
}

const cell = {
  textAlign: "left",
  verticalAlign: "top",
  pr: 3,
  pl: 0,
} as const;
