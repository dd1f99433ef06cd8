import * as v from "valibot";
import { PAPERS } from "~/features/sheet/papers";
import type { Drawing } from "~/features/print/drawing.server";
import { forStudent } from "~/server/access/guard";
import { idsOf } from "~/server/boundary";
import { sheetPage } from "~/server/cases/week/sheet";
import { preferredLocale } from "~/server/locale";
import type { Route } from "./+types/sheet-pdf";

const paperSchema = v.fallback(v.picklist(PAPERS), "a4");

export const loader = (asked: Route.LoaderArgs) =>
  forStudent(asked, "see", async ({ services, studioId, personId }) => {
    const { weekId } = idsOf(asked.params, "weekId");
    const sheet = await sheetPage(services, studioId, personId, weekId);
    const { searchParams } = new URL(asked.request.url);
    const paper = v.parse(paperSchema, searchParams.get("paper"));
    const locale = preferredLocale(asked.request.headers.get("accept-language"));
    const drawing: Drawing = { kind: "sheet", sheet, paper, locale };
    const pdf = await services.print(studioId, drawing);
    return new Response(pdf as BodyInit, {
      headers: {
        "Content-Type": "application/pdf",
        "Content-Disposition": `inline; filename="practice-${sheet.week.from}.pdf"`,
        "Cache-Control": "private, no-store",
      },
    });
  });
