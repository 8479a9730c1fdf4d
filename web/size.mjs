/**
 * What the first screen weighs: the scripts that have to be there before a plan is seen, gzipped.
 * The build fails where they are more than agreed.
 */
import { readFileSync } from "node:fs";
import { gzipSync } from "node:zlib";

/** kB; decision 36 says what of it is frameworks. */
const MOST = 180;

const dist = process.argv[2] ?? "dist";
const manifest = JSON.parse(readFileSync(`${dist}/.vite/manifest.json`, "utf8"));
const needed = new Set();
const need = (key) => {
  if (!needed.has(key)) {
    needed.add(key);
    (manifest[key].imports ?? []).forEach(need);
  }
};
need("index.html");
need("src/plan/PlanScreen.tsx");
const sizes = [...needed]
  .map((key) => manifest[key].file)
  .filter((file) => file.endsWith(".js"))
  .map((file) => ({ file, kB: gzipSync(readFileSync(`${dist}/${file}`)).length / 1000 }))
  .sort((a, b) => b.kB - a.kB);
const sum = sizes.reduce((all, { kB }) => all + kB, 0);
if (process.argv.includes("--all")) {
  sizes.forEach(({ file, kB }) => process.stdout.write(`${kB.toFixed(1).padStart(6)} ${file}\n`));
}
process.stdout.write(
  `Scripts of the first screen: ${sum.toFixed(1)} kB gzipped (at most ${MOST})\n`,
);
process.exitCode = sum > MOST ? 1 : 0;
