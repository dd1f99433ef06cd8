import { LibraryPage } from "~/features/library/library-page";
import { schoolsCalled } from "~/features/library/schools-called";
import { libraryQuerySchema } from "~/forms/library";
import { formOf } from "~/server/body";
import { idsOf, refused } from "~/server/boundary";
import { giveExercise } from "~/server/cases/give/exercises";
import { readGiven } from "~/server/cases/give/give";
import { actOnLibrary, keepInLibrary, libraryPage, readKept } from "~/server/cases/give/library";
import { forTeacher } from "~/server/access/guard";
import { readQuery } from "~/server/query";
import { words } from "~/words";
import type { Route } from "./+types/library";

export const meta = () => [{ title: words.title(words.library.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const query = readQuery(asked.request, libraryQuerySchema);
    const schools = query.find ? schoolsCalled(query.find) : [];
    return { studioId, ...(await libraryPage(services, studioId, query, schools)) };
  });

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const form = await formOf(asked.request);
    const intent = form.get("intent");
    if (intent === "give") {
      const { id } = idsOf({ id: String(form.get("id")) }, "id");
      const to = readGiven(form);
      if (!to.ok) return refused(to.error);
      await giveExercise(services, studioId, id, to.value);
      return { given: to.value.length };
    }
    if (intent === "rename" || intent === "remove") {
      const done = await actOnLibrary(services, studioId, form);
      return done.ok ? { done: intent } : refused(done.error);
    }
    const read = readKept(form);
    if (!read.ok) return refused(read.error);
    const kept = await keepInLibrary(services, studioId, read.value);
    return kept.ok ? { kept: kept.value } : refused(kept.error);
  });

export default function Library({ loaderData }: Route.ComponentProps) {
  return <LibraryPage {...loaderData} />;
}
