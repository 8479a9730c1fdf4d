import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Cup, Plan, Session, Workshop } from "../../api/client";
import { LookSwatches, lookText } from "../../drawing/LookSwatches";
import {
  allCups,
  apart,
  type Carried,
  carry,
  inKind,
  mayBeCarried,
  mayGo,
  portions,
  release,
  withStrength,
} from "../../session/cupsByHand";
import { useUnits } from "../../units/UnitsProvider";
import { showWith } from "../../units/units";
import { limitText, loadingText, portionText } from "../../words/loading";
import { measured, measureOfCup } from "../../words/measured";
import { cupName } from "../../words/places";
import { ofCup } from "../../session/place";
import { minutes, minutesGiven } from "../../words/time";
import { Fig } from "../how/How";
import { BesideCup } from "./BesideCup";
import { CupRecipe } from "./CupRecipe";
import { CupStates } from "../how/States";

interface Props {
  cup: Cup;
  plan: Plan;
  session: Session;
  shelf: Required<Workshop>;
  startsAt: Date;
  zoneId: string;
  onEdit: (session: Session) => void;
  onClose: () => void;
}

/** One cup, opened in place: how strong, how it will look, what is poured from it and where else. */
export function CupPanel(props: Props) {
  const { cup, plan, session, shelf, startsAt, zoneId, onEdit, onClose } = props;
  const units = useUnits();
  const row = { display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" } as const;
  const held = session.cupsByHand?.[cup.byHand ?? -1];
  return (
    <Box
      component="section"
      aria-label={`The ${cupName(allCups(plan), cup)} cup`}
      sx={{ borderTop: 1, borderColor: "divider", mt: 1.5, pt: 1.5, display: "grid", gap: 1.5 }}
    >
      <Box sx={{ ...row, justifyContent: "space-between" }}>
        <Box sx={{ fontWeight: 700, fontSize: "1.1rem" }}>
          {cupName(allCups(plan), cup)},{" "}
          {measured(units, measureOfCup(plan, cup), cup.amounts.contentG)} in{" "}
          {cup.kind.name.charAt(0).toLowerCase() + cup.kind.name.slice(1)}
        </Box>
        <Box sx={row}>
          {cup.byHand !== undefined && (
            <Button variant="outlined" onClick={() => onEdit(release(session, cup.byHand ?? -1))}>
              Release this cup
            </Button>
          )}
          <Button onClick={onClose}>Done</Button>
        </Box>
      </Box>
      {cup.byHand !== undefined && (
        <Box sx={{ color: "text.secondary" }}>
          Put together by hand: it stays as it is, whatever else is planned anew, until it is
          released.
        </Box>
      )}
      <CupStates cup={cup} startsAt={startsAt} zoneId={zoneId} />
      <PotLife {...props} />
      <CupRecipe key={cup.colour.id} cup={cup} session={session} shelf={shelf} onEdit={onEdit} />
      <Strength cup={cup} session={session} onEdit={onEdit} />
      <LookLine cup={cup} />
      <BesideCup key={`beside ${cup.id}`} cup={cup} plan={plan} />
      <Moves cup={cup} plan={plan} session={session} onEdit={onEdit} />
      {mayBeCarried(cup) && (
        <TextField
          select
          label="Kind of cup"
          value={held?.cupId ?? ""}
          onChange={(e) => onEdit(inKind(session, cup, e.target.value || null))}
          sx={{ maxWidth: 320 }}
          slotProps={{ select: { displayEmpty: true } }}
        >
          <MenuItem value="">whichever fits best</MenuItem>
          {shelf.cups.map((c) => (
            <MenuItem key={c.id} value={c.id}>
              {c.name}
            </MenuItem>
          ))}
        </TextField>
      )}
    </Box>
  );
}

/** What the label promises beside what this cup gives: a smaller or warmer one is another matter. */
function PotLife({ cup, plan, session, shelf }: Props) {
  const units = useUnits();
  const batch = plan.batches.find((b) => b.cups.some((c) => c.id === cup.id));
  const resin = shelf.resins.find((r) => r.id === (batch?.resinId ?? session.resinId));
  if (!batch || resin?.potLifeMinutes === undefined) {
    return null;
  }
  const here = (cup.times.thickensSeconds - batch.times.contactSeconds) / 60;
  const own = resin.own?.fluid;
  const of =
    resin.potLifeMassG === undefined ? "" : ` for ${showWith(units.MASS, resin.potLifeMassG, 0)}`;
  return (
    <Box sx={{ color: "text.secondary" }}>
      Pot life: {minutesGiven(resin.potLifeMinutes)} on the label{of}
      {own && `, ${minutes(resin.potLifeMinutes * own.times)} learned`}; about{" "}
      <Fig of={`${ofCup(cup.id)}/workingTimeMinutes`} what={`Working time of ${cup.colour.name}`}>
        {minutes(here)}
      </Fig>{" "}
      in this cup with {showWith(units.MASS, cup.amounts.contentG, 0)}, in this room.
    </Box>
  );
}

/** Stronger and weaker, a drop or a quarter scoop at a time; at a limit it says which one. */
function Strength({
  cup,
  session,
  onEdit,
}: {
  cup: Cup;
  session: Session;
  onEdit: (session: Session) => void;
}) {
  const { strength } = cup.tint;
  if (!strength) {
    return null;
  }
  const { weaker, stronger, stoppedBy, factor } = strength;
  const set = (to: number) => onEdit(withStrength(session, cup.colour.id, to));
  return (
    <Box>
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          disabled={weaker === undefined}
          onClick={() => weaker !== undefined && set(weaker)}
        >
          Weaker
        </Button>
        <Box aria-live="polite" sx={{ minWidth: 120, textAlign: "center" }}>
          <b>
            {Math.abs(factor - 1) < 1e-6
              ? "as its recipe"
              : `${Math.round(factor * 100)} % of the recipe`}
          </b>
        </Box>
        <Button
          variant="outlined"
          disabled={stronger === undefined}
          onClick={() => stronger !== undefined && set(stronger)}
        >
          Stronger
        </Button>
        {Math.abs(factor - 1) >= 1e-6 && <Button onClick={() => set(1)}>As its recipe</Button>}
      </Box>
      {stoppedBy && (
        <Box sx={{ color: stronger === undefined ? "error.main" : "text.secondary", mt: 0.5 }}>
          {stronger === undefined ? "No stronger: at the limit for " : "The first limit it meets: "}
          {limitText(stoppedBy)}, {loadingText(stoppedBy)}.
        </Box>
      )}
      <Box sx={{ color: "text.secondary", mt: 0.5 }}>
        All its colour together: {cup.tint.inAll.weightOfMix.toFixed(2)} % by weight of the mix,{" "}
        {cup.tint.inAll.weightOfResin.toFixed(2)} % of the resin;{" "}
        {cup.tint.inAll.volumeOfMix.toFixed(2)} % by bulk volume of the mix,{" "}
        {cup.tint.inAll.volumeOfResin.toFixed(2)} % of the resin.
        {cup.tint.waterPercent > 0 && ` Water ${cup.tint.waterPercent.toFixed(1)} %.`}
        {cup.tint.solventPercent > 0 && ` Solvent ${cup.tint.solventPercent.toFixed(1)} %.`}
      </Box>
    </Box>
  );
}

function LookLine({ cup }: { cup: Cup }) {
  const units = useUnits();
  if (!cup.tint.look || cup.tint.doses.length === 0) {
    return null;
  }
  return (
    <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
      <LookSwatches look={cup.tint.look} size={44} />
      <Box sx={{ flex: "1 1 260px" }}>
        In {showWith(units.LENGTH, cup.tint.look.thicknessMm, 1)}, its thinnest layer, it{" "}
        {lookText(cup.tint.look)}: on a white card, on a black one
        {cup.tint.look.overBelow === undefined ? "." : ", on the layer below."}
        {cup.tint.look.guess &&
          " Enter cured chips on white and on black with the jar on the shelf, and it is measured."}
      </Box>
    </Box>
  );
}

/** What is poured from the cup, and where else each part of it could go. */
function Moves({
  cup,
  plan,
  session,
  onEdit,
}: {
  cup: Cup;
  plan: Plan;
  session: Session;
  onEdit: (session: Session) => void;
}) {
  if (!mayBeCarried(cup)) {
    return null;
  }
  const all = portions(cup);
  const only = all.length === 1 && all[0]?.cavities === 1;
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      {all.map((portion) => (
        <Box
          key={`${portion.line}.${portion.layer}`}
          sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}
        >
          <Box sx={{ flex: "1 1 180px" }}>{portionText(plan, portion)}</Box>
          <MoveMenu
            words={`Move to… ${portionText(plan, portion)}`}
            label="Move to…"
            carried={{ cupId: cup.id, portion }}
            {...{ plan, session, onEdit }}
          />
        </Box>
      ))}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          disabled={only}
          onClick={() => onEdit(apart(session, plan, { cupId: cup.id, portion: null }))}
        >
          Split in two
        </Button>
        <MoveMenu
          words={`Put together with… the ${cupName(allCups(plan), cup)} cup`}
          label="Put together with…"
          carried={{ cupId: cup.id, portion: null }}
          {...{ plan, session, onEdit }}
        />
      </Box>
    </Box>
  );
}

function MoveMenu({
  words,
  label,
  carried,
  plan,
  session,
  onEdit,
}: {
  words: string;
  label: string;
  carried: Carried;
  plan: Plan;
  session: Session;
  onEdit: (session: Session) => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const from = allCups(plan).find((c) => c.id === carried.cupId);
  const targets = allCups(plan).filter(
    (c) => mayGo(plan, carried, c) && (carried.portion || c.colour.id === from?.colour.id),
  );
  const choose = (next: Session) => {
    setAnchor(null);
    onEdit(next);
  };
  return (
    <>
      <Button
        aria-label={words}
        aria-haspopup="menu"
        disabled={targets.length === 0 && !carried.portion}
        onClick={(e) => setAnchor(e.currentTarget)}
      >
        {label}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {targets.map((to) => (
          <MenuItem key={to.id} onClick={() => choose(carry(session, plan, carried, to))}>
            {to.colour.id === from?.colour.id
              ? `the ${cupName(allCups(plan), to)} cup, ${to.kind.name}`
              : `the ${to.colour.name} cup: poured in ${to.colour.name} then`}
          </MenuItem>
        ))}
        {carried.portion && (
          <MenuItem onClick={() => choose(apart(session, plan, carried))}>
            a cup of its own
          </MenuItem>
        )}
      </Menu>
    </>
  );
}
