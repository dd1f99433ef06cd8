import * as v from "valibot";
import { addDays } from "~/core/units";
import { closeQuestion, insertQuestion, questionsOf, studentById, studioById } from "~/db/queries";
import { todayIn, type Services } from "../../services";

const LONGEST = 500;
/** An answer stands on Today for so many days. */
const ANSWER_DAYS = 8;

const id = v.pipe(v.string(), v.uuid("The question can't be read."));
const text = (sentence: string) =>
  v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, sentence),
    v.maxLength(LONGEST, `Keep it under ${LONGEST} characters.`),
  );

export const askSchema = v.object({
  act: v.literal("ask"),
  id,
  text: text("Write the question first."),
});

export const answerSchema = v.variant("act", [
  v.object({ act: v.literal("answer"), id, answer: text("Write the answer first.") }),
  v.object({ act: v.literal("close"), id }),
]);

/** Asks something for the lesson. */
export async function ask(
  services: Services,
  studioId: string,
  personId: string,
  question: v.InferOutput<typeof askSchema>,
): Promise<void> {
  const { db } = services;
  const day = todayIn(services, await studioById(db, studioId));
  await studentById(db, studioId, personId);
  await insertQuestion(db, studioId, personId, { ...question, day });
}

/** Answers a student's question by text, or closes it because it was talked about. */
export async function answer(
  services: Services,
  studioId: string,
  personId: string,
  said: v.InferOutput<typeof answerSchema>,
): Promise<void> {
  const { db } = services;
  const day = todayIn(services, await studioById(db, studioId));
  const words = said.act === "answer" ? said.answer : "";
  await closeQuestion(db, studioId, personId, { id: said.id, answer: words, day });
}

/** Questions that wait, and what was answered lately. */
export async function questionsNow(services: Services, studioId: string, personId: string) {
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  const all = await questionsOf(db, studioId, personId, addDays(today, -ANSWER_DAYS));
  return {
    waiting: all.filter(({ closed_on }) => closed_on === null),
    answered: all.filter(({ closed_on, answer: given }) => closed_on !== null && given !== ""),
  };
}
