import { UNSEEN } from "./unseen";
import type { ReactNode } from "react";
import {
  type Answer,
  api,
  ask,
  type Colour,
  type Colourant,
  type CupKind,
  type Design,
  type Embed,
  type Resin,
  type ResinPart,
  type ShelfView,
  type Tool,
  type Workshop,
} from "../api/client";
import { CupDrawing } from "../drawing/CupDrawing";
import { newId } from "../moulds/newMould";
import { showWith, type Units } from "../units/units";
import { tendencyText } from "../words/shelf";
import { Bottle, EmbedAtRest, Jar, Patch, StackOfLayers, ToolDrawing } from "./drawings";

/** How a material is drawn while nobody has said how it looks. */

export interface Material {
  id: string;
  name: string;
}

export interface Item<T extends Material> {
  value: T;
  drawing: ReactNode;
  line: string;
  /** Something to look at. */
  doubt?: string;
}

/** One board of the shelf: what stands there, how one is kept, how a new one begins. */
export interface Kind<T extends Material> {
  key: string;
  title: string;
  one: string;
  items: (shelf: ShelfView, units: Units) => Item<T>[];
  fromDemo: (demo: Workshop) => T[];
  begin: () => T;
  put: (value: T) => Promise<Answer<unknown>>;
  remove: (id: string) => Promise<Answer<unknown>>;
}

const path = (id: string) => ({ params: { path: { id } } });

export const RESINS: Kind<Resin> = {
  key: "resins",
  title: "Resins",
  one: "resin",
  items: (shelf) =>
    shelf.resins.map((r) => ({
      value: r.resin,
      drawing: (
        <>
          <Bottle share={left(shelf, r.resin.partAId)} letter="A" label="Part A" />
          <Bottle share={left(shelf, r.resin.partBId)} letter="B" label="Part B" />
        </>
      ),
      line: `${r.resin.ratio.partsA}:${r.resin.ratio.partsB} by ${r.resin.ratio.basis.toLowerCase()}, ${r.potLifeMinutes.value} min${r.potLifeMinutes.origin === "ASSUMED" ? " assumed" : ""}`,
      ...(r.doubts.length > 0
        ? {
            doubt:
              r.doubts.length === 1
                ? "its label: one doubt"
                : `its label: ${r.doubts.length} doubts`,
          }
        : {}),
    })),
  fromDemo: (demo) => (demo.resins ?? []).map(alone),
  begin: () => ({
    id: newId("resin"),
    name: "",
    kind: "CASTING",
    ratio: { partsA: 2, partsB: 1, basis: "WEIGHT" },
  }),
  put: (value) => ask(api.PUT("/api/resins/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/resins/{id}", path(id))),
};

/** A system without the bottles of another workshop. */
function alone(resin: Resin): Resin {
  return Object.fromEntries(
    Object.entries(resin).filter(([key]) => key !== "partAId" && key !== "partBId"),
  ) as Resin;
}

/** Share of what was bought that is left, over all lots; null when nobody noted it. */
function left(shelf: ShelfView, partId: string | undefined): number | null {
  const lots = shelf.parts.find((p) => p.id === partId)?.lots ?? [];
  const known = lots.filter((l) => l.leftG !== undefined && l.boughtG !== undefined);
  const bought = known.reduce((sum, l) => sum + (l.boughtG ?? 0), 0);
  return bought === 0 ? null : known.reduce((sum, l) => sum + (l.leftG ?? 0), 0) / bought;
}

export const PARTS: Kind<ResinPart> = {
  key: "bottles",
  title: "Bottles",
  one: "bottle",
  items: (shelf, units) =>
    shelf.parts.map((p) => ({
      value: p,
      drawing: <Bottle share={left(shelf, p.id)} letter={p.side} label={`Part ${p.side}`} />,
      line: (p.lots ?? []).some((l) => l.leftG !== undefined)
        ? `${showWith(
            units.MASS,
            (p.lots ?? []).reduce((sum, l) => sum + (l.leftG ?? 0), 0),
            0,
          )} left`
        : "what is left is not known",
    })),
  fromDemo: (demo) => demo.parts ?? [],
  begin: () => ({ id: newId("part"), name: "", side: "A", lots: [] }),
  put: (value) => ask(api.PUT("/api/parts/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/parts/{id}", path(id))),
};

const LIQUID = new Set(["LIQUID_TINT", "ALCOHOL_INK", "ACRYLIC_PAINT"]);

export function liquid(colourant: Colourant): boolean {
  return LIQUID.has(colourant.form);
}

export const COLOURANTS: Kind<Colourant> = {
  key: "colourants",
  title: "Colourants",
  one: "colourant",
  items: (shelf) =>
    shelf.colourants.map((c) => ({
      value: c.colourant,
      drawing: (
        <Jar
          swatch={c.colourant.swatch}
          dropper={liquid(c.colourant)}
          label={`Jar of ${c.colourant.name}`}
        />
      ),
      line: `${(c.each.value * 1000).toFixed(0)} mg a ${liquid(c.colourant) ? "drop" : "scoop"}${
        c.each.origin === "ASSUMED"
          ? ", assumed"
          : c.spread === undefined
            ? ""
            : ` ± ${(c.spread * 100).toFixed(0)} %`
      }`,
    })),
  fromDemo: (demo) => demo.colourants ?? [],
  begin: () => ({ id: newId("colourant"), name: "", form: "LIQUID_TINT", swatch: UNSEEN }),
  put: (value) => ask(api.PUT("/api/colourants/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/colourants/{id}", path(id))),
};

export const COLOURS: Kind<Colour> = {
  key: "colours",
  title: "Colours",
  one: "colour",
  items: (shelf) =>
    shelf.colours.map((c) => ({
      value: c,
      drawing: <Patch swatch={c.swatch} label={`Patch of ${c.name}`} />,
      line:
        c.recipe.length === 0
          ? "resin as it is"
          : c.recipe
              .map((part) => {
                const jar = shelf.colourants.find((k) => k.colourant.id === part.colourantId);
                const name = jar?.colourant.name ?? "of a jar that is gone";
                return c.strengthPercent === undefined
                  ? `${part.percentOfMix} % ${name}`
                  : `${part.parts} ${part.parts === 1 ? "part" : "parts"} ${name}`;
              })
              .join(", ") +
            (c.strengthPercent === undefined ? "" : `; ${c.strengthPercent} % in all`),
    })),
  fromDemo: (demo) => (demo.colours ?? []).filter((c) => c.recipe.length > 0),
  begin: () => ({ id: newId("colour"), name: "", swatch: UNSEEN, recipe: [] }),
  put: (value) => ask(api.PUT("/api/colours/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/colours/{id}", path(id))),
};

export const EMBEDS: Kind<Embed> = {
  key: "embeds",
  title: "Embeds",
  one: "embed",
  items: (shelf) =>
    shelf.embeds.map((e) => ({
      value: e.embed,
      drawing: (
        <EmbedAtRest tendency={e.tendencies[0]?.tendency} label={`${e.embed.name} at rest`} />
      ),
      line: `${e.density.toFixed(2)} g/mL${e.tendencies.length > 0 ? `; ${tendencyText(e, shelf)}` : ""}`,
      ...(e.embed.dry === false ? { doubt: "not dry yet" } : {}),
    })),
  fromDemo: (demo) => demo.embeds ?? [],
  begin: () => ({ id: newId("embed"), name: "", massG: 1, volumeMl: 1 }),
  put: (value) => ask(api.PUT("/api/embeds/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/embeds/{id}", path(id))),
};

export const CUPS: Kind<CupKind> = {
  key: "cups",
  title: "Cups",
  one: "cup",
  items: (shelf, units) =>
    shelf.cups.map((c) => ({
      value: c.cup,
      drawing: (
        <CupDrawing
          kind={c.cup}
          levels={[]}
          pxPerMm={Math.min(0.95, 84 / c.cup.heightMm)}
          label={`${c.cup.name} in section`}
        />
      ),
      line: `${showWith(units.VOLUME, c.capacityMl, 0)} to the brim`,
      ...(c.cup.material === "WAXED_PAPER" ? { doubt: "waxed" } : {}),
    })),
  fromDemo: (demo) => demo.cups ?? [],
  begin: () => ({
    id: newId("cup"),
    name: "",
    use: "COLOUR",
    bottomWidthMm: 44,
    topWidthMm: 60,
    heightMm: 50,
  }),
  put: (value) => ask(api.PUT("/api/cups/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/cups/{id}", path(id))),
};

const TOOL_WORDS: Record<Tool["kind"], string> = {
  PRESSURE_POT: "pressure pot",
  HOT_BOX: "warm box",
  LAMP: "lamp",
  BOARD: "level board",
};

export const TOOLS: Kind<Tool> = {
  key: "tools",
  title: "Tools",
  one: "tool",
  items: (shelf, units) =>
    shelf.tools.map((tool) => ({
      value: tool,
      drawing: <ToolDrawing kind={tool.kind} label={tool.name} />,
      line: [
        TOOL_WORDS[tool.kind],
        tool.holds === undefined ? "" : `for ${tool.holds} pieces`,
        tool.temperatureC === undefined ? "" : showWith(units.TEMPERATURE, tool.temperatureC, 0),
        tool.workKPa === undefined ? "" : `set to ${showWith(units.PRESSURE, tool.workKPa)}`,
        tool.ratedKPa === undefined ? "" : `rated for ${showWith(units.PRESSURE, tool.ratedKPa)}`,
      ]
        .filter(Boolean)
        .join(", "),
      ...(tool.kind === "PRESSURE_POT" && tool.ratedKPa === undefined
        ? { doubt: "what is it rated for?" }
        : {}),
    })),
  fromDemo: (demo) => demo.tools ?? [],
  begin: () => ({ id: newId("tool"), name: "", kind: "PRESSURE_POT" }),
  put: (value) => ask(api.PUT("/api/tools/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/tools/{id}", path(id))),
};

export const DESIGNS: Kind<Design> = {
  key: "designs",
  title: "Designs",
  one: "design",
  items: (shelf) =>
    shelf.designs.map((design) => ({
      value: design,
      drawing: (
        <StackOfLayers
          label={`${design.name}, its layers`}
          layers={design.layers.map((layer) => ({
            swatch: shelf.colours.find((c) => c.id === layer.colourId)?.swatch ?? "#dde6e4",
            share: layer.fill?.depthShare,
          }))}
        />
      ),
      line: `${design.layers.length} ${design.layers.length === 1 ? "layer" : "layers"}`,
    })),
  fromDemo: () => [],
  begin: () => ({
    id: newId("design"),
    name: "",
    layers: [{ colourId: "clear", join: "TOGETHER" }],
  }),
  put: (value) => ask(api.PUT("/api/designs/{id}", { ...path(value.id), body: value })),
  remove: (id) => ask(api.DELETE("/api/designs/{id}", path(id))),
};
