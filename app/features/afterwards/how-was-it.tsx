import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useFetcher } from "react-router";
import { Care } from "~/components/care";
import { FEELINGS, RATED, RATINGS, type Feeling, type Rated, type Rating } from "~/core/session";
import { planWords } from "~/words/plan";
import styles from "./afterwards.module.css";

const { ratings: said, today } = planWords;

/** Six questions to oneself, one touch each, none of them needed. */
export function Ratings({ given }: { given: Readonly<Partial<Record<Rating, Rated>>> }) {
  return (
    <>
      <p className={styles.soft}>{said.lead}</p>
      <ul className={styles.ratings}>
        {RATINGS.map((what) => (
          <RatingLine key={what} what={what} given={given[what]} />
        ))}
      </ul>
    </>
  );
}

function RatingLine({ what, given }: { what: Rating; given: Rated | undefined }) {
  const fetcher = useFetcher();
  const sent = fetcher.formData?.get("answer");
  const shown = typeof sent === "string" ? sent : (given ?? null);
  return (
    <li>
      <span id={`rate-${what}`}>{said.of[what]}</span>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={shown}
        aria-labelledby={`rate-${what}`}
        onChange={(_, answer: Rated | null) => {
          if (!answer) return;
          const id = crypto.randomUUID();
          void fetcher.submit({ say: "rating", id, what, answer }, { method: "post" });
        }}
      >
        {RATED.map((answer) => (
          <ToggleButton key={answer} value={answer}>
            {said.answers[answer]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </li>
  );
}

/** How the body is now; tightness or pain is followed up at once and at the next session. */
export function CheckIn({ feeling }: { feeling: Feeling | null }) {
  const fetcher = useFetcher();
  const sent = fetcher.formData?.get("feeling");
  const shown = FEELINGS.find((each) => each === sent) ?? feeling;
  return (
    <>
      <p className={styles.label} id="how-it-feels">
        {said.feeling}
      </p>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={shown}
        aria-labelledby="how-it-feels"
        onChange={(_, chosen: Feeling | null) => {
          if (!chosen) return;
          const id = crypto.randomUUID();
          void fetcher.submit({ say: "feeling", id, feeling: chosen }, { method: "post" });
        }}
      >
        {FEELINGS.map((each) => (
          <ToggleButton key={each} value={each}>
            {today.feelings[each]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {shown && shown !== "fine" && (
        <div className={styles.followUp} role="status">
          <p>{said.after[shown]}</p>
          <Care key={shown} open={shown === "painful"} />
        </div>
      )}
    </>
  );
}
