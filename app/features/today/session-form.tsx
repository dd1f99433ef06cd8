import Button from "@mui/material/Button";
import { Play } from "lucide-react";
import { Form, Link } from "react-router";
import { Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { FittedBlock } from "~/core/session";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { trackWords } from "~/words/track";
import { AddPart } from "./add-part";
import { AskBar } from "./ask-bar";
import { DoneToday } from "./done-today";
import { HurtQuestion } from "./hurt-question";
import { LeftOutList } from "./left-out-list";
import { PartList } from "./part-list";
import { RarelyChanged } from "./rarely-changed";
import { SessionRibbon } from "./session-ribbon";
import type { TodayPageProps } from "./today-shapes";
import { useSession } from "./use-session";
import styles from "./today.module.css";

const { today } = planWords;

/** What is sent: the parts in their order. */
const asParts = (blocks: readonly FittedBlock[]) =>
  JSON.stringify(
    blocks.map(({ kind, minutes, text, passageId, itemId }) => ({
      kind,
      minutes,
      text,
      passageId: passageId ?? null,
      itemId: itemId ?? null,
    })),
  );

/** The session as it will be: fitted to minutes, feeling and shape, then changed by hand. */
export function SessionForm(props: TodayPageProps) {
  const { passages, refused, asked } = props;
  const session = useSession(props);
  const { blocks } = session;
  const { feeling } = session.asked;
  const passageOf = (id: string | undefined) => passages.find((each) => each.id === id);
  const nameOf = (block: FittedBlock): string =>
    passageOf(block.passageId)?.title ?? (block.itemId ? block.text : words.block[block.kind].name);
  const tracked = blocks.flatMap(({ passageId }) => (passageId ? [["passage", passageId]] : []));
  const silent = feeling === undefined || feeling === "painful";
  return (
    <>
      <HurtQuestion
        since={props.hurt}
        feeling={feeling}
        onSay={(said) => session.ask({ feeling: said })}
      />
      <AskBar asked={session.asked} gentle={props.feeling} onAsk={session.ask} />
      {asked.length > 0 && asked.every(({ done }) => done) && (
        <p className={styles.allDone}>{today.allDone}</p>
      )}
      <SessionRibbon
        blocks={blocks}
        nameOf={nameOf}
        onMove={session.move}
        onStretch={session.stretch}
        onLeave={session.leave}
      />
      <Form method="post" className={styles.start} id="start">
        <input type="hidden" name="parts" value={asParts(blocks)} />
        {feeling && <input type="hidden" name="feeling" value={feeling} />}
        <SubmitButton
          variant="contained"
          size="large"
          startIcon={<Play size={20} />}
          disabled={blocks.length === 0}
        >
          {silent ? today.startSilent(session.total) : words.today.start(session.total)}
        </SubmitButton>
        {session.changed && <Button onClick={session.refit}>{today.refit}</Button>}
        {tracked.length > 0 && (
          <Button component={Link} to={`../track?${new URLSearchParams(tracked)}`} relative="path">
            {trackWords.asTrack}
          </Button>
        )}
        {session.endsFast && (
          <p className={styles.soft}>
            {today.fastEnd} <Button onClick={session.endSlowly}>{today.slowLast}</Button>
          </p>
        )}
        {blocks.length === 0 && <p className={styles.soft}>{today.nothingIn}</p>}
        {session.spare > 0 && <p className={styles.soft}>{today.spare(session.spare)}</p>}
        {refused?.errors.form && <p role="alert">{refused.errors.form}</p>}
      </Form>
      <DoneToday asked={asked} />
      <PartList
        blocks={blocks}
        nameOf={nameOf}
        passageOf={passageOf}
        said={props.said}
        asked={asked}
        lessonToday={props.lessonToday}
        pinned={session.pinned}
        onStretch={session.stretch}
        onLeave={session.leave}
        onSay={session.say}
        onPin={session.pin}
      />
      <LeftOutList leftOut={session.leftOut} passageOf={passageOf} onTakeIn={session.takeIn} />
      <Section title={today.addOwn}>
        <AddPart label={today.putIn} onAdd={session.add} />
      </Section>
      <RarelyChanged {...props} session={session} />
    </>
  );
}
