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
  return (
    <Section title={today.notToday}>
      <ul className={styles.left}>
        {leftOut.map((left, index) => {
          const { kind, passageId, itemId, text, reason } = left;
          const passage = passageOf(passageId);
          const name = passage?.title ?? (text || words.block[kind].name);
          return (
            <li key={passageId ?? itemId ?? `${kind}-${index}`} data-passage={passageId}>
              <span>
                <strong>{name}</strong>
                {passage && <>, {passage.name || words.bars(passage.fromBar, passage.toBar)}</>}
                <span className={styles.soft}>: {planWords.left(reason)}</span>
              </span>
              {reason.why !== "easy-again" && (
                <Button size="small" aria-label={today.takeIn(name)} onClick={() => onTakeIn(left)}>
                  {today.takeInShort}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
