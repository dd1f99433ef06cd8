import { redirect } from "react-router";
import { callerOf, goWith } from "~/server/access/door";
import { formOf } from "~/server/body";
import { answering } from "~/server/boundary";
import { signOut } from "~/server/cases/people/sign-in";
import { servicesOf } from "~/server/context";
import type { Route } from "./+types/sign-out";

export const loader = () => redirect("/sign-in");

/** Here, or on every device where this person is signed in. */
export const action = ({ request, context }: Route.ActionArgs) =>
  answering(async () => {
    const { door, who } = callerOf(context);
    const known = await who();
    const everywhere = (await formOf(request)).get("everywhere") === "yes";
    if (known) await signOut(servicesOf(context), known, everywhere);
    throw await goWith(door, undefined, "/sign-in");
  });
