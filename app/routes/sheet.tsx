import { SheetPage } from "~/features/plan/sheet-page";
import { forStudent } from "~/server/access/guard";
import { idsOf } from "~/server/boundary";
import { sheetPage } from "~/server/cases/sheet";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import type { Route } from "./+types/sheet";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(planWords.sheet.title, loaderData?.sheet.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const { weekId } = idsOf(asked.params, "weekId");
    return { studioId, sheet: await sheetPage(services, studioId, personId, weekId) };
  });

export default function SheetRoute({ loaderData: { studioId, sheet } }: Route.ComponentProps) {
  const back = `/studio/${studioId}/students/${sheet.person.id}/week`;
  return <SheetPage sheet={sheet} studioId={studioId} back={back} />;
}
