import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useEffect } from "react";
import { useFetcher } from "react-router";
import { ChooseStudents, type StudentToChoose } from "~/components/choose-students";
import { Field, type Refused } from "~/components/field";
import { words } from "~/words";
import type { LibraryLine } from "./library-line";
import styles from "./library.module.css";

export interface Acting {
  readonly act: "rename" | "remove" | "give";
  readonly line: LibraryLine;
}

interface ActDialogProps extends Acting {
  readonly students: readonly StudentToChoose[];
  readonly onEnd: () => void;
}

const { library } = words;

/** Another name for a thing of the library, its way out, or students who get it. */
export function ActDialog({ act, line, students, onEnd }: ActDialogProps) {
  const fetcher = useFetcher<Refused | { readonly given: number } | { readonly done: string }>();
  const answer = fetcher.data;
  const refused = answer && "errors" in answer ? answer : undefined;
  const given = answer && "given" in answer ? answer.given : undefined;
  const done = answer !== undefined && "done" in answer && fetcher.state === "idle";
  useEffect(() => {
    if (done) onEnd();
  }, [done, onEnd]);
  const title = { rename: library.renameOf, remove: library.remove, give: library.giveOf }[act];
  return (
    <Dialog open onClose={onEnd} aria-labelledby="act-title" fullWidth maxWidth="sm">
      <fetcher.Form method="post" noValidate>
        <input type="hidden" name="intent" value={act} />
        <input type="hidden" name="kind" value={line.kind} />
        <input type="hidden" name="id" value={line.id} />
        <DialogTitle id="act-title">{title(line.name)}</DialogTitle>
        <DialogContent className={styles.dialog}>
          {act === "rename" && (
            <Field
              name="name"
              label={library.newName}
              defaultValue={line.name}
              refused={refused}
              autoFocus
            />
          )}
          {act === "remove" && <p>{library.removeHow[line.kind]}</p>}
          {act === "give" && (
            <>
              <p>{words.piece.giveHow}</p>
              <ChooseStudents
                name="to"
                label={words.piece.giveWhom}
                students={students}
                error={refused?.errors.to}
              />
              {given !== undefined && <p role="status">{words.piece.given(given)}</p>}
            </>
          )}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onEnd}>
            {given === undefined ? words.cancel : library.close}
          </Button>
          <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"}>
            {{ rename: library.keepName, remove: library.takeOut, give: library.give }[act]}
          </Button>
        </DialogActions>
      </fetcher.Form>
    </Dialog>
  );
}
