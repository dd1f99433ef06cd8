import { describe, expect, test } from "@jest/globals";
import { readEnvironment } from "./environment";

const read = (variables: Record<string, string>) => readEnvironment("/srv/fidus", variables);

describe("the environment", () => {
  test("has safe defaults: this machine only, data below the application", () => {
    expect(read({})).toEqual({
      dataDir: "/srv/fidus/.fidus",
      host: "127.0.0.1",
      port: 4180,
      demo: false,
      secret: undefined,
      https: false,
      daysAhead: 0,
      daysFile: undefined,
      clock: { real: 0, virtual: 0, rate: 1 },
    });
  });

  test("the demo never writes into a room's own data by default", () => {
    expect(read({ FIDUS_DEMO: "1" }).dataDir).not.toContain("/srv/fidus");
    expect(read({ FIDUS_DEMO: "1", FIDUS_DATA: "/data" }).dataDir).toBe("/data");
  });

  test("what makes no sense is refused with the name of the variable", () => {
    expect(() => read({ FIDUS_PORT: "many" })).toThrow("FIDUS_PORT");
    expect(() => read({ FIDUS_PORT: "70000" })).toThrow("FIDUS_PORT");
    expect(() => read({ FIDUS_DEMO: "yes" })).toThrow(/Environment/);
  });
});
