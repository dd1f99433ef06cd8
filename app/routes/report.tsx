import { data } from "react-router";
import { ReportPage } from "~/features/report/report-page";
import { reportQuerySchema } from "~/forms/report";
import { forTeacher } from "~/server/access/guard";
import { formOf } from "~/server/body";
import { keepRule, reportPage } from "~/server/cases/record/report";
import { readQuery } from "~/server/query";
import { words } from "~/words";
import { reportWords } from "~/words/report";
import type { Route } from "./+types/report";

export const meta = () => [{ title: words.title(reportWords.title) }];

export const loader = (asked: Route.LoaderArgs) =>
  forTeacher(asked, async ({ services, studioId }) => ({
    studioId,
    ...(await reportPage(services, studioId, readQuery(asked.request, reportQuerySchema))),
  }));

export const action = (asked: Route.ActionArgs) =>
  forTeacher(asked, async ({ services, studioId }) => {
    const done = await keepRule(services, studioId, await formOf(asked.request));
    return done.ok
      ? { kept: true, refusal: undefined }
      : data({ kept: false, refusal: done.error }, { status: 422 });
  });

export default function Report({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <ReportPage {...loaderData} kept={actionData?.kept ?? false} refusal={actionData?.refusal} />
  );
}
