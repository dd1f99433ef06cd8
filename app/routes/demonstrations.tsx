import { data } from "react-router";
import { DemonstrationsPage } from "~/features/demonstration/demonstrations-page";
import { formOf } from "~/server/body";
import { idsOf } from "~/server/boundary";
import {
  addDemonstration,
  demonstrationsPage,
  dropDemonstration,
  markDemonstration,
} from "~/server/cases/take/demonstrations";
import { forStudent } from "~/server/access/guard";
import { words } from "~/words";
import { demonstrationWords } from "~/words/demonstrations";
import type { Route } from "./+types/demonstrations";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(demonstrationWords.title, loaderData?.piece.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const page = await demonstrationsPage(services, { studioId, personId, pieceId });
    return { studioId, teaches: who.role === "teacher", ...page };
  });

const refuse = (sentence: string) => data({ sentence, marked: undefined }, { status: 422 });
const told = (marked?: string) => ({ sentence: undefined, marked });

/** Only teachers bring demonstrations, mark their bars and take them away. */
export const action = (asked: Route.ActionArgs) =>
  forStudent(asked, "teach", async ({ services, studioId }) => {
    const of = { studioId, ...idsOf(asked.params, "pieceId") };
    const form = await formOf(asked.request);
    const act = form.get("act");
    if (act === "mark") {
      const done = await markDemonstration(services, of, form);
      return done.ok ? told(String(form.get("demonstration"))) : refuse(done.error);
    }
    if (act === "drop") {
      const { demonstration } = idsOf(
        { demonstration: String(form.get("demonstration")) },
        "demonstration",
      );
      await dropDemonstration(services, studioId, demonstration);
      return told();
    }
    const done = await addDemonstration(services, of, form);
    return done.ok ? told() : refuse(done.error.errors.file!);
  });

export default function Demonstrations({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <DemonstrationsPage
      {...loaderData}
      sentence={actionData?.sentence}
      marked={actionData?.marked}
    />
  );
}
