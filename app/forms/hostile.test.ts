import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { sentences, speakPlainly } from "~/core/result";
import { byHeartSchema } from "./by-heart";
import { concertFormSchema } from "./concert";
import { credentialsFormSchema } from "./credentials";
import { cutFormSchema } from "./cut";
import { flawDaysOf } from "./flaw-days";
import { goalFormSchema } from "./goal";
import { groupFormSchema, groupItemFormSchema } from "./group";
import { lessonSchema } from "./lesson";
import { libraryQuerySchema } from "./library";
import { logQuerySchema } from "./log";
import { madeFormSchema, madeNotationSchema } from "./made";
import { memoryFormSchema } from "./memory";
import { studentSchema } from "./names";
import { readEngravingAsked } from "./notation";
import { pieceFormSchema } from "./piece";
import { reportQuerySchema } from "./report";
import { roomFormSchema } from "./room";
import { sentTableSchema } from "./table";
import { tempiTextSchema } from "./tempi";
import { typedLessonSchema } from "./typed-lesson";

beforeAll(speakPlainly);

const COMMON_TIME = { beats: 4, unit: 4 } as const;
const PIECE = { bars: 16, metres: [{ fromBar: 1, metre: COMMON_TIME }], pickupBeats: 0 };

/** Forms and addresses with the fields that their pages send. */
const FORMS: Readonly<Record<string, readonly [v.GenericSchema, readonly string[]]>> = {
  "by heart": [byHeartSchema, ["act", "fromBar", "toBar", "id", "outcome"]],
  concert: [concertFormSchema, ["name", "day"]],
  credentials: [credentialsFormSchema, ["name", "password"]],
  cut: [
    cutFormSchema(PIECE as unknown as Parameters<typeof cutFormSchema>[0]),
    ["fromBar", "toBar", "pickupBeats", "startBeats", "endBeats", "name", "focus", "onlyNotes"],
  ],
  goal: [goalFormSchema, ["kind", "text", "until"]],
  group: [groupFormSchema, ["name", "kind"]],
  "group item": [
    groupItemFormSchema,
    ["id", "kind", "title", "focus", "times", "minutes", "note", "bring", "until", "fromBar"],
  ],
  lesson: [lessonSchema, ["from", "until"]],
  library: [libraryQuerySchema, ["sort", "down", "page", "rows", "find", "kind"]],
  log: [logQuerySchema, ["sort", "down", "page", "rows", "find", "kind", "from", "to"]],
  "an exercise": [madeFormSchema, ["title", "markBpm", "made"]],
  "an exercise's notes": [madeNotationSchema, ["made", "width"]],
  memory: [memoryFormSchema, ["unit", "total", "begins", "day", "marginWeeks"]],
  student: [studentSchema, ["name", "instrument"]],
  piece: [
    pieceFormSchema,
    ["title", "origin", "kind", "bars", "metre", "changes", "pickupBeats", "markBpm", "markUnit"],
  ],
  report: [reportQuerySchema, ["group", "person", "from", "to"]],
  room: [roomFormSchema, ["room", "teacher", "self", "name", "signIn", "password", "timeZone"]],
  "a table": [sentTableSchema, ["kind", "rows", "mapping", "students"]],
  tempi: [v.object({ tempi: tempiTextSchema }), ["tempi"]],
  "a typed lesson": [typedLessonSchema, ["since", "text", "items", "at"]],
};

/** What people, programs and people with bad intentions send. */
const typed = fc.oneof(
  fc.constantFrom(
    ...["", " ", "0", "-1", "1", "5", "12", "1e9", "1.5", "NaN", "Infinity", "0x10", "٣", "½"],
    ...["2026-02-30", "2026-05-04", "9999-12-31", "0000-01-01", "04/05/2026", "on", "piece"],
    ...["\0", "\ud800", "\u202e", "𝄞".repeat(300), "a".repeat(5000), "<script>", "' or 1=1 --"],
    ...["{}", "[]", "null", "[null]", '{"__proto__":{"a":1}}', '{"items":[{}]}', "[".repeat(2000)],
    ...["quarter", "4/4", "7/8 2+2+3", "Europe/London", "No/Where", "__proto__", "constructor"],
    "00000000-0000-4000-8000-000000000001",
  ),
  fc.string({ unit: "binary", maxLength: 40 }),
  fc.json({ maxDepth: 3 }),
);
const recordOf = (names: readonly string[]) =>
  fc
    .tuple(fc.array(typed, { minLength: names.length, maxLength: names.length }), typed)
    .map(([values, more]) => ({
      ...Object.fromEntries(names.map((name, i) => [name, values[i]!])),
      besides: more,
    }));

/** A sentence that can be read: it has words, an end, and nothing of the machine. */
const isSentence = (text: string): boolean =>
  /^[\p{Lu}\p{N}“"-]/u.test(text) &&
  /[.?!]$/.test(text) &&
  !/Invalid|Expected|undefined|\[object|=>|SyntaxError|JSON/.test(text);

describe.each(Object.entries(FORMS))("what is sent as %s", (_, [schema, names]) => {
  test("is read, or refused with a sentence at its field; it never breaks", () => {
    fc.assert(
      fc.property(recordOf(names), (sent) => {
        const read = v.safeParse(schema, sent);
        if (read.success) return;
        for (const [field, sentence] of Object.entries(sentences(read.issues))) {
          expect({ field, sentence, reads: isSentence(sentence) }).toMatchObject({ reads: true });
        }
      }),
      { numRuns: 150 },
    );
  });

  test("with fields left out, or of another kind, never breaks", () => {
    const some = fc.dictionary(
      fc.constantFrom(...names, "__proto__", "toString"),
      fc.oneof(typed, fc.anything()),
    );
    fc.assert(
      fc.property(fc.oneof(some, fc.anything()), (sent) => {
        expect(() => v.safeParse(schema, sent)).not.toThrow();
      }),
      { numRuns: 150 },
    );
  });
});

describe("an address", () => {
  test("asks for notes of a width and some bars, or is told why not", () => {
    fc.assert(
      fc.property(typed, typed, typed, (width, from, to) => {
        const query = new URLSearchParams({ width, from, to });
        const read = readEngravingAsked(`http://here/notes?${query}`);
        if (!read.ok) return expect(isSentence(read.error)).toBe(true);
        expect(read.value.width).toBeGreaterThanOrEqual(400);
      }),
    );
  });

  test("asks for the days of flaws, and gets usual ones for nonsense", () => {
    fc.assert(
      fc.property(typed, (days) => {
        const found = flawDaysOf(`http://here/?${new URLSearchParams({ days, flaws: days })}`);
        expect([7, 28, 365]).toContain(found);
      }),
    );
  });
});
