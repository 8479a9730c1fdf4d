import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import type { Cavity, MeasureAnswer } from "../api/client";
import { CavitySection } from "../drawing/CavitySection";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { ownFillText } from "../words/learned";
import { doubtText } from "../words/moulds";
import { KNOWN_BY, type Method } from "./fields";

const WIDEST_PX = 280;
const TALLEST_PX = 230;

/** Half the volume is seldom half the depth: worth seeing before a part-filled pour. */
const QUARTERS = ["a quarter", "half of it", "three quarters"];

/** Words closer to each other than that lie on each other. */
const WORDS_PX = 14;

/** Each quarter by its words; of a shallow mould only the half. */
function marksOf(quartersMm: number[], pxPerMm: number) {
  const marks = quartersMm.map((atMm, i) => ({ atMm, words: QUARTERS[i] ?? "" }));
  const close = quartersMm.some(
    (at, i) => i > 0 && (at - (quartersMm[i - 1] ?? 0)) * pxPerMm < WORDS_PX,
  );
  return close ? marks.slice(1, 2) : marks;
}

interface Props {
  name: string;
  method: Method;
  answer: MeasureAnswer;
  /** What weighed pours said of it, where that was taken over. */
  own: Cavity["own"];
}

/** A cavity drawn to scale, with what it holds in large figures beside it. */
export function CavityFigures({ name, method, answer, own }: Props) {
  const units = useUnits();
  const { inner } = answer;
  const wide =
    Math.max(...answer.section.map((r) => r.rightMm)) -
    Math.min(...answer.section.map((r) => r.leftMm));
  const pxPerMm = Math.min(WIDEST_PX / wide, TALLEST_PX / answer.depthMm, 6.5);
  return (
    <Box
      sx={{ display: "flex", columnGap: 3, rowGap: 1, flexWrap: "wrap", alignItems: "flex-end" }}
    >
      <Box sx={{ borderBottom: 2, borderColor: "text.primary", minWidth: 250 }}>
        <CavitySection
          section={answer.section}
          pxPerMm={pxPerMm}
          wall={14}
          assumed={answer.depthAssumed}
          marks={marksOf(answer.quartersMm, pxPerMm)}
          bands={[{ fromMm: 0, toMm: answer.depthMm, fill: "rgba(127, 168, 178, 0.28)" }]}
          label={`${name} in section, ${answer.volumeMl.toFixed(1)} mL, ${answer.depthMm.toFixed(0)} mm deep`}
        />
      </Box>
      <Box sx={{ flex: "1 1 230px", minWidth: 0 }}>
        <Box sx={{ fontSize: "2rem", fontWeight: 600, lineHeight: 1.2 }}>
          {showWith(units.VOLUME, answer.onlyATotal ? answer.totalMl : answer.volumeMl, 2)}
        </Box>
        <Box sx={{ fontSize: "1.1rem" }}>± {showWith(units.VOLUME, answer.plusMinusMl, 2)}</Box>
        <Box sx={{ color: "text.secondary" }}>
          {answer.onlyATotal
            ? "in all, A and B together: a total for mixing."
            : `${showWith(units.LENGTH, answer.depthMm)} deep${answer.depthAssumed ? ", a guess" : ""} · ${KNOWN_BY[method]}`}
        </Box>
        {own && (
          <Box>
            {ownFillText(own, answer.plannedMl, units)}{" "}
            <Link href="/journal?part=hands">Learned</Link>
          </Box>
        )}
        {answer.onlyATotal && (
          <Link href={`/mix/total-${answer.totalMl.toFixed(2)}`}>Mix that much now</Link>
        )}
        <Box component="ul" sx={{ pl: 2.25, my: 0.75, fontSize: "0.92rem" }}>
          {answer.doubts.map((doubt) => (
            <li key={doubt}>{doubtText(doubt)}</li>
          ))}
          {inner && (
            <>
              <li>
                The inner mould saves {showWith(units.VOLUME, inner.savedMl)} of resin and leaves a
                wall of {showWith(units.LENGTH, inner.wallMm, 1)}
                {inner.thin ? ": thin enough to tear." : "."}
              </li>
              <li>
                The resin lifts it with {showWith(units.MASS, inner.liftG)};{" "}
                {inner.ballastG > 0
                  ? `lay at least ${showWith(units.MASS, inner.ballastG)} on it.`
                  : "its own weight keeps it down."}
              </li>
              {!inner.drawsOut && <li>It widens downwards and will not come out again.</li>}
            </>
          )}
        </Box>
      </Box>
    </Box>
  );
}
