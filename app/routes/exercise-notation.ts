import * as v from "valibot";
import { madeNotationSchema } from "~/forms/made";
import { forStudent } from "~/server/access/guard";
import { previewOfMade } from "~/server/cases/piece/made";
import type { Route } from "./+types/exercise-notation";

const refusedFor = (sentence: string) => Response.json({ sentence }, { status: 422 });

/** The notes of an exercise that is being made. */
export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "teach", async ({ services, studioId }) => {
    const asking = Object.fromEntries(new URL(asked.request.url).searchParams);
    const read = v.safeParse(madeNotationSchema, asking);
    if (!read.success) return refusedFor(read.issues[0].message);
    const shown = await previewOfMade(services, studioId, read.output);
    return shown.ok ? Response.json(shown.value) : refusedFor(shown.error);
  });
