#!/usr/bin/env node
// Measures POST /api/plan for the demo session, for a big one, for both in a room that changes with
// every request ("new"), with one piece more each time ("edit"), for the big one after a layer was dragged
// into a cup by hand, and a slider of
// Practice, beside a plain round trip to the same server in the same run; the start to healthy; and the sizes of what is shipped.
// Usage: ./run once to build, then: node bench/plan.mjs
import { spawn } from "node:child_process";
import { readFileSync, readdirSync, statSync, mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gzipSync } from "node:zlib";

const root = new URL("..", import.meta.url).pathname;
const demo = (name) =>
  JSON.parse(readFileSync(join(root, "app/src/main/resources/demo", name + ".json"), "utf8"));

/** 60 moulds, 120 cavities, 3 layers, 10 colours, all carried inline. */
function bigSession() {
  const session = demo("sessions/pantry-knobs");
  const carried = demo("workshop");
  const recipes = carried.colours.filter((c) => c.recipe.length > 0);
  carried.colours = Array.from({ length: 10 }, (_, i) => ({
    ...recipes[i % recipes.length],
    id: `colour-${i}`,
    name: `Colour ${i}`,
  }));
  delete carried.parts;
  delete carried.embeds;
  carried.resins = carried.resins.map(({ partAId, partBId, ...resin }) => resin);
  carried.moulds = Array.from({ length: 60 }, (_, i) => ({
    id: `mould-${i}`,
    name: `Mould ${i}`,
    cavities: [
      {
        id: "main",
        name: `Mould ${i}`,
        count: 1,
        measure: { method: "TOLD", toldMl: 4 + ((i * 7) % 17), plusMinusPercent: 1 },
        depthMm: 10 + (i % 9),
      },
    ],
  }));
  session.name = "Big";
  session.carried = carried;
  session.pieces = carried.moulds.map((mould, i) => ({
    mouldId: mould.id,
    count: 2,
    layers: [
      { colourId: `colour-${i % 10}`, fill: { share: 0.3 }, join: "TOGETHER" },
      { colourId: `colour-${(i + 3) % 10}`, fill: { share: 0.3 }, join: i % 2 ? "GEL" : "TOGETHER" },
      { colourId: `colour-${(i + 7) % 10}`, join: "TOGETHER" },
    ],
  }));
  return session;
}

/** The big session as it is sent after one layer was dragged to a cup of its own. */
function dragged() {
  const session = bigSession();
  session.cupsByHand = [{ layers: [{ line: 7, layer: 0 }] }, { layers: [{ line: 17, layer: 0 }] }];
  return session;
}

const freePort = () =>
  new Promise((resolve) => {
    const server = createServer().listen(0, "127.0.0.1", () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });

async function start() {
  const port = await freePort();
  const data = mkdtempSync(join(tmpdir(), "calm-pour-bench-"));
  const begun = performance.now();
  const server = spawn(join(root, "run"), ["--port", String(port), "--data", data], {
    stdio: "ignore",
  });
  const url = `http://127.0.0.1:${port}`;
  while (performance.now() - begun < 60_000) {
    const answer = await fetch(`${url}/actuator/health`).catch(() => null);
    if (answer?.ok) {
      return { url, server, data, healthyMs: performance.now() - begun };
    }
    await new Promise((r) => setTimeout(r, 25));
  }
  throw new Error("the server did not become healthy within a minute");
}

async function stop({ server, data }) {
  const gone = new Promise((r) => server.once("exit", r));
  server.kill("SIGTERM");
  await gone;
  rmSync(data, { recursive: true });
}

async function time(times, call) {
  for (let i = 0; i < times; i++) await call();
  const all = [];
  for (let i = 0; i < times; i++) {
    const from = performance.now();
    await call();
    all.push(performance.now() - from);
  }
  all.sort((a, b) => a - b);
  return { median: all[times >> 1], p95: all[Math.floor(times * 0.95)] };
}

const healthy = [];
for (let i = 0; i < 2; i++) {
  const running = await start();
  healthy.push(running.healthyMs);
  await stop(running);
}
const running = await start();
healthy.push(running.healthyMs);
healthy.sort((a, b) => a - b);
const post = (body) => async () => {
  const answer = await fetch(`${running.url}/api/plan`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body,
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(text);
};
/** Another room each time, so that no body of resin is known from the request before. */
const elsewhere = (session) => {
  let round = 0;
  return () => {
    session.room.temperatureC = 21 + (++round % 900) / 300;
    return post(JSON.stringify(session))();
  };
};
/** One piece more each time, what was together staying together: what is typed at the board. */
const edited = async (session) => {
  const answer = await fetch(`${running.url}/api/plan`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify(session),
  });
  const { plan } = await answer.json();
  const together = plan.batches.map((b) => b.cups.flatMap((c) => c.pours.map((p) => p.id)));
  session.arrangement = { ...session.arrangement, together };
  const counts = session.pieces.map((piece) => piece.count);
  let round = 0;
  return () => {
    session.pieces.forEach((piece, i) => (piece.count = counts[i]));
    session.pieces[round % counts.length].count += 1 + Math.floor(round / counts.length);
    round++;
    return post(JSON.stringify(session))();
  };
};
const whatIf = (first, second) => {
  let round = 0;
  return async () => {
    first.roomC = 21 + (++round % 900) / 300;
    const answer = await fetch(`${running.url}/api/practice/what-if`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ first, second }),
    });
    const text = await answer.text();
    if (!answer.ok) throw new Error(text);
  };
};
const tried = (splitInto, lies) => ({
  resinId: "slow-casting",
  massG: 100,
  roomC: 22,
  mixMinutes: 3,
  restMinutes: 5,
  lampMinutes: 0,
  splitInto,
  lies,
  ...(lies === "SHEET" ? { sheetMm: 10 } : {}),
});
const reference = await time(300, async () => (await fetch(`${running.url}/api/units`)).text());
const rows = [
  ["plan, demo", await time(300, post(JSON.stringify(demo("sessions/pantry-knobs"))))],
  ["plan, big", await time(300, post(JSON.stringify(bigSession())))],
  ["plan, demo, new", await time(300, elsewhere(demo("sessions/pantry-knobs")))],
  ["plan, demo, edit", await time(15, await edited(demo("sessions/pantry-knobs")))],
  ["plan, big, edit", await time(30, await edited(bigSession()))],
  ["plan, big, new", await time(20, elsewhere(bigSession()))],
  ["what if", await time(300, whatIf(tried(1, "SHEET"), tried(4, "CUP")))],
  ["plan, big, drag", await time(300, post(JSON.stringify(dragged())))],
];
await stop(running);

const ms = (value) => value.toFixed(2).padStart(8);
console.log("what             median ms   p95 ms   median ÷ reference");
console.log(`GET /api/units   ${ms(reference.median)}  ${ms(reference.p95)}   (reference)`);
for (const [name, r] of rows) {
  console.log(
    `${name.padEnd(16)} ${ms(r.median)}  ${ms(r.p95)}   ${(r.median / reference.median).toFixed(1)}`,
  );
}
console.log(`./run on a built tree to healthy, median of 3: ${(healthy[1] / 1000).toFixed(2)} s`);
const assets = join(root, "web/dist/assets");
for (const file of readdirSync(assets).filter((f) => f.endsWith(".js"))) {
  const bytes = readFileSync(join(assets, file));
  console.log(`JavaScript: ${bytes.length} bytes, ${gzipSync(bytes).length} gzipped`);
}
console.log(`jar: ${statSync(join(root, "app/target/calm-pour.jar")).size} bytes`);
