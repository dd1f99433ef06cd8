import { LibraryPage } from "~/features/library/library-page";
import { answering, idsOf, refused } from "~/server/boundary";
import { keepInLibrary, libraryPage, readKept, takeOutOfLibrary } from "~/server/cases/library";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import type { Route } from "./+types/library";

export const meta = () => [{ title: words.title(words.library.title) }];

export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { studioId } = idsOf(params, "studioId");
    return { studioId, ...(await libraryPage(servicesOf(context), studioId)) };
  });

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { studioId } = idsOf(params, "studioId");
    const services = servicesOf(context);
    const form = await request.formData();
    if (form.get("intent") === "remove") {
      const { id } = idsOf({ id: String(form.get("id")) }, "id");
      await takeOutOfLibrary(services, studioId, id);
      return { kept: undefined };
    }
    const read = readKept(form);
    if (!read.ok) return refused(read.error);
    const kept = await keepInLibrary(services, studioId, read.value);
    return kept.ok ? { kept: kept.value } : refused(kept.error);
  });

export default function Library({ loaderData }: Route.ComponentProps) {
  return <LibraryPage {...loaderData} />;
}
