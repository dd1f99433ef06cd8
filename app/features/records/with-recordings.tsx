import Button from "@mui/material/Button";
import { recordsWords } from "~/words/records";

const BYTES_PER_MB = 1_000_000;

/** The same export with the recordings in it, where there are any. */
export function WithRecordings({ href, bytes }: { readonly href: string; readonly bytes: number }) {
  if (bytes === 0) return null;
  return (
    <Button href={`${href}?recordings=1`} download variant="outlined">
      {recordsWords.withRecordings(Math.max(1, Math.round(bytes / BYTES_PER_MB)))}
    </Button>
  );
}
