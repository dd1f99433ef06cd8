import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { ratingScaleSchema, type RatingScale } from "~/core/week";
import { ratingScaleOf, setRatingScale } from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import type { Services } from "../../services";

const LONGEST = 600;

/** How a room rates what is handed in. */
export const ratingScale = ({ db }: Services, studioId: string) => ratingScaleOf(db, studioId);

const wordsIn = (typed: string) =>
  typed
    .split(",")
    .map((word) => word.trim())
    .filter(Boolean);

/** The scale as the form sends it: its kind, words between commas, the most points. */
function typedScale(values: Readonly<Record<string, string>>) {
  const { kind = "", words = "", most = "" } = values;
  if (kind === "words") return { kind, words: wordsIn(words) };
  return kind === "points" ? { kind, most: most.trim() === "" ? NaN : Number(most) } : { kind };
}

/** Sets how a room rates what is handed in; what was rated before stays as it was said. */
export async function rateBy(
  { db }: Services,
  studioId: string,
  form: FormData,
): Promise<Result<RatingScale, FormRefused>> {
  const values = Object.fromEntries(
    ["kind", "words", "most"].map((name) => [name, String(form.get(name) ?? "").slice(0, LONGEST)]),
  );
  const read = v.safeParse(ratingScaleSchema, typedScale(values));
  if (!read.success) {
    const [{ message, path }] = read.issues;
    const field =
      path?.[0]?.key === "words" ? "words" : path?.[0]?.key === "most" ? "most" : "kind";
    const sentence = field === "kind" ? "Choose how takes are rated." : message;
    return err({ errors: { [field]: sentence }, values });
  }
  await setRatingScale(db, studioId, read.output);
  return ok(read.output);
}
