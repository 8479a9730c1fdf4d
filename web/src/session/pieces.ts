import type { Mould, Piece, Session } from "../api/client";
import { withoutLayer, withoutLine } from "./cupsByHand";

/** A session with other lines on its board. */
export function withPieces(session: Session, pieces: Piece[]): Session {
  return { ...session, pieces };
}

export function withPiece(session: Session, line: number, piece: Piece): Session {
  return withPieces(
    session,
    (session.pieces ?? []).map((p, i) => (i === line ? piece : p)),
  );
}

/** A tray is filled whole: each of its kinds of cavity is a line of its own. */
export function withMould(session: Session, mouldId: string, mould: Mould | undefined, of: number) {
  const cavities = mould?.cavities ?? [];
  const layers: Piece["layers"] = [{ colourId: "clear", join: "TOGETHER" }];
  const lines: Piece[] =
    cavities.length > 1
      ? cavities.map((c) => ({ mouldId, cavityId: c.id, count: of * c.count, layers }))
      : [{ mouldId, count: of * (cavities[0]?.count ?? 1), layers }];
  return withPieces(session, [...(session.pieces ?? []), ...lines]);
}

export function withoutPiece(session: Session, line: number): Session {
  return {
    ...session,
    pieces: (session.pieces ?? []).filter((_, i) => i !== line),
    cupsByHand: withoutLine(session.cupsByHand ?? [], line),
  };
}

export function withoutPieceLayer(session: Session, line: number, layer: number): Session {
  return {
    ...session,
    pieces: (session.pieces ?? []).map((p, i) =>
      i === line ? { ...p, layers: p.layers.filter((_, l) => l !== layer) } : p,
    ),
    cupsByHand: withoutLayer(session.cupsByHand ?? [], line, layer),
  };
}

/** The session carries this mould along itself from now on. */
export function carrying(session: Session, mould: Mould): Session {
  return {
    ...session,
    carried: { ...session.carried, moulds: [...(session.carried?.moulds ?? []), mould] },
  };
}

/** Cavities of a tray that nothing is poured into. */
export interface EmptyCavities {
  mouldId: string;
  cavityId: string;
  mould: string;
  cavity: string;
  count: number;
}

/** What stays empty in trays that are filled in part: as many trays as their fullest cavity needs. */
export function emptyCavities(session: Session, moulds: readonly Mould[]): EmptyCavities[] {
  const pieces = session.pieces ?? [];
  return moulds
    .filter((m) => m.cavities.length > 1 && pieces.some((p) => p.mouldId === m.id))
    .flatMap((mould) => {
      const filled = (cavityId: string) =>
        pieces
          .filter((p) => p.mouldId === mould.id)
          .filter((p) => (p.cavityId ?? mould.cavities[0]?.id) === cavityId)
          .reduce((sum, p) => sum + p.count, 0);
      const trays = Math.max(...mould.cavities.map((c) => Math.ceil(filled(c.id) / c.count)));
      return mould.cavities
        .map((c) => ({
          mouldId: mould.id,
          cavityId: c.id,
          mould: mould.name,
          cavity: c.name,
          count: trays * c.count - filled(c.id),
        }))
        .filter((e) => e.count > 0);
    });
}
