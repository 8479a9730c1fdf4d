import type { Cup, HandCup, HandLayer, Piece, Plan, Session } from "../api/client";

/** Pours of one layer that a cup holds, counted in cavities. */
export interface Portion {
  line: number;
  layer: number;
  cavities: number;
}

/** What is carried from one cup to another: one of its portions, or all of them. */
export interface Carried {
  cupId: string;
  portion: Portion | null;
}

/** The layers that are poured from a cup, in the order of the session. */
export function portions(cup: Cup): Portion[] {
  const found = new Map<string, { line: number; layer: number; cavities: Set<number> }>();
  for (const pour of cup.pours) {
    const key = `${pour.line}.${pour.layer}`;
    const portion = found.get(key) ?? { line: pour.line, layer: pour.layer, cavities: new Set() };
    portion.cavities.add(pour.cavity);
    found.set(key, portion);
  }
  return [...found.values()]
    .map((p) => ({ ...p, cavities: p.cavities.size }))
    .sort((a, b) => a.line - b.line || a.layer - b.layer);
}

export function allCups(plan: Plan): Cup[] {
  return plan.batches.flatMap((b) => b.cups);
}

function stageOf(plan: Plan, cup: Cup): number {
  return plan.batches.find((b) => b.number === cup.batch)?.stage ?? -1;
}

/** Whether a cup's pours can be carried at all: a pour in several parts is one for several cups. */
export function mayBeCarried(cup: Cup): boolean {
  return cup.pours.length > 0 && cup.pours.every((p) => p.parts === 1);
}

/** Whether something may be carried to a cup: another one, poured at the same sitting. */
export function mayGo(plan: Plan, carried: Carried, to: Cup): boolean {
  const from = allCups(plan).find((c) => c.id === carried.cupId);
  return Boolean(
    from &&
    from.id !== to.id &&
    mayBeCarried(from) &&
    mayBeCarried(to) &&
    stageOf(plan, from) === stageOf(plan, to),
  );
}

/** A cup's portions as the session keeps them: without a count where it holds the whole line. */
function kept(session: Session, all: Portion[]): HandLayer[] {
  return all.map(({ line, layer, cavities }) =>
    cavities === session.pieces?.[line]?.count ? { line, layer } : { line, layer, cavities },
  );
}

function together(a: Portion[], b: Portion[]): Portion[] {
  const sum = a.map((p) => ({ ...p }));
  for (const portion of b) {
    const same = sum.find((p) => p.line === portion.line && p.layer === portion.layer);
    if (same) {
      same.cavities += portion.cavities;
    } else {
      sum.push({ ...portion });
    }
  }
  return sum;
}

function less(a: Portion[], b: Portion[]): Portion[] {
  return a
    .map((p) => {
      const gone = b.find((q) => q.line === p.line && q.layer === p.layer);
      return gone ? { ...p, cavities: p.cavities - gone.cavities } : p;
    })
    .filter((p) => p.cavities > 0);
}

/** The session with these contents of cups fixed; a cup without anything in it is given up. */
function fix(session: Session, contents: { cup: Cup | null; holds: Portion[] }[]): Session {
  const cups: (HandCup | null)[] = [...(session.cupsByHand ?? [])];
  for (const { cup, holds } of contents) {
    const before = cup?.byHand === undefined ? undefined : cups[cup.byHand];
    const now: HandCup | null =
      holds.length === 0
        ? null
        : { ...(before?.cupId ? { cupId: before.cupId } : {}), layers: kept(session, holds) };
    if (cup?.byHand !== undefined) {
      cups[cup.byHand] = now;
    } else {
      cups.push(now);
    }
  }
  return { ...session, cupsByHand: cups.filter((c) => c !== null) };
}

/** The session with a portion, or all of a cup, carried into another cup of the same sitting. */
export function carry(session: Session, plan: Plan, carried: Carried, to: Cup): Session {
  const from = allCups(plan).find((c) => c.id === carried.cupId);
  if (!from || !mayGo(plan, carried, to)) {
    return session;
  }
  const goes = carried.portion ? [carried.portion] : portions(from);
  if (from.colour.id === to.colour.id) {
    return fix(session, [
      { cup: from, holds: less(portions(from), goes) },
      { cup: to, holds: together(portions(to), goes) },
    ]);
  }
  return recolour(session, from, goes, to);
}

/** Carried to a cup of another colour, a layer is poured in that colour. */
function recolour(session: Session, from: Cup, goes: Portion[], to: Cup): Session {
  const pieces = [...(session.pieces ?? [])];
  const moved: Portion[] = [];
  for (const portion of goes) {
    const piece = pieces[portion.line];
    if (!piece) {
      continue;
    }
    const layers: Piece["layers"] = piece.layers.map((l, i) =>
      i === portion.layer ? { ...l, colourId: to.colour.id } : l,
    );
    if (portion.cavities === piece.count) {
      pieces[portion.line] = { ...piece, layers };
      moved.push(portion);
    } else {
      // Only some of the line change colour: they become a line of their own.
      pieces[portion.line] = { ...piece, count: piece.count - portion.cavities };
      pieces.push({ ...piece, count: portion.cavities, layers });
      moved.push({ ...portion, line: pieces.length - 1 });
    }
  }
  const changed = { ...session, pieces };
  const contents: { cup: Cup; holds: Portion[] }[] = [];
  if (from.byHand !== undefined) {
    contents.push({ cup: from, holds: less(portions(from), goes) });
  }
  if (to.byHand !== undefined) {
    contents.push({ cup: to, holds: together(portions(to), moved) });
  }
  return contents.length > 0 ? fix(changed, contents) : changed;
}

/** A portion into a cup of its own; half of it where it is all that the cup holds. */
export function apart(session: Session, plan: Plan, carried: Carried): Session {
  const from = allCups(plan).find((c) => c.id === carried.cupId);
  if (!from) {
    return session;
  }
  const all = portions(from);
  const goes = carried.portion && all.length > 1 ? [carried.portion] : half(all);
  return goes.length === 0
    ? session
    : fix(session, [
        { cup: from, holds: less(all, goes) },
        { cup: null, holds: goes },
      ]);
}

/** About half of the pours: the later lines, and half of the line in between. */
function half(all: Portion[]): Portion[] {
  const total = all.reduce((sum, p) => sum + p.cavities, 0);
  let left = Math.floor(total / 2);
  const taken: Portion[] = [];
  for (const portion of [...all].reverse()) {
    const cavities = Math.min(left, portion.cavities);
    if (cavities > 0) {
      taken.unshift({ ...portion, cavities });
    }
    left -= cavities;
  }
  return taken;
}

/** The cup as it is now, in another kind of cup. */
export function inKind(session: Session, cup: Cup, cupId: string | null): Session {
  const fixed = fix(session, [{ cup, holds: portions(cup) }]);
  const at = cup.byHand ?? (fixed.cupsByHand?.length ?? 1) - 1;
  return {
    ...fixed,
    cupsByHand: (fixed.cupsByHand ?? []).map((c, i) =>
      i === at ? { layers: c.layers, ...(cupId ? { cupId } : {}) } : c,
    ),
  };
}

/** The cup left to the plan again. */
export function release(session: Session, byHand: number): Session {
  return { ...session, cupsByHand: (session.cupsByHand ?? []).filter((_, i) => i !== byHand) };
}

/** What is left of the cups when a line of pieces is taken off the board. */
export function withoutLine(cups: HandCup[], line: number): HandCup[] {
  return cups
    .map((cup) => ({
      ...cup,
      layers: cup.layers
        .filter((l) => l.line !== line)
        .map((l) => (l.line > line ? { ...l, line: l.line - 1 } : l)),
    }))
    .filter((cup) => cup.layers.length > 0);
}

/** What is left of the cups when a layer of a line is taken out. */
export function withoutLayer(cups: HandCup[], line: number, layer: number): HandCup[] {
  return cups
    .map((cup) => ({
      ...cup,
      layers: cup.layers
        .filter((l) => l.line !== line || l.layer !== layer)
        .map((l) => (l.line === line && l.layer > layer ? { ...l, layer: l.layer - 1 } : l)),
    }))
    .filter((cup) => cup.layers.length > 0);
}

/** A colour's strength in this session; 1 is as its recipe is written. */
export function withStrength(session: Session, colourId: string, factor: number): Session {
  const others = (session.strengths ?? []).filter((s) => s.colourId !== colourId);
  return {
    ...session,
    strengths: Math.abs(factor - 1) < 1e-6 ? others : [...others, { colourId, factor }],
  };
}
