const TRANSFORM = "<rootDir>/bin/test-transform.mjs";
const LOOPS = "node_modules/(valibot|@electric-sql/pglite)/dist/.*\\.m?js$";

export default {
  testEnvironment: "node",
  roots: ["<rootDir>/app", "<rootDir>/demo", "<rootDir>/bench"],
  testMatch: ["**/*.test.ts"],
  moduleNameMapper: { "^~/(.*)$": "<rootDir>/app/$1" },
  moduleFileExtensions: ["ts", "tsx", "js", "mjs", "json", "node"],
  extensionsToTreatAsEsm: [".ts", ".tsx"],
  transformIgnorePatterns: [`node_modules/(?!(valibot|@electric-sql/pglite)/dist/)`],
  transform: {
    [LOOPS]: [TRANSFORM, { packages: true }],
    "^.+\\.tsx?$": [
      TRANSFORM,
      {
        jsc: { parser: { syntax: "typescript", tsx: true }, target: "es2022" },
        module: { type: "es6" },
      },
    ],
  },
  globalSetup: "<rootDir>/bin/seed.mjs",
  setupFiles: ["<rootDir>/bin/use-seed.mjs"],
  maxWorkers: 2,
};
