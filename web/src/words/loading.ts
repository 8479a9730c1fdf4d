import type { Loading, Plan } from "../api/client";
import { ordinal } from "./numbers";

export function basisText(basis: Loading["basis"]): string {
  switch (basis) {
    case "DROPS_IN_10_ML":
      return "drops in 10 mL of resin";
    case "WEIGHT_OF_MIX":
      return "by weight of the mix";
    case "WEIGHT_OF_RESIN":
      return "by weight of the resin";
    case "VOLUME_OF_MIX":
      return "by volume of the mix";
    case "VOLUME_OF_RESIN":
      return "by volume of the resin";
  }
}

export function limitText(loading: Loading): string {
  const whose = {
    SHOP_ALL: "all additives together",
    SHOP_LIQUIDS: "liquid colour",
    SHOP_DROPS: "liquid colour",
    RESIN: "what the resin takes",
    COLOURANT: "its own label",
  }[loading.whose];
  return `${whose}, ${basisText(loading.basis)}`;
}

/** Pours of one layer that a cup holds. */
export function portionText(
  plan: Plan,
  portion: { line: number; layer: number; cavities: number },
): string {
  const piece = plan.pieces[portion.line];
  const which = (piece?.layers.length ?? 1) > 1 ? `, ${ordinal(portion.layer + 1)} layer` : "";
  return `${portion.cavities} × ${piece?.mouldName ?? "mould"}${which}`;
}

/** The same where there is little room; the whole is told when it is pointed at. */
export function portionShort(
  plan: Plan,
  portion: { line: number; layer: number; cavities: number },
): string {
  const piece = plan.pieces[portion.line];
  const which = ["1st", "2nd", "3rd", "4th", "5th", "6th"][portion.layer] ?? "";
  const layer = (piece?.layers.length ?? 1) > 1 ? `, ${which}` : "";
  return `${portion.cavities} ${piece?.mouldName ?? "mould"}${layer}`;
}

/** How near a cup comes to a limit, as the limit counts. */
export function loadingText(loading: Loading): string {
  const limit = Number(loading.limitPercent.toFixed(1));
  return loading.basis === "DROPS_IN_10_ML"
    ? `${loading.percent.toFixed(1)} drops in 10 mL, limit\u00a0${limit}`
    : // Where there is little room it breaks between the two, not before a sign.
      `${loading.percent.toFixed(1)}\u00a0%\u00a0used, limit\u00a0${limit}\u00a0%`;
}
