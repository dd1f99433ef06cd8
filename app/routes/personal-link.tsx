import { PersonalLinkPage } from "~/features/access/personal-link-page";
import { callerOf, goWith, ownPath } from "~/server/access/door";
import { answering, notFound, refused } from "~/server/boundary";
import { linkOpens, signInWithLink } from "~/server/cases/people/sign-in";
import { servicesOf } from "~/server/context";
import { words } from "~/words";
import { accessWords } from "~/words/access";
import type { Route } from "./+types/personal-link";

export const meta = () => [{ title: words.title(accessWords.link.title) }];

/** Looking at the link lets nobody in: a program that fetches it ahead must not use it. */
export const loader = ({ params, context }: Route.LoaderArgs) =>
  answering(async () => {
    if (!(await linkOpens(servicesOf(context), params.secret))) {
      throw notFound("This link doesn't open anything any more. Ask your teacher for a new one.");
    }
    return null;
  });

/** Where the link leads besides letting in. */
const toAfter = (request: Request) => ownPath(new URL(request.url).searchParams.get("to")) ?? "/";

export const action = ({ request, params, context }: Route.ActionArgs) =>
  answering(async () => {
    const { door, address } = callerOf(context);
    const trying = { throttle: door.throttle, address };
    const tell = await signInWithLink(servicesOf(context), trying, params.secret);
    if (tell.ok) throw await goWith(door, tell.value, toAfter(request));
    return refused({ errors: { form: tell.error.sentence }, values: {} }, tell.error.status);
  });

export default function PersonalLink({ actionData }: Route.ComponentProps) {
  return <PersonalLinkPage refused={actionData} />;
}
