import { SheetPage } from "~/features/sheet/sheet-page";
import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { idsOf, refused } from "~/server/boundary";
import { readGivenItems } from "~/server/cases/give/give";
import { otherStudents } from "~/server/cases/people/whom";
import { giveWeek } from "~/server/cases/give/give-week";
import { sheetPage } from "~/server/cases/week/sheet";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import type { Route } from "./+types/sheet";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(planWords.sheet.title, loaderData?.sheet.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const { weekId } = idsOf(asked.params, "weekId");
    const sheet = await sheetPage(services, studioId, personId, weekId);
    const teaches = who.role === "teacher";
    const others = teaches ? await otherStudents(services, studioId, personId) : [];
    return { studioId, sheet, teaches, others };
  });

/** Items of this week are given to others. */
export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => {
    const given = readGivenItems(await formOf(asked.request));
    if (!given.ok) return refused(given.error);
    const { weekId } = idsOf(asked.params, "weekId");
    return { given: await giveWeek(services, studioId, { personId, weekId }, given.value) };
  });

export default function SheetRoute({ loaderData, actionData }: Route.ComponentProps) {
  const answer = { given: undefined, ...actionData };
  const refused = actionData && "errors" in actionData ? actionData : undefined;
  return <SheetPage {...loaderData} refused={refused} given={answer.given} />;
}
