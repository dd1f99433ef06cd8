import Button from "@mui/material/Button";
import { Mic } from "lucide-react";
import { useId, useRef } from "react";
import { Form, useSubmit } from "react-router";
import { useAlive } from "~/components/alive";
import { canRecord, useVoice } from "~/features/voice/use-voice";
import { listenWords } from "~/words/listen";
import { COMMENT_BAR, COMMENT_TEXT } from "./desk-ids";
import { Line, useNewId } from "./line";
import styles from "./take.module.css";

const { handIn: said } = listenWords;
const MOST_SECONDS = 30;

interface CommentProps {
  readonly handIn: string;
  readonly bars: readonly number[];
  /** The keys of the listening desk lead to it. */
  readonly first: boolean;
}

/** What the teacher says of a bar, or of all of it: written, or spoken. */
export function Comment({ handIn, bars, first }: CommentProps) {
  const id = useNewId();
  const own = useId();
  const barId = first ? COMMENT_BAR : own;
  const form = useRef<HTMLFormElement>(null);
  return (
    <Form ref={form} method="post" encType="multipart/form-data" className={styles.handIn}>
      <input type="hidden" name="what" value="comment" />
      <input type="hidden" name="id" value={id} />
      <input type="hidden" name="handIn" value={handIn} />
      <div className={styles.field}>
        <label htmlFor={barId}>{said.bar}</label>
        <select id={barId} name="bar">
          <option value="">{said.whole}</option>
          {bars.map((bar) => (
            <option key={bar} value={bar}>
              {bar}
            </option>
          ))}
        </select>
      </div>
      <Line id={first ? COMMENT_TEXT : undefined} name="text" label={said.comment} most={500} />
      <Button type="submit" variant="outlined">
        {said.pin}
      </Button>
      <Speak form={() => form.current} />
    </Form>
  );
}

/** Says it aloud instead: half a minute at most, pinned to the bar that is chosen. */
function Speak({ form }: { readonly form: () => HTMLFormElement | null }) {
  const alive = useAlive();
  const submit = useSubmit();
  const { seconds, refused, begin, stop } = useVoice((file) => {
    const sent = new FormData(form() ?? undefined);
    sent.set("file", file);
    void submit(sent, { method: "post", encType: "multipart/form-data" });
  }, MOST_SECONDS);
  if (!alive || !canRecord()) return null;
  const rests = seconds === undefined;
  return (
    <>
      <Button
        variant={rests ? "text" : "contained"}
        startIcon={<Mic size={18} />}
        onClick={() => (rests ? void begin() : stop())}
      >
        {rests ? said.speak : said.spoken}
      </Button>
      <span role="status">
        {rests ? refused && said.refused : said.speaking(seconds, MOST_SECONDS)}
      </span>
    </>
  );
}
