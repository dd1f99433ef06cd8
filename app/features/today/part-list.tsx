import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import { Minus, Plus, X } from "lucide-react";
import { TempoText } from "~/components/beat-unit";
import { Section } from "~/components/page";
import { StateMark } from "~/components/state-mark";
import type { FittedBlock, LeftOut } from "~/core/session";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import styles from "./part-list.module.css";

interface PartListProps {
  readonly blocks: readonly FittedBlock[];
  readonly nameOf: (block: FittedBlock) => string;
  readonly passageOf: (id: string | undefined) => PassageLine | undefined;
  readonly onStretch: (id: string, minutes: number) => void;
  readonly onLeave: (id: string) => void;
}

const { today } = planWords;

/** The parts one below the other: what, why, and how long. */
export function PartList({ blocks, nameOf, passageOf, onStretch, onLeave }: PartListProps) {
  return (
    <ol className={styles.parts}>
      {blocks.map((block) => {
        const name = nameOf(block);
        const passage = passageOf(block.passageId);
        return (
          <li key={block.id} data-passage={block.passageId}>
            <div>
              <strong>{name}</strong>
              {passage && <>, {passage.name || words.bars(passage.fromBar, passage.toBar)}</>}
              <span className={styles.why}>
                {passage && `${words.block[block.kind].name}: `}
                {planWords.reason(block.reason)}
              </span>
            </div>
            <div className={styles.passage}>
              {!passage && <span className={styles.soft}>{words.block[block.kind].how}</span>}
              {passage && (
                <>
                  <StateMark state={passage.state} />
                  <span>
                    {words.today.from}{" "}
                    <TempoText unit={passage.beatUnit} bpm={passage.start ?? "–"} />
                    <span className={styles.soft}> → {passage.target}</span>
                  </span>
                  {passage.startsAbove !== null && (
                    <span className={styles.soft}>{today.startsAbove(passage.startsAbove)}</span>
                  )}
                </>
              )}
            </div>
            <div className={styles.minutes}>
              <IconButton
                size="small"
                aria-label={today.shorter(name)}
                disabled={block.minutes <= 1}
                onClick={() => onStretch(block.id, block.minutes - 1)}
              >
                <Minus size={16} />
              </IconButton>
              <span>{planWords.minutes(block.minutes)}</span>
              <IconButton
                size="small"
                aria-label={today.longer(name)}
                onClick={() => onStretch(block.id, block.minutes + 1)}
              >
                <Plus size={16} />
              </IconButton>
              <IconButton
                size="small"
                aria-label={today.leaveOut(name)}
                onClick={() => onLeave(block.id)}
              >
                <X size={16} />
              </IconButton>
            </div>
          </li>
        );
      })}
    </ol>
  );
}

interface LeftOutListProps {
  readonly onTakeIn: (passageId: string) => void;
  readonly leftOut: readonly LeftOut[];
  readonly passageOf: (id: string | undefined) => PassageLine | undefined;
}

/** What is not in the session, and why. */
export function LeftOutList({ leftOut, passageOf, onTakeIn }: LeftOutListProps) {
  if (leftOut.length === 0) return null;
  return (
    <Section title={today.notToday}>
      <ul className={styles.left}>
        {leftOut.map(({ kind, passageId, reason }, index) => {
          const passage = passageOf(passageId);
          return (
            <li key={passageId ?? `${kind}-${index}`} data-passage={passageId}>
              <strong>{passage?.title ?? words.block[kind].name}</strong>
              {passage && <>, {passage.name || words.bars(passage.fromBar, passage.toBar)}</>}
              <span className={styles.soft}>: {planWords.left(reason)}</span>
              {passage && reason.why !== "no-room" && (
                <Button
                  size="small"
                  aria-label={today.takeIn(passage.title)}
                  onClick={() => onTakeIn(passage.id)}
                >
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
