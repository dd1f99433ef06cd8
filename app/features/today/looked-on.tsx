import { isPassageKind, type FittedBlock } from "~/core/session";
import { Section } from "~/components/page";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import type { TodayPageProps } from "./today-shapes";
import { useSession } from "./use-session";
import styles from "./today.module.css";

/** Today's plan for somebody who looks on: what it is and how long, and nothing to press. */
export function LookedOn(props: TodayPageProps) {
  const { blocks, total } = useSession(props);
  const nameOf = ({ passageId, itemId, text, kind }: FittedBlock): string => {
    const passage = props.passages.find(({ id }) => id === passageId);
    if (!passage) return itemId ? text : words.block[kind].name;
    const { title, name, fromBar, toBar } = passage;
    return `${title}, ${name || words.bars(fromBar, toBar)}`;
  };
  const done = props.asked.filter((each) => each.done);
  return (
    <Section title={words.today.plan}>
      <p className={styles.soft}>{planWords.today.plannedInAll(total)}</p>
      <ol className={styles.looked}>
        {blocks.map((block) => (
          <li key={block.id} data-plays={isPassageKind(block.kind)}>
            <span>{planWords.minutes(block.minutes)}</span> {nameOf(block)}
          </li>
        ))}
      </ol>
      {done.length > 0 && (
        <p>{planWords.today.doneAlready(done.map(({ title }) => title).join(", "))}</p>
      )}
    </Section>
  );
}
