import type { ResinView, ShelfView } from "../api/client";
import { showWith, type Units } from "../units/units";

type Doubt = ResinView["doubts"][number];

const hours = (h: number) => `${Number(h.toFixed(1))} h`;

/** What a label says against itself, in plain words, and what to do about it. */
export function labelDoubt(doubt: Doubt, units: Units): string {
  const value = doubt.value ?? 0;
  const against = doubt.against ?? 0;
  switch (doubt.kind) {
    case "RATIOS_DISAGREE":
      return `Both ratios can be right only if A is ${value.toFixed(2)} times as dense as B; ${against.toFixed(2)} is known or usual. Weigh 10 mL of each, and ask the maker of the resin.`;
    case "RATIOS_SAME_BASIS":
      return "It gives two ratios on the same basis; only one of them can be right.";
    case "BATCH_OUTLIVES_POT_LIFE":
      return `It allows ${showWith(units.MASS, value, 0)} at once, but the pot life was found with ${showWith(units.MASS, against, 0)}. A batch that large lives much shorter, and gets hot.`;
    case "STIRRING_EATS_POT_LIFE":
      return `Stirring ${value} min takes a third or more of a pot life of ${against} min.`;
    case "DEMOULD_AFTER_FULL_CURE":
      return `Demould after ${hours(value)}, yet fully cured after ${hours(against)}: one of the two is off.`;
    case "DEMOULD_BEFORE_TACK_FREE":
      return `Demould after ${hours(value)}, yet tacky until ${hours(against)}.`;
    case "TACK_FREE_WITHIN_POT_LIFE":
      return `No tack after ${value.toFixed(0)} min, within a pot life of ${against.toFixed(0)} min.`;
    case "RECOAT_AFTER_FULL_CURE":
      return `The next coat from ${hours(value)}, after full cure at ${hours(against)}.`;
    case "SLOW_YET_SOON_OUT":
      return `A pot life of ${(against * 60).toFixed(0)} min and out of the mould after ${hours(value)} do not go together. Try one piece, and wait longer.`;
    case "DEEP_FOR_ITS_KIND":
      return `Pours of ${showWith(units.LENGTH, value)} are a lot for this kind; ${showWith(units.LENGTH, against)} is usual. Deep pours of it get hot.`;
    case "FOR_EVERY_USE":
      return "“For every use”: what levels thin on a board seldom cures cool in a deep mould. Trust the figures, not the claim.";
  }
}

const TENDENCIES = { FLOATS: "floats", HOVERS: "hardly moves", SINKS: "sinks" } as const;

/** What an embed does, resin by resin where they differ. */
export function tendencyText(embed: ShelfView["embeds"][number], shelf: ShelfView): string {
  const kinds = new Set(embed.tendencies.map((t) => t.tendency));
  const [only] = kinds;
  if (!only) {
    return "";
  }
  if (kinds.size === 1) {
    return `${TENDENCIES[only]} in every resin here`;
  }
  return embed.tendencies
    .map(
      (t) =>
        `${TENDENCIES[t.tendency]} in ${shelf.resins.find((r) => r.resin.id === t.resinId)?.resin.name ?? "?"}`,
    )
    .join(", ");
}

/** What of a cup is told, not forbidden. */
export function cupText(material: string | undefined): string {
  switch (material) {
    case "WAXED_PAPER":
      return "Wax comes off into the mix: not for resin.";
    case "POLYSTYRENE":
      return "Can soften in warm resin; try one first.";
    case "POLYPROPYLENE":
    case "POLYETHYLENE":
    case "SILICONE":
      return "Cured skins peel out; use it again.";
    default:
      return "";
  }
}
