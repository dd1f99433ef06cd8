import js from "@eslint/js";
import reactHooks from "eslint-plugin-react-hooks";
import globals from "globals";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["build/", ".react-router/", "test-results/", "playwright-report/"] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  reactHooks.configs.flat.recommended,
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      eqeqeq: "error",
      "no-console": "error",
      "no-restricted-exports": ["error", { restrictDefaultExports: { defaultFrom: true } }],
      "@typescript-eslint/consistent-type-imports": "error",
      // Indexing is checked by the compiler; what is known to be there may say so.
      "@typescript-eslint/no-non-null-assertion": "off",
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_" }],
      "react-hooks/set-state-in-effect": "off",
    },
  },
  {
    files: ["app/core/**"],
    rules: {
      "no-restricted-globals": ["error", "window", "document", "fetch", "localStorage"],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "The core has no clock: time is an argument." },
        { object: "Math", property: "random", message: "Randomness is an argument." },
      ],
    },
  },
);
