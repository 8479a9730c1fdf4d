import Box from "@mui/material/Box";
import { useEffect, useState } from "react";
import { useCounted } from "../api/asking";
import type { Colour, Colourant } from "../api/client";
import { NumberField } from "../ui/NumberField";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { CountedRows } from "./CountedRows";
import { freshJar, partsOf, type Row, rowsOf, usualUnit } from "./counted";

/** For so much it is mostly counted, g. */
const USUAL_G = 100;

interface Props {
  colour: Colour;
  jars: readonly Colourant[];
  onChange: (recipe: Colour["recipe"]) => void;
}

/** A recipe of the shelf typed as it is counted: so many drops and scoops for so much resin. */
export function CountedRecipe({ colour, jars, onChange }: Props) {
  const units = useUnits();
  const [resinG, setResinG] = useState<number | null>(USUAL_G);
  const [rows, setRows] = useState<Row[]>(() => begun(colour, jars));
  const { answer, trouble } = useCounted(resinG, partsOf(rows));
  useEffect(() => {
    if (answer && trouble === null) {
      onChange(answer.recipe);
    }
    // Only an answer changes the recipe.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [answer]);
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <NumberField
        label="For so much resin"
        unit={units.MASS}
        value={resinG}
        optional
        width={170}
        error={trouble?.errors.find((e) => e.field === "resinG")}
        onChange={setResinG}
      />
      <CountedRows
        rows={rows}
        told={answer}
        jars={jars}
        shelfOnly
        errors={trouble?.errors ?? []}
        onChange={setRows}
      />
      {trouble && trouble.errors.length === 0 && <Told trouble={trouble} />}
    </Box>
  );
}

/** As it is kept; a colour without a recipe begins with one jar, uncounted. */
function begun(colour: Colour, jars: readonly Colourant[]): Row[] {
  const rows = rowsOf(colour, jars);
  const jar = jars[0] ?? freshJar();
  return rows.length > 0 ? rows : [{ jar, fresh: false, amount: null, in: usualUnit(jar.form) }];
}
