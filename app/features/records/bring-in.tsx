import Button from "@mui/material/Button";
import { useRef, useState } from "react";
import { Link } from "react-router";
import * as v from "valibot";
import { recordsWords } from "~/words/records";
import styles from "./records.module.css";

const { room } = recordsWords;

type State =
  | { readonly is: "open" | "busy" }
  | { readonly is: "refused"; readonly sentence: string }
  | { readonly is: "done"; readonly name: string };

const answerSchema = v.union([v.object({ sentence: v.string() }), v.object({ name: v.string() })]);

/** Sends the file as it is, so that neither here nor there all of it has to be in memory. */
async function send(to: string, file: File): Promise<State> {
  try {
    const response = await fetch(to, {
      method: "POST",
      body: file,
      headers: { "Content-Type": "application/zip" },
    });
    const text = await response.text();
    const read = v.safeParse(v.pipe(v.string(), v.parseJson(), answerSchema), text);
    if (!read.success) return { is: "refused", sentence: text || room.inLost };
    return "name" in read.output
      ? { is: "done", ...read.output }
      : { is: "refused", ...read.output };
  } catch {
    return { is: "refused", sentence: room.inLost };
  }
}

interface BringInProps {
  /** The room's own page. */
  readonly home: string;
  readonly empty: boolean;
}

/** A room's file, chosen and brought in. */
export function BringIn({ home, empty }: BringInProps) {
  const [state, setState] = useState<State>({ is: "open" });
  const chosen = useRef<HTMLInputElement>(null);
  const bring = async () => {
    const file = chosen.current?.files?.[0];
    if (!file) return setState({ is: "refused", sentence: room.noFile });
    setState({ is: "busy" });
    setState(await send(`${home}/room.zip`, file));
  };
  if (state.is === "done") {
    return (
      <>
        <p className={styles.said} role="status">
          {room.inDone(state.name)}
        </p>
        <Button component={Link} to={home} reloadDocument variant="contained">
          {room.inWeek}
        </Button>
      </>
    );
  }
  if (!empty) return <p className={styles.said}>{room.inNot}</p>;
  return (
    <>
      <p className={styles.said}>{room.inLead}</p>
      <div className={styles.bring}>
        <label>
          {room.inChoose}
          <input type="file" ref={chosen} accept=".zip,application/zip" />
        </label>
        <Button variant="contained" disabled={state.is === "busy"} onClick={() => void bring()}>
          {room.inDo}
        </Button>
        {state.is === "refused" && <p role="alert">{state.sentence}</p>}
        <p role="status">{state.is === "busy" ? room.inBusy : ""}</p>
      </div>
    </>
  );
}
