import { redirect } from "react-router";
import { PasswordPage } from "~/features/access/password-page";
import { credentialsFormSchema } from "~/forms/credentials";
import { callerOf, goWith } from "~/server/access/door";
import { formOf } from "~/server/body";
import { answering, refused } from "~/server/boundary";
import { choosePassword } from "~/server/cases/people/passwords";
import { beginSignIn, signOut } from "~/server/cases/people/sign-in";
import { servicesOf } from "~/server/context";
import { readForm, withoutPassword } from "~/server/form";
import { words } from "~/words";
import { accessWords } from "~/words/access";
import type { Route } from "./+types/password";

export const meta = () => [{ title: words.title(accessWords.password.title) }];

/** Only a teacher has a password, and only they set it. */
async function teacher({ context }: Pick<Route.LoaderArgs, "context">) {
  const who = await callerOf(context).who();
  if (!who) throw redirect("/sign-in?to=/password");
  if (who.role !== "teacher") throw redirect("/");
  return who;
}

export const loader = (asked: Route.LoaderArgs) =>
  answering(async () => {
    await teacher(asked);
    return null;
  });

export const action = (asked: Route.ActionArgs) =>
  answering(async () => {
    const who = await teacher(asked);
    const form = readForm(await formOf(asked.request), credentialsFormSchema);
    if (!form.ok) {
      const { errors, values } = form.error;
      return refused({ errors, values: withoutPassword(values) });
    }
    const done = await choosePassword(servicesOf(asked.context), who, form.value);
    if (!done.ok) return refused({ errors: done.error, values: { signIn: form.value.signIn } });
    // Whoever came in with the old password, or by the way in that is replaced, is out.
    const services = servicesOf(asked.context);
    await signOut(services, who, true);
    const begun = await beginSignIn(services, { id: who.personId, studio_id: who.studioId });
    throw await goWith(callerOf(asked.context).door, begun, "/");
  });

export default function Password({ actionData }: Route.ComponentProps) {
  return <PasswordPage refused={actionData} />;
}
