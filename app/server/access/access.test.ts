import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { cookieSecret } from "./cookie";
import { ownPath } from "./door";
import { codeAsTyped, hashOf, newCode, newLinkSecret } from "./secrets";
import { nameFrom, Throttle } from "./throttle";
import { may, type Who } from "./who";

const who = (role: Who["role"], looksOn: string[] = []): Who => ({
  signInId: "s",
  personId: "me",
  studioId: "here",
  name: "Odile",
  role,
  plays: role === "student",
  looksOn,
  shut: null,
});

describe("who may do what", () => {
  test("a teacher everything in their room, nothing in another", () => {
    expect(may(who("teacher"), "teach", "here", undefined)).toBe(true);
    expect(may(who("teacher"), "practise", "here", "ada")).toBe(true);
    expect(may(who("teacher"), "see", "there", "ada")).toBe(false);
  });

  test("a student their own practice, and the teaching of nothing", () => {
    expect(may(who("student"), "practise", "here", "me")).toBe(true);
    expect(may(who("student"), "see", "here", "ben")).toBe(false);
    expect(may(who("student"), "hear", "here", "me")).toBe(true);
    expect(may(who("student"), "hear", "here", "ben")).toBe(false);
    expect(may(who("student"), "teach", "here", "me")).toBe(false);
    expect(may(who("student"), "teach", "here", undefined)).toBe(false);
  });

  test("a parent looks on their own child, and hears no take", () => {
    const parent = who("parent", ["ada"]);
    expect(may(parent, "see", "here", "ada")).toBe(true);
    expect(may(parent, "practise", "here", "ada")).toBe(false);
    expect(may(parent, "hear", "here", "ada")).toBe(false);
    expect(may(parent, "see", "here", "ben")).toBe(false);
  });
});

describe("guessing", () => {
  test("is free a few times, then waits double, and an hour of quiet forgets", () => {
    let now = 0;
    const throttle = new Throttle(() => now);
    const key = ["name odile"];
    for (let n = 0; n < 5; n++) {
      expect(throttle.wait(key)).toBe(0);
      throttle.failed(key);
    }
    expect(throttle.wait(key)).toBe(2);
    now += 2000;
    expect(throttle.wait(key)).toBe(0);
    throttle.failed(key);
    expect(throttle.wait(key)).toBe(4);
    expect(throttle.wait(["name maud"])).toBe(0);
    now += 61 * 60_000;
    throttle.failed(key);
    expect(throttle.wait(key)).toBe(0);
    throttle.succeeded(key);
    expect(throttle.wait(key)).toBe(0);
  });

  test("strangers elsewhere don't keep a teacher out; from one address everything is slowed", () => {
    const throttle = new Throttle(() => 0);
    const keys = (name: string, address: string) => [nameFrom(name, address), `from ${address}`];
    for (let n = 0; n < 12; n++) throttle.failed(keys("odile", "192.0.2.7"));
    expect(throttle.wait(keys("odile", "192.0.2.7"))).toBeGreaterThan(0);
    expect(throttle.wait(keys("odile", "198.51.100.1"))).toBe(0);
    for (let n = 0; n < 8; n++) throttle.failed(keys(`maud ${n}`, "192.0.2.7"));
    expect(throttle.wait(keys("petra", "192.0.2.7"))).toBeGreaterThan(0);
  });

  test("an empty or short secret refuses to start, with a sentence", async () => {
    const directory = await mkdtemp(path.join(tmpdir(), "fidus-secret-"));
    const made = await cookieSecret(directory, undefined);
    expect(await cookieSecret(directory, undefined)).toBe(made);
    await writeFile(path.join(directory, "secret"), "short");
    await expect(cookieSecret(directory, undefined)).rejects.toThrow("5 characters; 32 are");
    await rm(directory, { recursive: true });
  });

  test("a code is read as it was meant, and nothing of it is kept but a hash", () => {
    for (let n = 0; n < 50; n++) {
      const code = newCode();
      expect(code).toMatch(/^[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}$/);
      expect(codeAsTyped(` ${code.toLowerCase().replace("-", "  ")} `)).toBe(code);
      expect(hashOf(code)).not.toContain(code.slice(0, 4));
    }
    expect(new Set(Array.from({ length: 100 }, newLinkSecret)).size).toBe(100);
  });

  test("nobody is led away from here after signing in", () => {
    expect(ownPath("/studio/1?x=2")).toBe("/studio/1?x=2");
    for (const away of [
      null,
      "",
      "studio",
      "//elsewhere.invalid",
      "/\\elsewhere",
      "https://elsewhere",
    ]) {
      expect(ownPath(away)).toBeUndefined();
    }
    fc.assert(
      fc.property(fc.string(), (text) => {
        const to = ownPath(text);
        if (to) expect(new URL(to, "http://here.invalid").host).toBe("here.invalid");
      }),
    );
  });
});
