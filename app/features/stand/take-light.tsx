import { Mic, MicOff } from "lucide-react";
import { useSyncExternalStore } from "react";
import { Press } from "~/components/press";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import { NO_TAKES, type TakesView } from "./takes";
import styles from "./take-light.module.css";

const said = words.take;
/** Below it a take can hardly be heard, above it it is cut off; of full scale. */
const SOFT = 0.05;
const LOUD = 0.97;

const wordFor = (level: number) => {
  if (level < SOFT) return said.level.soft;
  return level > LOUD ? said.level.loud : said.level.fine;
};

const nothing = () => () => undefined;

interface TakeLightProps {
  /** The run that the plan records. */
  readonly planned: number | undefined;
  readonly onRecord: () => void;
}

/** Whether something is recorded, how loud it comes, and the press that asks for it. */
export function TakeLight({ planned, onRecord }: TakeLightProps) {
  const { desk, usable } = useStand();
  const takes = desk?.takes;
  const view = useSyncExternalStore(
    takes?.subscribe ?? nothing,
    takes?.snapshot ?? (() => NO_TAKES),
    () => NO_TAKES,
  );
  const { phase, level, missing } = view;
  const going = phase === "armed" || phase === "recording";
  return (
    <div className={styles.take} data-phase={phase}>
      <p role="status" className={styles.told}>
        {going ? goingTold(view) : restTold(view, planned)}
      </p>
      {going && (
        <meter
          aria-hidden
          className={styles.level}
          min={0}
          max={1}
          low={SOFT}
          high={LOUD}
          optimum={0.5}
          value={level}
        />
      )}
      <Press
        size="square"
        disabled={!usable || phase === "opening" || phase === "closing"}
        onClick={going ? () => takes?.cancel() : onRecord}
        aria-label={going ? said.stop : said.record}
        title={going ? said.stop : said.record}
      >
        {missing ? <MicOff size={22} /> : <Mic size={22} />}
      </Press>
    </div>
  );
}

/** What is said while something is recorded, or about to be. */
const goingTold = ({ phase, cutOff, level }: TakesView): string =>
  cutOff ? said.cutOffNow : `${said.phase[phase as keyof typeof said.phase]}, ${wordFor(level)}`;

/** What is to be said when nothing is recorded. */
function restTold(
  { phase, missing, refusal, lost, cutOff, waiting, kept }: TakesView,
  planned: number | undefined,
): string {
  if (phase !== "off") return said.phase[phase];
  if (missing) return said.missing[missing];
  if (refusal) return refusal;
  if (lost) return said.lost;
  if (cutOff) return said.cutOff;
  if (waiting > 0) return said.waiting(waiting);
  if (planned !== undefined) return said.planned(planned);
  return kept > 0 ? said.kept(kept) : "";
}
