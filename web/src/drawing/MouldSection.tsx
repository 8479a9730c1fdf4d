import type { PieceView } from "../api/client";
import { CavitySection, type Spot } from "./CavitySection";
import type { BoardScale } from "./boardScale";

/** A mould of the plan in section, with its layers as they are poured. */
export function MouldSection({
  piece,
  scale,
  spots,
  onSpot,
}: {
  piece: PieceView;
  scale: BoardScale;
  spots?: Spot[];
  onSpot?: (acrossPercent: number, upPercent: number) => void;
}) {
  const words = piece.layers
    .map((l) => `${named(l)} from ${l.fromMm.toFixed(0)} to ${l.toMm.toFixed(0)} mm`)
    .join(", ");
  return (
    <CavitySection
      section={piece.section}
      pxPerMm={scale.pxPerMm}
      heights={scale.heights}
      assumed={piece.depthAssumed}
      bands={piece.layers.map((layer, i) => ({
        fromMm: layer.fromMm,
        toMm: layer.toMm,
        fill: layer.swatch,
        ...(layer.colours.length > 1
          ? { beside: layer.colours.map((c) => ({ fill: c.swatch, share: c.share })) }
          : {}),
        // A layer that waits is set off by a line; one poured into the other is not.
        apart: i > 0 && layer.stage > (piece.layers[i - 1]?.stage ?? 0),
      }))}
      {...(spots ? { spots } : {})}
      {...(onSpot ? { onSpot } : {})}
      label={`${piece.mouldName} in section: ${words}${spotWords(spots)}`}
    />
  );
}

function spotWords(spots: Spot[] = []): string {
  return spots.length === 0 ? "" : `; marked: ${spots.map((s) => s.words).join(", ")}`;
}

/** A layer's colours by name: several lie side by side. */
function named(layer: PieceView["layers"][number]): string {
  return layer.colours.length > 1
    ? layer.colours.map((c) => c.colourName).join(" beside ")
    : layer.colourName;
}
