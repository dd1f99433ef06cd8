import { LibraryPage } from "~/features/library/library-page";
import { idsOf, refused } from "~/server/boundary";
import {
  keepInLibrary,
  libraryPage,
  readKept,
  renameInLibrary,
  takeOutOfLibrary,
  takeShapeOut,
} from "~/server/cases/library";
import { forTeacher } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/library";

export const meta = () => [{ title: words.title(words.library.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    return { studioId, ...(await libraryPage(services, studioId)) };
  });

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const form = await asked.request.formData();
    if (form.get("intent") === "remove") {
      const { id } = idsOf({ id: String(form.get("id")) }, "id");
      await takeOutOfLibrary(services, studioId, id);
      return { kept: undefined };
    }
    if (form.get("intent") === "remove-shape") {
      const { id } = idsOf({ id: String(form.get("id")) }, "id");
      await takeShapeOut(services, studioId, id);
      return { kept: undefined };
    }
    if (form.get("intent") === "rename") {
      const renamed = await renameInLibrary(services, studioId, form);
      return renamed.ok ? { kept: renamed.value } : refused(renamed.error);
    }
    const read = readKept(form);
    if (!read.ok) return refused(read.error);
    const kept = await keepInLibrary(services, studioId, read.value);
    return kept.ok ? { kept: kept.value } : refused(kept.error);
  });

export default function Library({ loaderData }: Route.ComponentProps) {
  return <LibraryPage {...loaderData} />;
}
