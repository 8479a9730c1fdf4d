// Every sentence of the product, to be read aloud: node bench/sentences.mjs [part of a file's name]
// What is filled in stands as one says it there (samples below, by the name of what stands in the code), where that is not known as
// {its name}; a sentence that is told one way or the other stands twice. The screens' come out of web/src, the server's out of its messages.
import { readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { join } from "node:path";

const here = new URL("..", import.meta.url).pathname;
const ts = createRequire(`${here}/web/package.json`)("typescript");
const only = process.argv[2] ?? "";

/** Two words beside each other, or a capital and a full stop: anything else is a key or a path. */
const spoken = (text) => /[A-Za-z’]{2,}[ ,.;:]+[A-Za-z0-9{’]{1,}/.test(text) && !/^[\w./@-]+$/.test(text);
/** What is style or address, by what it stands in. */
const UNSPOKEN = /^(sx|path|d|href|key|gridTemplateColumns|gridTemplateRows|gridColumn|transform|transition|strokeDasharray|fontFamily|boxShadow|border|fieldSizing|flex|background)$/;

function files(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((f) =>
    f.isDirectory()
      ? files(join(folder, f.name))
      : /\.tsx?$/.test(f.name) && !/\.test\.|schema\.ts$/.test(f.name)
        ? [join(folder, f.name)]
        : [],
  );
}

/** What stands in a sentence, by what it is worked out with. */
const BY_CALL = {
  capital: (call) => sentenceCase(fill(call.arguments[0])),
  showWith: (call) => BY_UNIT[/\w+$/.exec(call.arguments[0].getText())[0]] ?? "12.4 g",
  toFixed: () => "12.4", toPrecision: () => "12.4", round: () => "12", floor: () => "12", abs: () => "12", min: () => "12",
  span: () => "25 min", minutes: () => "25 min", time: () => "25 min", long: () => "25 min", hours: () => "9 h", f: () => "25 min",
  clock: () => "20:40", clockTime: () => "20:40", when: () => "20:40", whenText: () => "at 20:40", dayAndTime: () => "Sun 6 Dec, 20:40",
  day: () => "Sun 6 Dec", dayOf: () => "Sun 6 Dec", dayName: () => "Sunday",
  measured: () => "12.4 g", mass: () => "12.4 g", grams: () => "12.4 g", amountOf: () => "12.4 g", figure: () => "12.4 g", ml: () => "16.2 mL",
  join: () => "Lichen, Harbour", list: () => "Lichen and Harbour", at: () => "Harbour", toLowerCase: (call) => fill(call.expression.expression),
  ofCup: () => "of the Harbour cup", cupName: () => "the Harbour cup", ordinal: () => "second", countWord: () => "three", two: () => "07",
  name: () => "Knob 32", cavityName: () => "Knob 32", otherName: () => "Knobs for the hall", pourPlace: () => "Harbour into Knob 32",
  pieces: () => "3 pieces", pours: () => "3 pours", batches: () => "2 batches", evenings: () => "4 evenings", state: () => "thick", peak: () => "62 °C",
  faultWords: () => "bubbles", spotWords: () => "at the rim", part: () => "part A", chance: () => "97 %", percent: () => "6", c: () => "21 °C",
  loadingText: () => "0.7 % used, limit 10 %", lookText: () => "no bubbles stand still", counted: () => "3 pieces", off: () => "6 % slower",
};
const BY_UNIT = {
  VOLUME: "16.2 mL", MASS: "12.4 g", LENGTH: "8 mm", TEMPERATURE: "21 °C", TEMPERATURE_DIFFERENCE: "2 °C", PRESSURE: "2.8 bar", AREA: "120 cm²",
};
const BY_NAME = {
  name: "Knob 32", mouldName: "Knob 32", cavity: "Knob 32", colourName: "Harbour", colourantName: "Blue paste", title: "Knobs for the hall",
  words: "Knob 32", what: "Knob 32", which: "Harbour", of: "Harbour", value: "12.4", limit: "10", number: "2", batch: "2", count: "3", pieces: "3", n: "3",
  length: "3", places: "3", i: "2", line: "2", layer: "2", by: "2.0 g", at: "20:40", until: "20:40", day: "Sun 6 Dec", lasts: "25 min", part: "A",
  cup: "Harbour", first: "Harbour", one: "Harbour", much: "2.0 g", mass: "12.4 g", symbol: "g", unit: "g", tolerancePercent: "2", message: "Enter a number.",
  counted: "3 pieces", said: "6 % slower", off: "6 % slower", withUnit: "12.4 g", difference: "2 °C", against: "12.4 g", share: "6 %", left: "2.0 g",
  resinName: "slow casting resin 2:1", within: "25 min", secondsText: "25 min", piece: "Knob 32", partsA: "2", partsB: "1", minutes: "25", limitText: "10 %",
  doseWords: "8 drops", short: "2.0 g", several: "3", pressure: "2.8 bar", parts: "3", many: "3", kept: "3", good: "3", gone: "3", lost: "3", cavities: "3 cavities",
  who: "Wren", mould: "Knob 32", more: "2.0 g", most: "12.4 g", total: "143 mL", second: "Lichen", side: "left", other: "Knobs for the hall", wanted: "95 %",
  basis: "by weight", mix: "the mix", to: "30 min", size: "25 mm", steps: "3 steps", spoilt: "3", untold: "3", unseen: "3", unsure: "3", key: "Begin",
  text: "…", children: "…", evenings: "4", looks: "12", from: "20:40", label: "Pot life", place: "Harbour into Knob 32", figure: "12.4 g",
};
const sentenceCase = (text) => text.charAt(0).toUpperCase() + text.slice(1);

/** Which side of what may be said either way is being told. */
let otherwise = false;
/** Whether something of the sentence may be said otherwise. */
let either = false;

/** What an expression reads as. */
function fill(node) {
  if (node === undefined) {
    return "";
  }
  if (ts.isParenthesizedExpression(node) || ts.isNonNullExpression(node) || ts.isAsExpression(node) || (ts.isJsxExpression(node) && node.expression)) {
    return fill(node.expression);
  }
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
    return node.text;
  }
  if (ts.isNumericLiteral(node)) {
    return node.text;
  }
  if (ts.isTemplateExpression(node)) {
    return node.head.text + node.templateSpans.map((s) => fill(s.expression) + s.literal.text).join("");
  }
  if (ts.isConditionalExpression(node)) {
    either = true;
    return fill(otherwise ? node.whenFalse : node.whenTrue);
  }
  if (ts.isBinaryExpression(node)) {
    const sign = node.operatorToken.kind;
    if (sign === ts.SyntaxKind.AmpersandAmpersandToken) {
      either = true;
      return otherwise ? "" : fill(node.right);
    }
    if (sign === ts.SyntaxKind.PlusToken && /["`]/.test(node.getText())) {
      return fill(node.left) + fill(node.right);
    }
    return /^[?|]/.test(node.operatorToken.getText()) ? fill(node.left) : "12";
  }
  if (ts.isCallExpression(node)) {
    const called = /\w+$/.exec(node.expression.getText())?.[0] ?? "";
    return BY_CALL[called]?.(node) ?? `{${called}}`;
  }
  if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
    return node.children.map((c) => (ts.isJsxText(c) ? c.text : fill(c))).join("");
  }
  if (ts.isJsxSelfClosingElement(node) || ts.isJsxExpression(node) || node.kind === ts.SyntaxKind.NullKeyword) {
    return "";
  }
  const named = /\w+$/.exec(node.getText())?.[0] ?? "";
  return BY_NAME[named] ?? `{${named}}`;
}

/** A sentence, and how it reads where it says the other thing. */
function both(node) {
  either = false;
  otherwise = false;
  const said = [fill(node)];
  if (either) {
    otherwise = true;
    said.push(fill(node));
  }
  return said.map((s) => s.replace(/\s+/g, " ").trim());
}

function sentences(file) {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const found = [];
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) {
      return;
    }
    const name = node.name ?? node.parent?.name;
    if ((ts.isJsxAttribute(node) || ts.isPropertyAssignment(node)) && UNSPOKEN.test(name.getText())) {
      return;
    }
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      found.push(node.text);
    } else if (ts.isTemplateExpression(node)) {
      found.push(...both(node));
      node.templateSpans.forEach((s) => visit(s.expression));
      return;
    } else if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      if (node.children.some((c) => ts.isJsxText(c) && c.text.trim() !== "")) {
        found.push(...both(node));
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.filter(spoken);
}

const print = (name, all) => {
  const once = [...new Set(all)];
  if (once.length > 0 && name.includes(only)) {
    process.stdout.write(`\n${name}\n${once.map((s) => `  ${s}`).join("\n")}\n`);
  }
};

for (const file of files(join(here, "web/src")).sort()) {
  print(file.slice(file.indexOf("web/src/")), sentences(file));
}
// The server's stand in Java, some over several lines.
const server = join(here, "app/src/main/java/calmpour/app");
for (const file of ["format/Messages.java", "format/MeshMessages.java", "api/Problems.java", "api/Gate.java"]) {
  const text = readFileSync(join(server, file), "utf8").replace(/"\s*\+\s*"/g, "");
  print(file, [...text.matchAll(/"((?:[^"\\]|\\.)*)"/g)].map((m) => m[1].replace(/%[\d.,]*[sdf]/g, "12")).filter(spoken));
}
