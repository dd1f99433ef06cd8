import { assignmentSchema, newItem, type AssignmentItem } from "~/core/week";
import { addDays, weekdayOf, type Day } from "~/core/units";
import { studioById, logOf } from "~/db/queries";
import { actOnAccess } from "~/server/cases/people/access";
import { addByHand } from "~/server/cases/week/by-hand";
import { lessonPage } from "~/server/cases/week/lesson";
import { readLesson, setWeek } from "~/server/cases/week/set-week";
import { actOnHeart } from "~/server/cases/heart/by-heart";
import { planMemory } from "~/server/cases/heart/memory";
import { sayAfterwards } from "~/server/cases/session/say-afterwards";
import { chooseTimes } from "~/server/cases/week/times";
import type { Services } from "~/server/services";
import { dayOf } from "~/core/units";
import * as v from "valibot";
import type { DemoStudent } from "./scenario";

const PRACTICE_FROM = "17:00";
const LESSON = { from: "15:30", minutes: 45 };

const formOf = (fields: Readonly<Record<string, string | number>>): FormData => {
  const form = new FormData();
  for (const [key, value] of Object.entries(fields)) form.set(key, String(value));
  return form;
};

/** Throws what a form was refused with: the demo itself must be right. */
function insist(done: { readonly ok: boolean; readonly error?: unknown }): void {
  if (!done.ok) throw new Error(`The demo was refused: ${JSON.stringify(done)}`);
}

/** The lessons of one student, through the same use cases as the pages. */
export class DemoLessons {
  constructor(
    private readonly services: Services,
    private readonly studioId: string,
    private readonly personId: string,
    private readonly student: DemoStudent,
  ) {}

  /** When there is time, and on which weekday the lesson is. */
  async sayTimes(today: Day): Promise<void> {
    const weekday = weekdayOf(addDays(today, this.student.lessonIn));
    const windows = this.student.minutes.flatMap((minutes, day) =>
      minutes > 0 ? { weekday: day, from: PRACTICE_FROM, minutes } : [],
    );
    const times = JSON.stringify({ windows, lesson: { ...LESSON, weekday } });
    const { services, studioId, personId } = this;
    insist(await chooseTimes(services, studioId, personId, formOf({ times }), true));
    if (this.student.parent) {
      const parent = { act: "parent", name: this.student.parent } as const;
      await actOnAccess(services, studioId, personId, parent);
    }
  }

  /** What goes on from last week, and passages that were cut since. */
  private async items(): Promise<{
    items: AssignmentItem[];
    page: Awaited<ReturnType<typeof lessonPage>>;
  }> {
    const { services, studioId, personId, student } = this;
    const page = await lessonPage(services, studioId, personId);
    const raises = new Map(page.last?.items.map(({ id, raise }) => [id, raise]));
    const items = page.draft.text.items.map((item) => ({
      ...item,
      goalTempo: raises.get(item.id) ?? item.goalTempo,
    }));
    for (const passage of page.passages) {
      if (passage.state === "safe" || items.some((item) => item.passageId === passage.id)) continue;
      const often =
        passage.state === "raw" ? { kind: "daily" as const } : { kind: "every-other" as const };
      const technique = passage.name === "" && passage.fromBar === 1;
      const told = student.pieces
        .find(({ title }) => title === passage.title)
        ?.passages.find(({ fromBar }) => fromBar === passage.fromBar);
      const item = newItem(services.newId(), {
        kind: technique ? "technique" : "piece",
        passageId: passage.id,
        title: `${passage.title}, ${passage.name || `bars ${passage.fromBar}–${passage.toBar}`}`,
        focus: passage.focus,
        often,
        minutes: Math.max(4, passage.minutes ?? 8),
        goalTempo: passage.inAWeek,
        ...(told?.bring ? { bring: told.bring } : {}),
      });
      items.push(item);
    }
    const { besides } = student;
    if (besides && !items.some(({ title }) => title === besides.title)) {
      const often = { kind: "times" as const, times: 2 };
      items.push(newItem(services.newId(), { ...besides, often, minutes: 5 }));
    }
    return { items, page };
  }

  /** One lesson: last week is decided as its record suggests, the next one set. */
  async hold(): Promise<void> {
    const { services, studioId, personId, student } = this;
    const { items, page } = await this.items();
    if (items.length === 0) return;
    const week = {
      version: page.draft.version,
      after: page.draft.after,
      from: page.draft.from,
      until: page.draft.until,
      text: v.parse(assignmentSchema, { ...page.draft.text, items, word: student.word }),
      decisions: Object.fromEntries(
        page.last?.items.map(({ id, suggested }) => [id, suggested]) ?? [],
      ),
    };
    const sent = readLesson(formOf({ act: "set", week: JSON.stringify(week) }), page.today);
    if (!sent.ok) throw new Error(`The demo was refused: ${JSON.stringify(sent.error)}`);
    insist(await setWeek(services, studioId, personId, sent.value.week));
  }

  /** What was said after the latest session, what stands by heart, what was done by hand. */
  async sayAtTheEnd(): Promise<void> {
    const { services, studioId, personId, student } = this;
    const [last] = await logOf(services.db, studioId, personId, 1);
    const say = async (fields: Readonly<Record<string, string>>) => {
      const id = services.newId();
      insist(await sayAfterwards(services, studioId, last!.session_id, formOf({ id, ...fields })));
    };
    if (last && student.asks) await say({ say: "question", question: student.asks });
    if (last && student.feels) await say({ say: "feeling", feeling: student.feels });
    if (last && student.asks) {
      await say({ say: "rating", what: "goal", answer: "yes" });
      await say({ say: "rating", what: "focus", answer: "partly" });
    }
    await this.byHeart();
    if (student.asks) {
      const entry = { id: services.newId(), minutes: 10, daysAgo: 2, note: "" };
      insist(await addByHand(services, studioId, personId, formOf(entry)));
    }
  }

  private async byHeart(): Promise<void> {
    const { services, studioId, personId, student } = this;
    if (!student.byHeart) return;
    const studio = await studioById(services.db, studioId);
    const today = dayOf(services.now(), studio.time_zone);
    const { passages } = await lessonPage(services, studioId, personId);
    const { pieceId } = passages[0]!;
    const piece = student.pieces.find(({ title }) => title === passages[0]!.title)!;
    const plan = {
      unit: "bars",
      total: piece.bars,
      from: addDays(today, -student.byHeart.sinceDays),
      concert: studio.concert_on!,
      marginWeeks: 1,
    };
    insist(await planMemory(services, { studioId, personId, pieceId }, formOf(plan)));
    await learnBars(services, { studioId, personId, pieceId }, student.byHeart);
  }
}

/** Four bars at a time came to stand, on days of their own; the first were tested since. */
async function learnBars(
  services: Services,
  of: Parameters<typeof actOnHeart>[1],
  { sinceDays, stands }: NonNullable<DemoStudent["byHeart"]>,
): Promise<void> {
  const say = async (daysAgo: number, fields: Readonly<Record<string, string | number>>) => {
    const then = { ...services, now: () => services.now() - daysAgo * 86_400_000 };
    insist(await actOnHeart(then, of, formOf(fields)));
  };
  for (let fromBar = 1; fromBar <= stands; fromBar += 4) {
    const bars = { fromBar, toBar: Math.min(stands, fromBar + 3) };
    const daysAgo = Math.round(sinceDays * (1 - bars.toBar / (stands + 1)));
    await say(daysAgo, { act: "stand", ...bars });
    if (daysAgo < 6) continue;
    await say(daysAgo - 4, { act: "test", outcome: "stood", id: services.newId(), ...bars });
  }
}
