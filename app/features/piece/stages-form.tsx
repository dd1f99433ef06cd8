import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { Refused } from "~/components/field";
import { renamed, type Stages } from "~/core/score";
import { words } from "~/words";
import styles from "./piece.module.css";

/** Where the piece stands on its way to the stage; a press moves it, the list can be written anew. */
export function StagesForm({ stages }: { stages: Stages }) {
  const fetcher = useFetcher<Refused>();
  const [lines, setLines] = useState(stages.list.map(({ name }) => name).join("\n"));
  const keep = (next: Stages) =>
    void fetcher.submit({ act: "stages", stages: JSON.stringify(next) }, { method: "post" });
  const refused = fetcher.data && "errors" in fetcher.data ? fetcher.data : undefined;
  return (
    <>
      <ol className={styles.stages}>
        {stages.list.map(({ name }, index) => (
          <li key={`${name} ${index}`}>
            <Button
              size="small"
              variant={index === stages.at ? "contained" : "outlined"}
              aria-pressed={index === stages.at}
              disabled={fetcher.state !== "idle"}
              onClick={() => keep({ ...stages, at: index })}
            >
              {name}
            </Button>
          </li>
        ))}
      </ol>
      <details className={styles.stageList}>
        <summary>{words.piece.writeStages}</summary>
        <TextField
          multiline
          minRows={4}
          label={words.piece.stageLines}
          value={lines}
          onChange={({ target }) => setLines(target.value)}
        />
        <Button variant="outlined" onClick={() => keep(renamed(stages, lines.split("\n")))}>
          {words.piece.keepStages}
        </Button>
      </details>
      {refused && <p role="alert">{Object.values(refused.errors)[0]}</p>}
    </>
  );
}
