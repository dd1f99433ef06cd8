import { Field, type Refused } from "~/components/field";
import { words } from "~/words";

const { openRoom } = words;

/** The name and the password that a teacher chooses to sign in with. */
export function CredentialFields({ refused }: { refused: Refused | undefined }) {
  return (
    <>
      <Field
        name="signIn"
        label={openRoom.signIn}
        helper={openRoom.signInHelp}
        refused={refused}
        autoComplete="username"
      />
      <Field
        name="password"
        type="password"
        label={openRoom.password}
        helper={openRoom.passwordHelp}
        refused={refused}
        autoComplete="new-password"
      />
    </>
  );
}
