import { beforeEach, expect, test } from "@jest/globals";
import { compassOf, type Made } from "~/core/exercise";
import { pieceById, passageById } from "~/db/queries";
import { logQuerySchema } from "~/forms/log";
import * as v from "valibot";
import { EventWriter, furnishedRoom, ladder } from "../../test/room";
import { appendEvents } from "../session/append-events";
import { exercisePage } from "../give/exercise-page";
import { keepAsExercise } from "../give/exercises";
import { logPage } from "../record/log";
import { pieceFromMade } from "./made";
import { cutPassage, setLadder } from "./passages";
import { notationOf } from "./scores";
import { standNotes } from "../session/stand";
import { passagePart, startSession } from "../session/start-session";
import { listenedAlong } from "./track";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const made = (change: Partial<Made["recipe"]> = {}): Made => ({
  tonic: { letter: "C", accidental: 0 },
  recipe: {
    pattern: { kind: "scale", scale: "major", octaves: 1 },
    direction: "up-down",
    rhythm: "eighth",
    words: "",
    ...compassOf("mandolin"),
    ...change,
  },
});
const make = (what: unknown, title = "C major scale") => {
  const form = new FormData();
  form.set("title", title);
  form.set("markBpm", "72");
  form.set("made", typeof what === "string" ? what : JSON.stringify(what));
  return pieceFromMade(room.services, room.studioId, room.personId, form);
};

test("an exercise becomes a piece with its notes; what can't be written is refused", async () => {
  const { services, studioId, personId } = room;
  expect((await make("{")).ok).toBe(false);
  expect((await make(made(), " ")).ok).toBe(false);
  const high = await make(made({ pattern: { kind: "scale", scale: "major", octaves: 5 } }));
  expect(high).toMatchObject({
    ok: false,
    error: { errors: { made: expect.stringMatching(/compass/) } },
  });
  const laid = await make(made());
  if (!laid.ok) throw new Error(JSON.stringify(laid.error));
  const piece = await pieceById(services.db, studioId, laid.value);
  expect(piece).toMatchObject({ bars: 2, markBpm: 72, kind: "scale", made: made() });
  const notation = await notationOf(services, studioId, personId, laid.value);
  expect(notation!.score.bars[0]!.fifths).toBe(0);
});

test("at the stand an exercise is written in the week's key, whatever key it was made in", async () => {
  const { services, studioId, personId } = room;
  const laid = await make(made());
  if (!laid.ok) throw new Error(JSON.stringify(laid.error));
  const range = { fromBar: 1, toBar: 2, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
  const where = { personId, pieceId: laid.value };
  const passageId = await cutPassage(services, studioId, where, range);
  await setLadder(services, studioId, passageId, ladder({ target: 72 }));
  expect((await passageById(services.db, studioId, passageId)).ladder).not.toBeNull();
  const started = await startSession(services, studioId, personId, [passagePart(passageId)]);
  if (!started.ok) throw new Error(started.error.sentence);
  const { sessionId } = started.value;
  const notes = async () => {
    const asked = { width: 2000, range: { from: 1, to: 2 } };
    return (await standNotes(services, studioId, { sessionId, passageId }, asked))!;
  };
  const signsOf = ({ signs, systems }: Awaited<ReturnType<typeof notes>>) =>
    signs.length + systems.map(({ drawing }) => drawing).join("").length;
  const inC = signsOf(await notes());
  const said = { listenFor: "", note: "", focuses: [], goalTempo: null, key: "A♭ major" };
  await services.db.execute(
    "update session set plan = jsonb_set(plan, '{parts,0,said}', $2::jsonb) where id = $1",
    [sessionId, JSON.stringify(said)],
  );
  // Four flats are drawn more.
  expect(signsOf(await notes())).toBeGreaterThan(inC);
});

test("from the library come three that were not done lately, the never done first", async () => {
  const { services, studioId, personId } = room;
  const keep = async (title: string, what: Made) => {
    const laid = await make(what, title);
    if (!laid.ok) throw new Error(JSON.stringify(laid.error));
    const form = new FormData();
    form.set("exercise", title);
    const where = { studioId, personId, pieceId: laid.value };
    expect((await keepAsExercise(services, where, form)).ok).toBe(true);
    return laid.value;
  };
  const chord = { kind: "arpeggio", chord: "minor", octaves: 1, form: "straight" } as const;
  await keep("Scale", made({ lowest: "B3" }));
  await keep("Chord", made({ pattern: { ...chord, inversion: 0 }, lowest: "C4" }));
  const { pieceId } = room;
  const form = new FormData();
  form.set("exercise", "Ferry");
  await keepAsExercise(services, { studioId, personId, pieceId }, form);
  const { sessionId } = await room.begin();
  const stand = new EventWriter();
  stand.write("opened");
  stand.plays(60, "c");
  await appendEvents(services, studioId, sessionId, stand.events);
  const page = (asked: object) =>
    exercisePage(services, studioId, personId, { technique: "", find: "", draw: 0, ...asked });
  const { drawn, techniques, compass } = await page({});
  expect(techniques).toEqual(["arpeggio", "piece", "scale"]);
  expect(
    drawn
      .map(({ name }) => name)
      .slice(0, 2)
      .sort(),
  ).toEqual(["Chord", "Scale"]);
  expect(drawn[2]).toMatchObject({ name: "Ferry", last: "2026-05-04" });
  expect((await page({ technique: "scale" })).drawn).toMatchObject([{ name: "Scale" }]);
  expect((await page({ find: "hor" })).drawn).toMatchObject([{ name: "Chord" }]);
  // The compass of the newest one is offered for the next.
  expect(compass).toMatchObject({ lowest: "C4" });

  const id = "33333333-3333-4333-8333-333333333333";
  for (const minutes of [1, 4, 2]) {
    await listenedAlong(services, studioId, personId, { id, minutes, note: "Ferry" });
  }
  const { lines, totals } = await logPage(
    services,
    studioId,
    personId,
    v.parse(logQuerySchema, {}),
  );
  expect(lines.find(({ kind }) => kind === "by-hand")).toMatchObject({
    minutes: 4,
    note: "Ferry",
  });
  expect(totals.sessions).toBe(1);
});
