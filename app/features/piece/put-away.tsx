import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Section } from "~/components/page";
import { PutBack } from "~/components/put-back";
import { words } from "~/words";
import type { PiecePageProps } from "./piece-page-props";
import styles from "./piece.module.css";

interface PutAwayProps extends Pick<PiecePageProps, "studioId" | "putAway"> {
  /** The piece's page. */
  readonly piece: string;
}

/** What was taken off the stand: its record stays, and it can come back. */
export function PutAway({ studioId, putAway, piece }: PutAwayProps) {
  const formats = useFormats();
  if (putAway.length === 0) return null;
  return (
    <Section title={words.piece.putAway}>
      <ul className={styles.passages}>
        {putAway.map(({ id, name, fromBar, toBar, since }) => (
          <li key={id} className={styles.passage}>
            <Link to={`/studio/${studioId}/passages/${id}`}>
              {name || words.capital(words.bars(fromBar, toBar))}
            </Link>
            <span className={styles.soft}>{words.piece.since(formats.shortDay(since))}</span>
            <div className={styles.push}>
              <PutBack piece={piece} passageId={id} />
            </div>
          </li>
        ))}
      </ul>
    </Section>
  );
}
