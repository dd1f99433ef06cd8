import { useState } from "react";
import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import type { RatingScale } from "~/core/week";
import { recordsWords } from "~/words/records";
import styles from "./records.module.css";

const { ratings: said } = recordsWords.room;
const KINDS = ["words", "points", "none"] as const satisfies readonly RatingScale["kind"][];
const USUAL_POINTS = 10;

interface RatingScaleFormProps {
  readonly scale: RatingScale;
  readonly refused: Refused | undefined;
  readonly kept: boolean;
}

/** How what is handed in is rated: by words of one's own, by points, or not at all. */
export function RatingScaleForm({ scale, refused, kept }: RatingScaleFormProps) {
  const [kind, setKind] = useState(scale.kind);
  const words = scale.kind === "words" ? scale.words : said.usual;
  const most = scale.kind === "points" ? scale.most : USUAL_POINTS;
  return (
    <Form method="post" className={styles.scale} noValidate>
      <fieldset className={styles.kinds}>
        <legend>{said.lead}</legend>
        {KINDS.map((each) => (
          <label key={each}>
            <input
              type="radio"
              name="kind"
              value={each}
              checked={kind === each}
              onChange={() => setKind(each)}
            />
            {said.kinds[each]}
          </label>
        ))}
      </fieldset>
      {kind === "words" && (
        <Field
          name="words"
          label={said.words}
          helper={said.wordsHelp}
          defaultValue={words.join(", ")}
          refused={refused}
          fullWidth
        />
      )}
      {kind === "points" && (
        <Field
          name="most"
          type="number"
          label={said.most}
          defaultValue={String(most)}
          refused={refused}
        />
      )}
      <div>
        <SubmitButton variant="outlined" name="what" value="ratings">
          {said.keep}
        </SubmitButton>{" "}
        {kept && <span role="status">{said.kept}</span>}
      </div>
    </Form>
  );
}
