import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { ownPath } from "./door";
import { codeAsTyped, hashOf, newCode, newLinkSecret } from "./secrets";
import { Throttle } from "./throttle";
import { may, type Who } from "./who";

const who = (role: Who["role"], looksOn: string[] = []): Who => ({
  signInId: "s",
  personId: "me",
  studioId: "here",
  name: "Odile",
  role,
  plays: role === "student",
  looksOn,
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
    expect(may(who("student"), "teach", "here", "me")).toBe(false);
    expect(may(who("student"), "teach", "here", undefined)).toBe(false);
  });

  test("a parent looks on their own child", () => {
    const parent = who("parent", ["ada"]);
    expect(may(parent, "see", "here", "ada")).toBe(true);
    expect(may(parent, "practise", "here", "ada")).toBe(false);
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
