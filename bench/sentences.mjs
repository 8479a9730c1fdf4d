// Every sentence of the product, to be read aloud: node bench/sentences.mjs [part of a file's name]
// What is filled in stands as {…}; the screens' come out of web/src, the server's out of its messages.
import { readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { join } from "node:path";

const here = new URL("..", import.meta.url).pathname;
const ts = createRequire(`${here}/web/package.json`)("typescript");
const only = process.argv[2] ?? "";

/** Two words beside each other, or a capital and a full stop: anything else is a key or a path. */
const spoken = (text) => /[A-Za-z’]{2,}[ ,.;:]+[A-Za-z{’]{1,}/.test(text) && !/^[\w./@-]+$/.test(text);
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
      found.push(node.head.text + node.templateSpans.map((s) => `{…}${s.literal.text}`).join(""));
      node.templateSpans.forEach((s) => visit(s.expression));
      return;
    } else if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      const words = node.children.map((c) => (ts.isJsxText(c) ? c.text : "{…}")).join("");
      if (node.children.some((c) => ts.isJsxText(c) && c.text.trim() !== "")) {
        found.push(words.replace(/\s+/g, " ").trim());
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
  print(file, [...text.matchAll(/"((?:[^"\\]|\\.)*)"/g)].map((m) => m[1]).filter(spoken));
}
