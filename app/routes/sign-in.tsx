import * as v from "valibot";
import { SignInPage } from "~/features/access/sign-in-page";
import { callerOf, goWith, ownPath } from "~/server/access/door";
import { formOf } from "~/server/body";
import { answering, refused } from "~/server/boundary";
import {
  peopleOfDemo,
  signInToDemo,
  signInWithCode,
  signInWithPassword,
} from "~/server/cases/people/sign-in";
import { servicesOf } from "~/server/context";
import { readForm, withoutPassword } from "~/server/form";
import { words } from "~/words";
import { accessWords } from "~/words/access";
import type { Route } from "./+types/sign-in";

export const meta = () => [{ title: words.title(accessWords.signIn.title) }];

const LONGEST = 200;
const typed = v.pipe(v.string(), v.trim(), v.maxLength(LONGEST, "That is too long."));

const wayIn = v.variant("way", [
  v.object({
    way: v.literal("password"),
    name: v.pipe(typed, v.toLowerCase(), v.minLength(1, "Your name to sign in with.")),
    password: v.pipe(v.string(), v.minLength(1, "Your password."), v.maxLength(LONGEST)),
  }),
  v.object({ way: v.literal("code"), code: v.pipe(typed, v.minLength(1, "Type the code.")) }),
  v.object({ way: v.literal("demo"), person: v.pipe(v.string(), v.uuid()) }),
]);

export const loader = ({ request, context }: Route.LoaderArgs) =>
  answering(async () => {
    const { door } = callerOf(context);
    const to = ownPath(new URL(request.url).searchParams.get("to"));
    return { to, people: door.demo ? await peopleOfDemo(servicesOf(context)) : [] };
  });

export const action = ({ request, context }: Route.ActionArgs) =>
  answering(async () => {
    const form = readForm(await formOf(request), wayIn);
    if (!form.ok) {
      const { errors, values } = form.error;
      return refused({ errors, values: withoutPassword(values) });
    }
    const services = servicesOf(context);
    const { door, address } = callerOf(context);
    const trying = { throttle: door.throttle, address };
    const to = ownPath(new URL(request.url).searchParams.get("to")) ?? "/";
    const tried = form.value;
    if (tried.way === "demo") {
      const signIn = door.demo ? await signInToDemo(services, tried.person) : undefined;
      if (signIn) throw await goWith(door, signIn, "/");
      return refused(
        { errors: { form: "There is nobody like that in the demo." }, values: {} },
        401,
      );
    }
    const tell = await (tried.way === "password"
      ? signInWithPassword(services, trying, tried.name, tried.password)
      : signInWithCode(services, trying, tried.code));
    if (tell.ok) throw await goWith(door, tell.value, to);
    const { sentence, status } = tell.error;
    return tried.way === "password"
      ? refused({ errors: { password: sentence }, values: { name: tried.name } }, status)
      : refused({ errors: { code: sentence }, values: { code: tried.code } }, status);
  });

export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  return <SignInPage {...loaderData} refused={actionData} />;
}
