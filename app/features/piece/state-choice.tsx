import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useFetcher } from "react-router";
import { PASSAGE_STATES } from "~/core/score";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";

/** What the teacher says of a passage; "by the record" leaves it to what was played. */
export function StateChoice({ passage }: { passage: PassageLine }) {
  const fetcher = useFetcher();
  return (
    <TextField
      select
      size="small"
      label={words.piece.state}
      value={passage.stateSet ?? "record"}
      sx={{ width: 160 }}
      onChange={(event) =>
        fetcher.submit(
          { act: "state", passage: passage.id, state: event.target.value },
          { method: "post" },
        )
      }
    >
      <MenuItem value="record">{words.piece.byRecord}</MenuItem>
      {PASSAGE_STATES.map((state) => (
        <MenuItem key={state} value={state}>
          {words.state[state]}
        </MenuItem>
      ))}
    </TextField>
  );
}
