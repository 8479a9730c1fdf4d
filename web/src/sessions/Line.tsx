import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type SessionLine, type Trouble } from "../api/client";
import { useUsual, value } from "../api/queries";
import { BoardStrip } from "../drawing/BoardStrip";
import { arranged } from "../session/arranging";
import { localTime, nextStart } from "../session/newSession";
import { MomentField } from "../ui/When";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { dayAndHour, nextName, STANDS } from "../words/sessions";

interface Props {
  line: SessionLine;
  /** Names that are taken. */
  names: string[];
  /** Whether something was typed and not saved. */
  changed: boolean;
  onRemove: () => void;
  onTrouble: (trouble: Trouble | null) => void;
}

/** One session of the list, with its picture and what can be done with it. */
export function Line({ line, names, changed, onRemove, onTrouble }: Props) {
  const units = useUnits();
  const [copying, setCopying] = useState(false);
  const ahead = line.stands === "PLANNED" || line.stands === "CONFIRMED";
  const confirm = async (confirmed: boolean) => {
    const answer = await ask(
      api.PUT("/api/sessions/{id}/confirmed", {
        params: { path: { id: line.id }, query: { confirmed } },
      }),
    );
    onTrouble(answer.status === "ok" ? null : answer.trouble);
  };
  return (
    <Box
      component="li"
      sx={{ bgcolor: "background.paper", borderRadius: "10px", px: 2, py: 1, mb: 1 }}
    >
      <Box
        sx={{ display: "flex", alignItems: "center", columnGap: 2, rowGap: 0.5, flexWrap: "wrap" }}
      >
        <Box sx={{ width: { xs: "100%", sm: 230 }, minWidth: 0, overflow: "hidden" }}>
          {line.board && !line.justMix ? (
            <BoardStrip board={line.board} />
          ) : (
            <Box sx={{ color: "text.secondary", fontSize: "0.87rem" }}>
              {line.justMix ? "one batch, no mould" : "cannot be planned yet"}
            </Box>
          )}
        </Box>
        <Box sx={{ flex: "1 1 280px", minWidth: 0 }}>
          <Link
            href={line.justMix ? `/mix/${line.id}` : `/plan/${line.id}`}
            underline="hover"
            color="inherit"
            sx={{ fontFamily: "h2.fontFamily", fontSize: "1.2rem" }}
          >
            {line.name}
          </Link>
          <Box sx={{ color: "text.secondary", fontSize: "0.93rem" }}>
            <b>{STANDS[line.stands]}</b>
            {changed && <b> · changes not saved</b>} ·{" "}
            {line.startsAt === undefined ? "cannot be read" : dayAndHour(new Date(line.startsAt))}
            {line.cavities > 0 && ` · ${line.cavities} cavities`}
            {line.resinG !== undefined && ` · ${showWith(units.MASS, line.resinG)} of resin`}
            {line.board?.resin && ` · ${line.board.resin}`}
          </Box>
        </Box>
        <Box sx={{ display: "flex", flexWrap: "wrap" }}>
          {ahead && !line.justMix && (
            <Button
              aria-label={`${line.stands === "CONFIRMED" ? "Not certain yet" : "Confirm"} ${line.name}`}
              onClick={() => void confirm(line.stands !== "CONFIRMED")}
            >
              {line.stands === "CONFIRMED" ? "Not certain yet" : "Confirm"}
            </Button>
          )}
          <Button
            aria-label={`Copy ${line.name}`}
            aria-expanded={copying}
            onClick={() => setCopying(!copying)}
          >
            Copy
          </Button>
          <Button onClick={onRemove} aria-label={`Remove ${line.name}`}>
            Remove
          </Button>
        </Box>
      </Box>
      {copying && <Copy line={line} names={names} onTrouble={onTrouble} />}
    </Box>
  );
}

/** Another one like it, with a name and a day of its own. */
function Copy({ line, names, onTrouble }: Pick<Props, "line" | "names" | "onTrouble">) {
  const navigate = useNavigate();
  const hours = useUsual().data?.usual.hours;
  const [name, setName] = useState(() => nextName(line.name, names));
  const [startsAt, setStartsAt] = useState(() => localTime(nextStart(new Date(), hours)));
  const copy = async () => {
    const whole = await ask(
      value(api.GET("/api/sessions/{id}", { params: { path: { id: line.id } } })).then((kept) =>
        api.POST("/api/sessions", {
          // Times that were moved by hand belong to the other day.
          body: { ...arranged(kept.session, { pins: [], accepted: [] }), name, startsAt },
        }),
      ),
    );
    if (whole.status === "ok") {
      void navigate(`${line.justMix ? "/mix" : "/plan"}/${whole.value.id}`);
    } else {
      onTrouble(whole.trouble);
    }
  };
  return (
    <Box
      component="form"
      aria-label={`Copy of ${line.name}`}
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void copy();
      }}
      sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start", pt: 1.25 }}
    >
      <TextField
        label="Name"
        value={name}
        onChange={(e) => setName(e.target.value)}
        sx={{ width: 280 }}
      />
      <MomentField label="Starts" value={startsAt} onChange={setStartsAt} needed width={230} />
      <Button type="submit" variant="contained">
        Make the copy
      </Button>
    </Box>
  );
}
