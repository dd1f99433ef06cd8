export default {
  testEnvironment: "node",
  roots: ["<rootDir>/app", "<rootDir>/demo"],
  testMatch: ["**/*.test.ts"],
  moduleNameMapper: { "^~/(.*)$": "<rootDir>/app/$1" },
  transform: {
    "^.+\\.tsx?$": ["@swc/jest", { jsc: { parser: { syntax: "typescript", tsx: true }, target: "es2022" } }],
  },
  maxWorkers: 2,
};
