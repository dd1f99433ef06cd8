import { Press } from "~/components/press";
import { words } from "~/words/stand-words";
import { HIDDEN_NOTES, type ByHeart } from "./use-by-heart";
import styles from "./stand-bars.module.css";

/** What of the notes is hidden, and the way to see it for one play. */
export function ByHeartChoice({ byHeart }: { byHeart: ByHeart }) {
  const { chosen, looking, choose, look } = byHeart;
  return (
    <>
      <label className={styles.byHeart}>
        <span className={styles.byHeartLabel}>{words.stand.byHeart}</span>{" "}
        <select
          value={chosen}
          onChange={({ target }) => {
            const next = HIDDEN_NOTES.find((each) => each === target.value);
            if (next) choose(next);
          }}
        >
          {HIDDEN_NOTES.map((each) => (
            <option key={each} value={each}>
              {words.stand.hiddenNotes[each]}
            </option>
          ))}
        </select>
      </label>
      {chosen !== "none" && (
        <Press size="small" disabled={looking} onClick={look}>
          {words.stand.lookOnce}
        </Press>
      )}
    </>
  );
}
