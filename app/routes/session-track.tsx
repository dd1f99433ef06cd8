import { data } from "react-router";
import * as v from "valibot";
import { TrackPage } from "~/features/track/track-page";
import { forStudent } from "~/server/access/guard";
import { trackedSchema, trackPage } from "~/server/cases/piece/track";
import { words } from "~/words";
import { trackWords } from "~/words/track";
import type { Route } from "./+types/session-track";

export const meta = () => [{ title: words.title(trackWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "practise", async ({ services, studioId, personId }) => {
    const { searchParams } = new URL(asked.request.url);
    const read = v.safeParse(trackedSchema, searchParams.getAll("passage"));
    if (!read.success) throw data({ sentence: read.issues[0].message }, { status: 400 });
    const page = await trackPage(services, studioId, personId, read.output);
    return { studioId, session: true, ...page };
  });

export default function SessionTrack({ loaderData }: Route.ComponentProps) {
  return <TrackPage {...loaderData} />;
}
