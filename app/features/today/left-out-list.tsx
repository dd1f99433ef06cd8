import Button from "@mui/material/Button";
import { Section } from "~/components/page";
import type { LeftOut } from "~/core/session";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import type { PassageToday } from "./today-shapes";
import styles from "./part-list.module.css";

interface LeftOutListProps {
  readonly leftOut: readonly LeftOut[];
  readonly passageOf: (id: string | undefined) => PassageToday | undefined;
  readonly onTakeIn: (left: LeftOut) => void;
}

const { today } = planWords;

/** What is not in the session, and why; each can be put in all the same. */
export function LeftOutList({ leftOut, passageOf, onTakeIn }: LeftOutListProps) {
  if (leftOut.length === 0) return null;
  const named = leftOut.filter(({ passageId, itemId }) => passageId ?? itemId);
  const others = leftOut.filter((each) => !named.includes(each));
  return (
    <Section title={today.notToday}>
      <ul className={styles.left}>
        {named.map((left) => {
          const { kind, passageId, itemId, text, reason } = left;
          const passage = passageOf(passageId);
          const name = passage?.title ?? (text || words.block[kind].name);
          return (
            <li key={passageId ?? itemId} data-passage={passageId}>
              <span>
                <strong>{name}</strong>
                {passage && <>, {passage.name || words.bars(passage.fromBar, passage.toBar)}</>}
                <span className={styles.soft}>: {planWords.left(reason)}</span>
              </span>
              {reason.why !== "easy-again" && reason.why !== "hurts" && (
                <Button size="small" aria-label={today.takeIn(name)} onClick={() => onTakeIn(left)}>
                  {today.takeInShort}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {others.length > 0 && (
        <p className={styles.others}>
          <span className={styles.soft}>{today.alsoLeft}</span>
          {others.map((left) => (
            <Button
              key={left.kind}
              size="small"
              variant="outlined"
              aria-label={today.takeIn(words.block[left.kind].name)}
              onClick={() => onTakeIn(left)}
            >
              + {words.block[left.kind].name}
            </Button>
          ))}
        </p>
      )}
    </Section>
  );
}
