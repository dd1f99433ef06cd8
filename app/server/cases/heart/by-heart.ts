import * as v from "valibot";
import { err, ok, sentences, type Result } from "~/core/result";
import { seeded } from "~/core/simulate";
import { memoryParts, nextTest, partsStanding, stretchesOf } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import {
  dropBars,
  insertMemoryTest,
  memoryOf,
  memoryTests,
  pieceOfPerson,
  standBars,
  standingBars,
  studentById,
  studioById,
} from "~/db/queries";
import { byHeartSchema } from "~/forms/by-heart";
import type { FormRefused } from "~/forms/typed";
import { todayIn, type Services } from "../../services";
import { countStanding, memoryLine } from "./memory";
import type { OfPiece } from "../piece/of-piece";
import { paperShown } from "../piece/paper";
import { notationOf } from "../piece/scores";

/** What stands by heart of each of a student's pieces, and what was tested of it. */
async function standingOf(db: Queries, studioId: string, personId: string, today: Day) {
  const [standing, tests] = await Promise.all([
    standingBars(db, studioId, personId),
    memoryTests(db, studioId, personId),
  ]);
  const pieces = [...new Set(standing.map(({ piece_id }) => piece_id))];
  // Who has looked has not said anything about memory.
  const said = tests.filter(({ looked }) => !looked);
  return {
    tests,
    stretches: new Map(
      pieces.map((pieceId) => [
        pieceId,
        stretchesOf(
          standing.filter(({ piece_id }) => piece_id === pieceId),
          said.filter((test) => test.pieceId === pieceId),
          today,
        ),
      ]),
    ),
  };
}

const LATEST = 8;

/** A piece by heart: its bars, what stands of them, and the next test. */
export async function byHeartPage(services: Services, of: OfPiece) {
  const { db } = services;
  const { studioId, personId, pieceId } = of;
  const today = todayIn(services, await studioById(db, studioId));
  const [person, piece, notation, paper, plans, known] = await Promise.all([
    studentById(db, studioId, personId),
    pieceOfPerson(db, studioId, personId, pieceId),
    notationOf(services, studioId, personId, pieceId),
    paperShown(services, of),
    memoryOf(db, studioId, personId),
    standingOf(db, studioId, personId, today),
  ]);
  const plan = plans.find(({ piece_id }) => piece_id === pieceId);
  const stretches = known.stretches.get(pieceId) ?? [];
  const tests = known.tests.filter((test) => test.pieceId === pieceId);
  return {
    today,
    person,
    piece,
    notation,
    paper: notation ? undefined : paper,
    memory: plan && memoryLine(plan, today),
    stretches,
    parts: plan ? partsStanding(memoryParts(plan.plan, piece.bars), stretches) : [],
    tests: tests.slice(-LATEST).reverse(),
    // The same until it was played: a page that is opened again asks the same.
    next: nextTest(stretches, seeded(tests.length + 1)()),
  };
}

/** Pieces of which something is due for a test, with the first such stretch. */
export async function heartDue(
  { db }: Pick<Services, "db">,
  studioId: string,
  personId: string,
  today: Day,
) {
  const { stretches } = await standingOf(db, studioId, personId, today);
  const due = [...stretches].flatMap(([pieceId, all]) => {
    const [first] = all.filter(({ dueIn }) => dueIn <= 0);
    return first ? [{ pieceId, fromBar: first.fromBar, toBar: first.toBar }] : [];
  });
  return Promise.all(
    due.map(async (each) => {
      const { title } = await pieceOfPerson(db, studioId, personId, each.pieceId);
      return { ...each, title };
    }),
  );
}

/** Says that bars stand, or fell out, or how a test went. */
export async function actOnHeart(
  services: Services,
  of: OfPiece,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const { db, now } = services;
  const { studioId, personId, pieceId } = of;
  const read = v.safeParse(byHeartSchema, Object.fromEntries(form));
  if (!read.success) return err({ errors: sentences(read.issues), values: {} });
  const said = read.output;
  const { fromBar, toBar } = said;
  const today = todayIn(services, await studioById(db, studioId));
  return db.transaction(async (tx) => {
    const { bars } = await pieceOfPerson(tx, studioId, personId, pieceId);
    if (toBar > bars || toBar < fromBar) {
      return err({ errors: { form: `The piece has ${bars} bars.` }, values: {} });
    }
    const where = { personId, pieceId, fromBar, toBar };
    if (said.act === "test") {
      const stood = said.outcome === "stood";
      const looked = said.outcome === "looked";
      const test = { ...where, id: said.id, day: today, stood, looked, at: new Date(now()) };
      const kept = await insertMemoryTest(tx, studioId, test);
      // Sent twice it has fallen out once: what was learnt since then stays.
      if (kept > 0 && said.outcome === "fell") await dropBars(tx, studioId, where);
    } else if (said.act === "stand") await standBars(tx, studioId, where, today);
    else await dropBars(tx, studioId, where);
    await countStanding(tx, of, today);
    return ok(undefined);
  });
}
