/**
 * The rooms of the screens, from the ground up: a room uses rooms below it. `npm run check` holds
 * it. docs/architecture.md says what is in them.
 */
const FLOORS = [
  ["api"],
  ["units", "session"],
  ["words"],
  ["ui"],
  ["drawing"],
  ["card", "moulds", "plan/how", "ways"],
  ["shelf", "pour"],
  [
    "record",
    "plan/board",
    "plan/cups",
    "plan/days",
    "plan/conditions",
    "plan/print",
    "plan/verdict",
  ],
  ["plan", "practice", "mix", "today", "sessions", "first", "workshop", "manual", "journal"],
];

/** One room beside another that it may use all the same; never both ways. */
const BESIDE = { session: ["units"] };

const inRoom = (rooms) => `^src/(${rooms.join("|")})/[^/]+$`;

export default {
  forbidden: [
    {
      name: "no-circle-of-files",
      severity: "error",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
    ...FLOORS.flatMap((floor, level) =>
      floor.map((room) => ({
        name: `${room}-uses-only-what-is-below`,
        severity: "error",
        from: { path: inRoom([room]), pathNot: "\\.test\\." },
        to: {
          path: inRoom(
            FLOORS.slice(level)
              .flat()
              .filter((other) => other !== room && !(BESIDE[room] ?? []).includes(other)),
          ),
        },
      })),
    ),
    {
      name: "every-room-has-a-floor",
      severity: "error",
      from: {},
      to: { path: "^src/[^/]+/", pathNot: FLOORS.flat().map((room) => `^src/${room}/[^/]+$`) },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { extensions: [".ts", ".tsx"] },
  },
};
