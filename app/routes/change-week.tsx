import { data } from "react-router";
import { ChangeWeekPage } from "~/features/lesson/change-week-page";
import { forStudent } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { changeWeek, changeWeekPage, readWeekChange } from "~/server/cases/week/change-week";
import { words } from "~/words";
import { changeWords } from "~/words/change-week";
import type { Route } from "./+types/change-week";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(changeWords.title, loaderData?.person.name) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId }) => ({
    studioId,
    ...(await changeWeekPage(services, studioId, personId)),
  }));

const REFUSED = 422;

export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId, personId, who }) => {
    const sent = readWeekChange(await formOf(asked.request));
    if (!sent.ok) return data(sent.error, { status: REFUSED });
    // Who teaches themself knows what they have changed.
    const about = { studioId, personId, tell: who.personId !== personId };
    const written = await changeWeek(services, about, sent.value);
    return written.ok ? { changed: written.value.id } : data(written.error, { status: REFUSED });
  });

/** What is being changed on the page is not overwritten by an older answer. */
export const shouldRevalidate = () => false;

export default function ChangeWeek({ loaderData }: Route.ComponentProps) {
  return <ChangeWeekPage key={loaderData.person.id} {...loaderData} />;
}
