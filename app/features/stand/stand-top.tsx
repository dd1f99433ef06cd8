import { CircleHelp, LogOut, Moon, Sun, Volume2 } from "lucide-react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { Press, pressLook } from "~/components/press";
import { useScheme } from "~/components/scheme";
import { currentBlock, partNow, partsOf, taskNow } from "~/core/session";
import type { Focus } from "~/core/week";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import { SentNote } from "./sent-note";
import styles from "./stand-top.module.css";

interface StandTopProps {
  readonly home: string;
  readonly onHelp: () => void;
  /** The way to the next part. */
  readonly onward: ReactNode;
  /** Whether something is recorded. */
  readonly take: ReactNode;
  readonly volume: number;
  readonly onVolume: (volume: number) => void;
}

/** What is played, how long already, and the few things that are set rather than played. */
export function StandTop(props: StandTopProps) {
  const { view } = useStand();
  const { home, onHelp, onward, take, volume, onVolume } = props;
  const { dark, toggle } = useScheme();
  const { plan, state } = currentBlock(view.stand);
  const task = taskNow(view.stand);
  const parts = partsOf(view.stand.plan);
  const { said } = partNow(view.stand);
  const listenFor = said?.listenFor || (task ? "" : plan.focus);
  const focuses = said?.focuses.map((each) => words.focuses[each as Focus]).join(", ");
  const note = view.stand.plan.easyAgain ? words.stand.easyAgain : said?.note;
  return (
    <header className={styles.top}>
      <div className={styles.what}>
        <strong>{task ? words.block[task.kind].name : plan.pieceTitle}</strong>
        <span>
          {parts.length > 1 && (
            <>
              {words.part.of(view.stand.part + 1, parts.length)}
              {task ? "" : " · "}
            </>
          )}
          {!task && (plan.passageName || words.capital(words.bars(plan.fromBar, plan.toBar)))}
          {said?.key && ` · ${words.stand.inKey(said.key)}`}
          {focuses && <strong> · {focuses}</strong>}
          {listenFor && <em> · {listenFor}</em>}
        </span>
        {note && (
          <span className={styles.note} title={note}>
            {note}
          </span>
        )}
      </div>
      {!task && (
        <Minutes played={Math.floor(state.activeSeconds / 60)} of={partNow(view.stand).minutes} />
      )}
      <div className={styles.onward}>{onward}</div>
      <SentNote />
      {take}
      <div className={styles.volume}>
        <Volume2 size={20} aria-hidden />
        {/* A plain slider: the stand need not carry the weight of a larger one. */}
        <input
          type="range"
          aria-label={words.stand.volume}
          min={0}
          max={1}
          step={0.05}
          value={volume}
          onChange={(event) => onVolume(event.target.valueAsNumber)}
        />
      </div>
      <Press
        size="square"
        onClick={toggle}
        aria-label={dark ? words.scheme.light : words.scheme.dark}
      >
        {dark ? <Sun size={22} /> : <Moon size={22} />}
      </Press>
      <Press size="square" onClick={onHelp} aria-label={words.stand.help}>
        <CircleHelp size={22} />
      </Press>
      <Link to={home} className={pressLook({ size: "square" })} aria-label={words.stand.leave}>
        <LogOut size={22} />
      </Link>
    </header>
  );
}

function Minutes({ played, of }: { played: number; of: number }) {
  return (
    <div className={styles.minutes}>
      <span>{words.stand.blockMinutes(played, of)}</span>
      <span className={styles.minuteBar} aria-hidden>
        <span style={{ width: `${Math.min(100, (100 * played) / of)}%` }} />
      </span>
    </div>
  );
}
