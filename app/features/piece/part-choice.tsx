import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useFetcher } from "react-router";
import type { ScorePart } from "~/core/score";
import { notationWords } from "~/words/notation";

/** Which part of the score the student plays; kept as soon as it is chosen. */
export function PartChoice({ parts, partId }: { parts: readonly ScorePart[]; partId: string }) {
  const fetcher = useFetcher();
  return (
    <TextField
      select
      size="small"
      label={notationWords.chooseParts}
      value={String(fetcher.formData?.get("part") ?? partId)}
      onChange={({ target }) =>
        void fetcher.submit({ act: "part", part: target.value }, { method: "post" })
      }
    >
      {parts.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
