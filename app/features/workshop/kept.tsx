import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { Refused } from "~/components/field";
import type { Ladder } from "~/core/ladder";
import { words } from "~/words";

export interface KeptLadder {
  readonly id: string;
  readonly name: string;
  readonly ladder: Ladder;
}

const { workshop } = words;
const TITLE = "keep-title";

interface KeepProps {
  readonly action: string;
  readonly ladder: Ladder | undefined;
  readonly onKept: (name: string) => void;
}

/** Keeps what is drawn under a name. */
export function KeepButton({ action, ladder, onKept }: KeepProps) {
  const [open, setOpen] = useState(false);
  const fetcher = useFetcher<Refused | { readonly kept: string }>();
  const answer = fetcher.data;
  const refused = answer && "errors" in answer ? answer.errors : undefined;
  const kept = answer && "kept" in answer ? answer.kept : undefined;
  useEffect(() => {
    if (kept === undefined || fetcher.state !== "idle") return;
    setOpen(false);
    onKept(kept);
    // Told once per answer.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [answer, fetcher.state]);
  return (
    <>
      <Button disabled={!ladder} onClick={() => setOpen(true)}>
        {workshop.keep}
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby={TITLE} fullWidth>
        <fetcher.Form method="post" action={action} noValidate>
          <DialogTitle id={TITLE}>{workshop.keep}</DialogTitle>
          <DialogContent>
            <input type="hidden" name="ladder" value={JSON.stringify(ladder)} />
            <TextField
              name="name"
              label={workshop.keepName}
              fullWidth
              autoFocus
              margin="dense"
              error={refused?.name !== undefined}
              helperText={refused?.name ?? refused?.form}
              slotProps={{ htmlInput: { maxLength: 80 } }}
            />
          </DialogContent>
          <DialogActions>
            <Button onClick={() => setOpen(false)}>{words.cancel}</Button>
            <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"}>
              {workshop.keep}
            </Button>
          </DialogActions>
        </fetcher.Form>
      </Dialog>
    </>
  );
}

/** A ladder of the library, to go on from. */
export function FromLibrary(props: {
  kept: readonly KeptLadder[];
  onChoose: (kept: KeptLadder) => void;
}) {
  const { kept, onChoose } = props;
  if (kept.length === 0) return null;
  return (
    <TextField
      select
      size="small"
      label={workshop.fromLibrary}
      value=""
      sx={{ width: 190 }}
      onChange={({ target }) => {
        const chosen = kept.find(({ id }) => id === target.value);
        if (chosen) onChoose(chosen);
      }}
    >
      {kept.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
