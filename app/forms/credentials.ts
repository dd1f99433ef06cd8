import * as v from "valibot";
import { newPasswordSchema, signInNameSchema } from "./names";
import { typedForm } from "./typed";

/** What a teacher signs in with, new or changed. */
export const credentialsFormSchema = typedForm(
  v.object({ signIn: signInNameSchema, password: newPasswordSchema }),
);
