import { useState, type KeyboardEvent } from "react";
import { useFormats } from "~/components/locale";
import { Press } from "~/components/press";
import { tappedTempo, type TappedTempo } from "~/core/listen";
import { words } from "~/words/stand-words";
import { Sheet } from "./sheet";
import styles from "./sheets.module.css";

interface TapSheetProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onTempo: (bpm: number) => void;
}

const ENOUGH = 8;
const MOST = 16;
const STEADY = 0.03;
const UNSTEADY = 0.07;
const { tap: said } = words.stand;

const steadiness = ({ unsteadiness }: TappedTempo) => {
  if (unsteadiness < STEADY) return said.steady;
  return unsteadiness < UNSTEADY ? said.fairly : said.unsteady;
};

/**
 * Finds the tempo that could be kept up without tension: played relaxed and tapped along for 8 to
 * 16 beats. The click then follows the player, not the player the click.
 */
export function TapSheet({ open, onClose, onTempo }: TapSheetProps) {
  const formats = useFormats();
  const [taps, setTaps] = useState<readonly number[]>([]);
  const found = tappedTempo(taps);
  const ready = found !== undefined && found.taps >= ENOUGH;
  const tap = (timeStamp: number) => setTaps((before) => [...before.slice(-(MOST - 1)), timeStamp]);
  const close = () => {
    setTaps([]);
    onClose();
  };
  const take = () => {
    if (!ready) return;
    onTempo(Math.round(found.bpm));
    close();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Enter") {
      event.preventDefault();
      return take();
    }
    if (event.repeat || !/^( |[a-z.])$/i.test(event.key)) return;
    event.preventDefault();
    tap(event.timeStamp);
  };
  const count = found?.taps ?? taps.length;
  return (
    <Sheet
      open={open}
      title={said.title}
      onClose={close}
      onForward={({ timeStamp }) => tap(timeStamp)}
      onBack={ready ? take : close}
      actions={
        <>
          <Press onClick={close}>{words.cancel}</Press>
          <Press onClick={() => setTaps([])}>{said.anew}</Press>
          <Press kind="filled" disabled={!ready} onClick={take}>
            {said.take(found ? formats.whole(found.bpm) : undefined)}
          </Press>
        </>
      }
    >
      <p>{said.how}</p>
      <button
        type="button"
        className={styles.pad}
        data-first
        onPointerDown={(event) => tap(event.timeStamp)}
        onKeyDown={onKeyDown}
      >
        {found ? (
          <strong data-testid="tapped">{words.bpm(formats.whole(found.bpm))}</strong>
        ) : (
          <strong>{said.here}</strong>
        )}
        <span>{said.count(Math.min(count, MOST), ENOUGH)}</span>
      </button>
      <p role="status">
        {found &&
          `${steadiness(found)} ${said.spread(formats.whole(found.spread))} ${said.missed(found.missed)}`}
      </p>
    </Sheet>
  );
}
