import { redirect } from "react-router";
import { PiecePage } from "~/features/piece/piece-page";
import { flawDaysOf } from "~/forms/flaw-days";
import { idsOf, refused } from "~/server/boundary";
import { actOnPiece } from "~/server/cases/piece/act-on-piece";
import { keepAsExercise } from "~/server/cases/give/exercises";
import { givePiece, readGiven } from "~/server/cases/give/give";
import { drawBars, pagesFromForm } from "~/server/cases/piece/paper";
import { piecePage } from "~/server/cases/piece/passage-pages";
import { choosePart, notesFromForm } from "~/server/cases/piece/scores";
import { measurePassages } from "~/server/cases/piece/trouble";
import { forStudent, forStudentForm } from "~/server/access/guard";
import { words } from "~/words";
import type { Route } from "./+types/piece";

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: words.title(loaderData?.piece.title) },
];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId, who }) => {
    const { pieceId } = idsOf(asked.params, "pieceId");
    const flawDays = flawDaysOf(asked.request.url);
    const page = await piecePage(services, studioId, personId, pieceId, flawDays);
    const { role } = who;
    // Who else comes to the room is the teacher's business.
    return { studioId, flawDays, role, ...page, others: role === "teacher" ? page.others : [] };
  });

/** Whoever practises marks how bars go; everything else about a piece is the teacher's. */
const rightOf = (form: FormData) => (form.get("act") === "mark" ? "practise" : "teach");

export const action = (asked: Route.ActionArgs) =>
  forStudentForm(asked, rightOf, async ({ services, studioId, personId, form }) => {
    const ids = { studioId, personId, ...idsOf(asked.params, "pieceId") };
    if (form.get("act") === "give") {
      const to = readGiven(form);
      if (!to.ok) return refused(to.error);
      return { given: await givePiece(services, ids, to.value) };
    }
    if (form.get("act") === "exercise") {
      const kept = await keepAsExercise(services, ids, form);
      return kept.ok ? { kept: kept.value } : refused(kept.error);
    }
    if (form.get("act") === "notes") {
      const laid = await notesFromForm(services, ids, form);
      if (laid.ok) await measurePassages(services, ids);
      return laid.ok ? { renumbered: laid.value.renumbered } : refused(laid.error);
    }
    if (form.get("act") === "pages") {
      const laid = await pagesFromForm(services, ids, form);
      return laid.ok ? undefined : refused(laid.error);
    }
    if (form.get("act") === "bars") {
      const drawn = await drawBars(services, ids, form);
      return drawn.ok ? undefined : refused(drawn.error);
    }
    if (form.get("act") === "part") {
      const chosen = await choosePart(services, ids, form);
      if (chosen.ok) await measurePassages(services, ids);
      return chosen.ok ? undefined : refused(chosen.error);
    }
    const done = await actOnPiece(services, ids, form);
    if (!done.ok) return refused(done.error);
    if (done.value) {
      const join = form.get("join") === "1" ? "?join=1" : "";
      throw redirect(`/studio/${ids.studioId}/passages/${done.value}/ladder${join}`);
    }
    return undefined;
  });

export default function Piece({ loaderData, actionData }: Route.ComponentProps) {
  const given = actionData && "given" in actionData ? actionData.given : undefined;
  const kept = actionData && "kept" in actionData ? actionData.kept : undefined;
  const refused = actionData && "errors" in actionData ? actionData : undefined;
  const renumbered = (actionData && "renumbered" in actionData && actionData.renumbered) || [];
  const told = { refused, given, kept, renumbered };
  return <PiecePage {...loaderData} {...told} />;
}
