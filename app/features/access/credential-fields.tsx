import { FormField } from "~/components/form-field";
import { words } from "~/words";

const { openRoom } = words;

/** The name and the password that a teacher chooses to sign in with, in a `SentForm`. */
export function CredentialFields() {
  return (
    <>
      <FormField
        name="signIn"
        label={openRoom.signIn}
        helper={openRoom.signInHelp}
        autoComplete="username"
      />
      <FormField
        name="password"
        type="password"
        label={openRoom.password}
        helper={openRoom.passwordHelp}
        autoComplete="new-password"
      />
    </>
  );
}
