import type { Fill, LayerView, PieceView } from "../api/client";

export type FillKind = "rest" | "share" | "depthMm" | "depthShare" | "volumeMl" | "massG";

export function kindOf(fill: Fill | undefined): FillKind {
  if (!fill) {
    return "rest";
  }
  return fill.share !== undefined
    ? "share"
    : fill.depthMm !== undefined
      ? "depthMm"
      : fill.depthShare !== undefined
        ? "depthShare"
        : fill.massG !== undefined
          ? "massG"
          : "volumeMl";
}

const rounded = (value: number, digits: number) => Number(value.toFixed(digits));

/** The same layer told another way, as the plan last had it; starting values before there is one. */
export function toldAs(
  kind: FillKind,
  layer: LayerView | undefined,
  piece: PieceView | null,
): Fill | undefined {
  const inside = (layer?.embeds ?? []).reduce((sum, e) => sum + e.displacesMl, 0);
  const thick = layer ? layer.toMm - layer.fromMm : 3;
  switch (kind) {
    case "rest":
      return undefined;
    case "share":
      return {
        share: layer && piece ? rounded((layer.volumeMl + inside) / piece.mouldMl, 4) : 0.5,
      };
    case "depthMm":
      return { depthMm: rounded(thick, 2) };
    case "depthShare":
      return { depthShare: piece ? rounded(thick / piece.depthMm, 4) : 0.5 };
    case "volumeMl":
      return { volumeMl: rounded(layer?.volumeMl ?? 3, 3) };
    case "massG":
      return { massG: rounded(layer?.massG ?? 3, 2) };
  }
}

/** What dragging the top of a layer means: its depth, where somebody knows how deep the mould is. */
export function dragged(layer: LayerView, piece: PieceView, toMm: number): Fill {
  const thick = Math.max(0.1, toMm - layer.fromMm);
  return piece.depthAssumed
    ? { depthShare: rounded(Math.min(1, thick / piece.depthMm), 4) }
    : { depthMm: rounded(thick, 2) };
}
