import Button from "@mui/material/Button";
import { useSubmit } from "react-router";
import { useAlive } from "~/components/alive";
import { canRecord, useVoice } from "~/features/voice/use-voice";
import { demonstrationWords as said } from "~/words/demonstrations";

/** Records a demonstration in the page, and brings it as a file would be. */
export function RecordHere() {
  const submit = useSubmit();
  const alive = useAlive();
  const { seconds, refused, begin, stop } = useVoice((file) => {
    const form = new FormData();
    form.set("file", file);
    void submit(form, { method: "post", encType: "multipart/form-data" });
  });
  if (!alive || !canRecord()) return null;
  const rests = seconds === undefined;
  return (
    <p>
      <Button variant="outlined" onClick={() => (rests ? void begin() : stop())}>
        {rests ? said.record : said.stop}
      </Button>{" "}
      <span role="status">{rests ? refused && said.refused : said.recording(seconds)}</span>
    </p>
  );
}
