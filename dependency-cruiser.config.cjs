/** Which room may import which; the table is in docs/architecture.md. */
const below = {
  "core/result": [],
  "core/units": ["core/result"],
  "core/gate": ["core/units", "core/result"],
  "core/ladder": ["core/gate", "core/click", "core/units", "core/result"],
  "core/click": ["core/units", "core/result"],
  "core/session": ["core/ladder", "core/gate", "core/click", "core/units", "core/result"],
  "core/transport": [
    "core/session",
    "core/listen",
    "core/ladder",
    "core/gate",
    "core/click",
    "core/units",
    "core/result",
  ],
  "core/week": ["core/session", "core/units", "core/result"],
  "core/score": ["core/units", "core/result"],
  "core/exercise": ["core/units", "core/result"],
  "core/formats": ["core/exercise", "core/score", "core/units", "core/result"],
  "core/record": ["core/gate", "core/units"],
  "core/judge": ["core/record", "core/ladder", "core/units", "core/result"],
  "core/cost": [
    "core/session",
    "core/ladder",
    "core/gate",
    "core/click",
    "core/units",
    "core/result",
  ],
  "core/listen": ["core/units", "core/result"],
  "core/simulate": ["core/"],
  workers: ["core/", "audio"],
  audio: ["core/"],
  db: ["core/"],
  forms: ["core/"],
  server: ["db", "forms", "core/"],
  theme: [],
  words: ["core/"],
  components: ["core/", "words"],
  features: ["components", "audio", "workers", "forms", "core/", "words"],
  routes: ["server", "features", "components", "forms", "core/", "words"],
};

const layer = ([room, allowed]) => ({
  name: `${room.replace("/", "-")}-imports-downward`,
  severity: "error",
  from: { path: `^app/${room}/` },
  to: {
    path: "^(app|demo|e2e|bench)/",
    pathNot: `^app/(${[room, ...allowed].join("|")})`,
  },
});

// The program's entry puts everything together, the demo included.
const entry = "^app/server/(main|http)\\.ts$";
const layers = Object.entries(below).map(layer);
for (const rule of layers) {
  if (rule.from.path === "^app/server/") rule.from.pathNot = entry;
}

module.exports = {
  forbidden: [
    ...layers,
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "no-reaching-behind-an-index",
      comment: "Outside its folder a room of the core, the audio or the database is its index.ts.",
      severity: "error",
      from: { path: "^(app|demo)/", pathNot: "^app/((core/[^/]+|audio/[^/]+|db/[^/]+))/" },
      to: { path: "^app/(core/[^/]+|audio/[^/]+|db/[^/]+)/", pathNot: "/index\\.ts$|/test/" },
    },
    {
      name: "plans-know-no-use-case",
      severity: "error",
      from: { path: "^app/server/plan/" },
      to: { path: "^app/server/cases/" },
    },
    {
      name: "use-cases-answer-no-request",
      comment: "They give results and throw errors of their own; routes make answers of them.",
      severity: "error",
      from: { path: "^app/server/(cases|plan)/", pathNot: "\\.test\\.ts$" },
      to: { path: "node_modules/@?react-router" },
    },
    {
      name: "core-needs-no-framework",
      severity: "error",
      from: { path: "^app/core/", pathNot: "\\.test\\.ts$|/test/|^app/core/formats/" },
      // They parse and compute; none knows of a page, a database or a browser.
      to: {
        dependencyTypesNot: ["local", "aliased-tsconfig", "aliased"],
        pathNot: "valibot|ts-fsrs|date-fns|image-size",
      },
    },
    {
      name: "formats-are-thin-over-parsers",
      comment: "Only the formats may use what parses them.",
      severity: "error",
      from: { path: "^app/", pathNot: "^app/(core/formats|audio/track|server/(score|archive))/" },
      to: { path: "node_modules/(saxes|yauzl|abcjs|midi-file)" },
    },
  ],
  options: {
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    doNotFollow: { path: "node_modules" },
    enhancedResolveOptions: { conditionNames: ["import", "node", "default"] },
  },
};
