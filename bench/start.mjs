#!/usr/bin/env node
// How long the start takes beside that of an empty Spring Boot web application on the same libraries with the
// same options, and what stays resident after many different plans.
// Usage: ./run --prepare; node bench/start.mjs [starts] [plans]
import { execFileSync, spawn } from "node:child_process";
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

const root = new URL("..", import.meta.url).pathname;
const starts = Number(process.argv[2] ?? 5);
const plans = Number(process.argv[3] ?? 600);
const ready = join(root, "app/target/ready");
const bin = join(process.env.JAVA_HOME ?? "/usr", "bin");
const scratch = mkdtempSync(join(tmpdir(), "calm-pour-start-"));
if (!existsSync(join(ready, "calm-pour.jar"))) {
  console.error("Build it first: ./run --prepare");
  process.exit(2);
}

/** An application of nothing: the same starters, one page. */
function empty() {
  const classes = join(scratch, "empty");
  mkdirSync(join(classes, "src/empty"), { recursive: true });
  writeFileSync(
    join(classes, "src/empty/Empty.java"),
    `package empty;
@org.springframework.boot.autoconfigure.SpringBootApplication
@org.springframework.web.bind.annotation.RestController
public class Empty {
  public static void main(String[] args) {
    org.springframework.boot.SpringApplication.run(Empty.class, args);
  }
  @org.springframework.web.bind.annotation.GetMapping("/api/clock")
  String clock() { return "now"; }
}`,
  );
  const libraries = readdirSync(join(ready, "lib"))
    .filter((jar) => !/^(core|web)-\d/.test(jar))
    .map((jar) => join(ready, "lib", jar));
  execFileSync(join(bin, "javac"), [
    "-cp",
    libraries.join(":"),
    "-d",
    join(classes, "out"),
    join(classes, "src/empty/Empty.java"),
  ]);
  execFileSync(join(bin, "jar"), [
    "--create",
    "--file",
    join(classes, "empty.jar"),
    "-C",
    join(classes, "out"),
    ".",
  ]);
  return [join(classes, "empty.jar"), ...libraries].join(":");
}

const freePort = () =>
  new Promise((found) => {
    const server = createServer().listen(0, "127.0.0.1", () => {
      const { port } = server.address();
      server.close(() => found(port));
    });
  });

async function start(options, port) {
  const began = performance.now();
  const child = spawn(join(bin, "java"), options, {
    stdio: "ignore",
    cwd: scratch,
  });
  for (;;) {
    try {
      if ((await fetch(`http://127.0.0.1:${port}/api/clock`)).ok) break;
    } catch {
      // Not there yet.
    }
    await new Promise((wait) => setTimeout(wait, 15));
  }
  return { child, seconds: (performance.now() - began) / 1000 };
}

async function stop(child) {
  const gone = new Promise((ended) => child.once("exit", ended));
  child.kill();
  await gone;
}

const options = readFileSync(join(root, "run"), "utf8")
  .match(/^java=\("\$JAVA_HOME\/bin\/java" (.*)\)$/m)[1]
  .split(" ");
const environment = readFileSync(join(root, "run"), "utf8").match(
  /^export (MALLOC.*)$/m,
)[1];
for (const each of environment.split(" "))
  process.env[each.split("=")[0]] = each.split("=")[1];
const shared = options.filter((option) => !option.includes("spring.aot"));

/** Learns one start, as ./run does. */
function learnt(name, command) {
  const cache = join(scratch, `${name}.aot`);
  execFileSync(
    join(bin, "java"),
    [
      `-XX:AOTCacheOutput=${cache}`,
      "-Dspring.context.exit=onRefresh",
      ...command,
      "--server.port=0",
    ],
    { stdio: "ignore", cwd: scratch },
  );
  return [`-XX:AOTCache=${cache}`, "-Xlog:aot*=off"];
}

const nothing = [
  ...shared,
  "-Dspring.flyway.enabled=false",
  "-cp",
  empty(),
  "empty.Empty",
];
const ours = [
  ...options,
  "-jar",
  join(ready, "calm-pour.jar"),
  `--calmpour.data=${join(scratch, "w")}`,
  "--calmpour.demo=true",
];
const oursLearnt = learnt("ours", [
  ...options,
  "-jar",
  join(ready, "calm-pour.jar"),
  `--calmpour.data=${join(scratch, "l")}`,
  "--calmpour.demo=false",
]);
const nothingLearnt = learnt("empty", nothing);

const median = (all) =>
  [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)];
const seconds = { ours: [], nothing: [] };
for (let i = 0; i < starts + 1; i++) {
  for (const [name, command, cache] of [
    ["ours", ours, oursLearnt],
    ["nothing", nothing, nothingLearnt],
  ]) {
    const port = await freePort();
    const { child, seconds: took } = await start(
      [...cache, ...command, `--server.port=${port}`],
      port,
    );
    // The first of each makes its data and warms the disk.
    if (i > 0) seconds[name].push(took);
    await stop(child);
  }
}
const ratio = median(seconds.ours) / median(seconds.nothing);
console.log(
  `start, median of ${starts}: ours ${median(seconds.ours).toFixed(2)} s, empty ${median(seconds.nothing).toFixed(2)} s, ratio ${ratio.toFixed(2)}`,
);

const resident = (child) =>
  Number(
    readFileSync(`/proc/${child.pid}/status`, "utf8").match(
      /VmRSS:\s+(\d+)/,
    )[1],
  ) / 1024;
const port = await freePort();
const { child } = await start(
  [...oursLearnt, ...ours, `--server.port=${port}`],
  port,
);
const session = JSON.parse(
  readFileSync(
    join(root, "app/src/main/resources/demo/sessions/pantry-knobs.json"),
    "utf8",
  ),
);
const at = [];
for (let i = 0; i <= plans; i++) {
  if (i % Math.ceil(plans / 6) === 0)
    at.push(`${i}: ${resident(child).toFixed(0)}`);
  // Every plan differs by its room and its pieces.
  const other = structuredClone(session);
  other.room.temperatureC = 18 + (i % 97) / 10;
  other.pieces[0].count = 1 + (i % 6);
  const answer = await fetch(`http://127.0.0.1:${port}/api/plan`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(other),
  });
  if (answer.status >= 500) throw new Error(await answer.text());
  await answer.text();
}
await new Promise((wait) => setTimeout(wait, 70_000));
console.log(
  `resident MB after so many plans: ${at.join(", ")}; a minute later ${resident(child).toFixed(0)}`,
);
await stop(child);
rmSync(scratch, { recursive: true, force: true });
