#!/usr/bin/env node
// Whether two checkouts plan alike: the same seeded sessions and all cases are sent to both, and their
// plans, batch cards, audits and ways out are compared number by number.
// Usage: git worktree add ../before COMMIT; node bench/same-plans.mjs ../before [sessions] [first seed]
// What a change means to alter is listed with --except=path,path (e.g. --except=findings.*.title).
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";

const root = new URL("..", import.meta.url).pathname;
const words = process.argv.slice(2).filter((word) => !word.startsWith("--"));
const except = new Set(
  (process.argv.find((word) => word.startsWith("--except=")) ?? "--except=")
    .slice(9)
    .split(","),
);
const before = words[0];
const sessions = Number(words[1] ?? 2000);
const firstSeed = Number(words[2] ?? 1);
if (!before) {
  console.error(
    "usage: node bench/same-plans.mjs OTHER-CHECKOUT [sessions] [first seed]",
  );
  process.exit(2);
}
const json = (path) => JSON.parse(readFileSync(join(root, path), "utf8"));
const shelf = json("app/src/main/resources/demo/workshop.json");

/** Chance from a seed, the same on every machine. */
function chance(seed) {
  let state = (seed * 2654435761) >>> 0 || 1;
  const next = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    state >>>= 0;
    return state / 2 ** 32;
  };
  for (let i = 0; i < 8; i++) next();
  return {
    next,
    of: (all) => all[Math.floor(next() * all.length)],
    whole: (least, most) => least + Math.floor(next() * (most - least + 1)),
    within: (least, most) =>
      Math.round((least + next() * (most - least)) * 100) / 100,
    odds: (share) => next() < share,
  };
}

const colours = shelf.colours.map((colour) => colour.id);

function layers(r) {
  const count = r.of([1, 1, 1, 2, 2, 3]);
  return Array.from({ length: count }, (_, i) => {
    const last = i === count - 1;
    const colourId = r.of(colours);
    const fill = r.of([
      { share: r.within(0.15, 0.9 / count) },
      { depthMm: r.within(1, 6) },
      { volumeMl: r.within(0.5, 4) },
      { depthShare: r.within(0.1, 0.9 / count) },
    ]);
    return {
      colourId,
      join: i === 0 ? "TOGETHER" : r.of(["TOGETHER", "THICK", "GEL", "CURED"]),
      ...(last && r.odds(0.85) ? {} : { fill }),
      ...(r.odds(0.12)
        ? { resinId: r.of(["slow-casting", "deep-clear", "casting-brisk"]) }
        : {}),
      ...(r.odds(0.15)
        ? {
            beside: [
              {
                colourId: r.of(colours.filter((c) => c !== colourId)),
                share: 0.3,
              },
            ],
            meeting: r.of(["FROM_SIDES", "ONE_CUP", "PRESSED_APART"]),
          }
        : {}),
      ...(r.odds(0.15)
        ? {
            embeds: [
              {
                embedId: r.of([
                  "insert-m4",
                  "fern-tip",
                  "linen-swatch",
                  "birch-disc",
                ]),
                count: 1,
                moment: r.of([
                  "BEFORE_POUR",
                  "HALF_FILL",
                  "AFTER_POUR",
                  "WHEN_THICK",
                ]),
                anchored: r.odds(0.5),
                standsOutPercent: 0,
                prepare: r.odds(0.3) ? ["GLUE"] : [],
              },
            ],
          }
        : {}),
    };
  });
}

/** An evening as makers plan them, now and then with nonsense in it. */
function session(seed) {
  const r = chance(seed);
  const made = {
    name: `Evening ${seed}`,
    startsAt: `2026-${r.of(["03", "07", "11"])}-${r.whole(10, 27)}T${r.of(["07", "10", "16", "20"])}:00:00`,
    zoneId: "Europe/London",
    room: { temperatureC: r.within(14, 30), humidityPercent: r.whole(20, 75) },
    resinId: r.of([
      "slow-casting",
      "slow-casting",
      "quick-casting",
      "deep-clear",
      "casting-brisk",
      "do-it-all",
    ]),
    cupIds: [],
    splitInto: r.of([1, 1, 1, 2]),
    pieces: [],
  };
  if (r.odds(0.04)) {
    made.justMix = r.odds(0.5)
      ? { massG: r.within(5, 900) }
      : { volumeMl: r.within(5, 900) };
  } else {
    made.pieces = Array.from({ length: r.of([1, 1, 2, 2, 3, 4]) }, () => ({
      mouldId: r.of(shelf.moulds).id,
      count: r.of([1, 1, 2, 3, 6]),
      layers: layers(r),
      ...(r.odds(0.12)
        ? {
            work: {
              topCoat: {
                colourId: "clear",
                resinId: "self-levelling-coat",
                thicknessMm: 1,
                edgesPercent: 10,
                dripPercent: 10,
                side: r.of(["MOULD", "OPEN"]),
              },
            },
          }
        : {}),
    }));
  }
  if (r.odds(0.25)) {
    made.habits = {
      overagePercent: r.within(0, 20),
      restMinutes: r.of([0, 3, 12]),
      marginMinutes: r.of([0, 3, 8]),
      splitting: {
        when: r.of(["BEFORE_TINTING", "AFTER_TINTING"]),
        reserveMl: r.of([0, 0, 8]),
        cupAtMostMl: r.of([40, 120]),
      },
      planning: { pairsOfHands: r.of([1, 1, 2]), surePercent: r.of([80, 95]) },
    };
  }
  if (r.odds(0.15)) {
    made.arrangement = {
      hours: {
        fromMinutes: r.of([420, 540, 1080]),
        toMinutes: r.of([1290, 1440]),
        otherwise: [],
      },
      pins: r.odds(0.5)
        ? [
            {
              taskId: r.of(["pour/1.1.1", "mix/1", "stir/1.1"]),
              startSeconds: 60 * r.whole(10, 90),
            },
          ]
        : [],
    };
  }
  if (r.odds(0.1)) {
    made.strengths = [
      { colourId: r.of(colours.slice(1)), factor: r.of([0.5, 1.5, 3]) },
    ];
  }
  return made;
}

function freePort() {
  return new Promise((done) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });
}

async function start(tree) {
  const data = mkdtempSync(join(tmpdir(), "same-plans-"));
  const port = await freePort();
  const child = spawn("./run", ["--port", String(port), "--data", data], {
    cwd: resolve(tree),
    stdio: ["ignore", "ignore", "inherit"],
    detached: true,
  });
  const url = `http://127.0.0.1:${port}`;
  for (let i = 0; ; i++) {
    try {
      if ((await fetch(`${url}/api/units`)).ok) break;
    } catch {
      if (i > 3000) throw new Error(`${tree} did not start`);
    }
    await new Promise((done) => setTimeout(done, 200));
  }
  return {
    ask: async (path, body) => {
      const answer = await fetch(url + path, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify(body),
      });
      const text = await answer.text();
      return answer.ok ? JSON.parse(text) : { refused: answer.status, text };
    },
    stop: () => {
      process.kill(-child.pid);
      rmSync(data, { recursive: true, force: true });
    },
  };
}

/** Where two answers differ, as paths with * for a place in a list. */
function differences(a, b, path = "", found = new Set()) {
  if (except.has(path)) return found;
  if (
    a === null ||
    b === null ||
    typeof a !== "object" ||
    typeof b !== "object"
  ) {
    if (a !== b) found.add(path || "(whole)");
  } else {
    const list = Array.isArray(a);
    if (list && a.length !== b.length) found.add(`${path}.length`);
    for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
      const step = list ? "*" : key;
      differences(
        a[key] ?? null,
        b[key] ?? null,
        path ? `${path}.${step}` : step,
        found,
      );
    }
  }
  return found;
}

const was = await start(before);
const now = await start(root);
const counts = {
  plans: 0,
  refused: 0,
  cards: 0,
  audits: 0,
  ways: 0,
  different: 0,
};

/** Says how far it came; also when somebody had enough. */
function end() {
  was.stop();
  now.stop();
  console.log(
    `${counts.plans} plans (${counts.refused} refused alike), ${counts.cards} cards, ` +
      `${counts.audits} audits, ${counts.ways} ways out: ${counts.different} different`,
  );
  process.exit(counts.different === 0 ? 0 : 1);
}
process.on("SIGINT", end);
process.on("SIGTERM", end);

/** Groups of a batch and a cup, which stood side by side in one long list before format 3. */
const GROUPS = new Set([
  "measuring",
  "mixing",
  "times",
  "amounts",
  "tint",
  "follows",
]);

function flat(node) {
  if (Array.isArray(node)) return node.map(flat);
  if (node === null || typeof node !== "object") return node;
  const grouped = "measuring" in node || "amounts" in node;
  const out = {};
  for (const [key, value] of Object.entries(node)) {
    // Said by the plan from format 4 on; until then lines and layers counted from 0.
    if (["phase", "sittings"].includes(key)) continue;
    if (typeof value === "string" && /^(piece|layer)\/\d/.test(value)) {
      out[key] = value.split("/")[0];
    } else if ("leftMl" in node && (key === "of" || key === "cupId")) {
      out.of = value.replace(/^cup\//, "");
    } else if (grouped && GROUPS.has(key)) {
      const { by, cup, heldAt, ...rest } = flat(value);
      Object.assign(out, rest);
      if (by !== undefined) out.measured = by;
      if (cup !== undefined) out.mixingCup = cup;
      if (heldAt !== undefined) out.tintHeldAt = heldAt;
    } else if (grouped && key === "colour") {
      Object.assign(out, {
        colourId: value.id,
        colourName: value.name,
        swatch: value.swatch,
      });
    } else {
      out[key] = flat(value);
    }
  }
  return out;
}

async function same(name, path, body, bodyNow = body) {
  const [first, second] = await Promise.all([
    was.ask(path, body),
    now.ask(path, bodyNow),
  ]);
  const where = [...differences(flat(first), flat(second))];
  if (where.length > 0) {
    counts.different++;
    console.log(`${name} ${path}: ${where.slice(0, 8).join("  ")}`);
  }
  return [first, second];
}

async function compare(name, asked) {
  const [answer, answerNow] = await same(name, "/api/plan", asked);
  if (answer.refused) {
    counts.refused++;
    return;
  }
  counts.plans++;
  for (const batch of answer.plan.batches) {
    counts.cards++;
    await same(name, "/api/plan/card", { session: asked, batch: batch.number });
  }
  counts.audits++;
  await same(
    name,
    "/api/plan/audit",
    { session: asked, plan: answer.plan },
    {
      session: asked,
      plan: answerNow.plan,
    },
  );
  if (answer.plan.findings.some((finding) => finding.severity === "BREACH")) {
    counts.ways++;
    await same(name, "/api/plan/ways", asked);
  }
}

const cases = "app/src/test/resources/cases";
for (const file of readdirSync(join(root, cases)).filter((f) =>
  f.endsWith(".json"),
)) {
  const document = json(join(cases, file));
  await compare(file, document.session ?? document);
}
const demo = "app/src/main/resources/demo/sessions";
for (const file of readdirSync(join(root, demo)))
  await compare(file, json(join(demo, file)));
for (let seed = firstSeed; seed < firstSeed + sessions; seed++) {
  await compare(`seed ${seed}`, session(seed));
}
end();
