import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import { words } from "~/words";

interface PutBackProps {
  /** The piece's page on the student's stand. */
  readonly piece: string;
  readonly passageId: string;
}

/** A passage that was taken off the stand comes back with its record. */
export function PutBack({ piece, passageId }: PutBackProps) {
  const fetcher = useFetcher();
  return (
    <fetcher.Form method="post" action={piece}>
      <input type="hidden" name="passage" value={passageId} />
      <Button type="submit" name="act" value="put-back" variant="outlined" size="small">
        {words.piece.putBack}
      </Button>
    </fetcher.Form>
  );
}
