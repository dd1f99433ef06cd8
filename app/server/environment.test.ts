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
      origin: undefined,
      rooms: "open",
      roomsUnsaid: false,
      openings: 5,
      backups: { folder: "/srv/fidus/.fidus/backups", everyHours: 24, keep: 7 },
      daysAhead: 0,
      daysFile: undefined,
      clock: { real: 0, virtual: 0, rate: 1 },
    });
  });

  test("the demo never writes into a room's own data by default", () => {
    expect(read({ FIDUS_DEMO: "1" }).dataDir).not.toContain("/srv/fidus");
    expect(read({ FIDUS_DEMO: "1", FIDUS_DATA: "/data" }).dataDir).toBe("/data");
  });

  test("who can be reached from elsewhere lets nobody open a second studio, unless it is said", () => {
    const origin = "https://fidus.example";
    expect(read({ FIDUS_HOST: "0.0.0.0" }).rooms).toBe("first");
    expect(read({ FIDUS_ORIGIN: origin }).rooms).toBe("first");
    expect(read({ FIDUS_HTTPS: "1", FIDUS_ORIGIN: origin })).toMatchObject({
      rooms: "first",
      origin,
    });
    expect(read({ FIDUS_HOST: "0.0.0.0", FIDUS_ROOMS: "open" }).rooms).toBe("open");
    expect(read({ FIDUS_HOST: "::1" }).rooms).toBe("open");
  });

  test("https without the address that people open is refused", () => {
    expect(() => read({ FIDUS_HTTPS: "1" })).toThrow(/FIDUS_ORIGIN/);
    for (const origin of ["fidus.example", "https://fidus.example/", "ftp://x", "https://a/b"]) {
      expect(() => read({ FIDUS_HTTPS: "1", FIDUS_ORIGIN: origin })).toThrow(/FIDUS_ORIGIN is/);
    }
  });

  test("what makes no sense is refused with the name of the variable", () => {
    expect(() => read({ FIDUS_PORT: "many" })).toThrow("FIDUS_PORT");
    expect(() => read({ FIDUS_PORT: "70000" })).toThrow("FIDUS_PORT");
    expect(() => read({ FIDUS_DEMO: "yes" })).toThrow(/Environment/);
  });
});
