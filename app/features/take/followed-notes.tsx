import { useRef } from "react";
import { fieldOf } from "~/features/notation/places";
import { Signs, System } from "~/features/notation/system";
import { systemWidth } from "~/features/notation/system-width";
import { useEngraving } from "~/features/notation/use-engraving";
import { useSize } from "~/features/notation/use-size";
import styles from "./followed-notes.module.css";

const STAFF_PX = 34;
/** As many systems as the eye takes in beside the waveform. */
const SYSTEMS = 2;

interface FollowedNotesProps {
  readonly address: string;
  /** Bars of the take, by their place in the piece. */
  readonly from: number;
  readonly to: number;
  /** The bar that is heard. */
  readonly here: number | undefined;
}

/** The notes of what is heard, its bar marked, turned when it goes on to the next systems. */
export function FollowedNotes({ address, from, to, here }: FollowedNotesProps) {
  const ref = useRef<HTMLDivElement>(null);
  const width = useSize(ref)?.width;
  const asked = width && `${address}?width=${systemWidth(width, STAFF_PX)}&from=${from}&to=${to}`;
  const { shown } = useEngraving(asked || undefined);
  const systems = shown?.systems ?? [];
  const at = Math.max(
    0,
    systems.findIndex(({ bars }) => bars.some(({ bar }) => bar === here)),
  );
  const turned = at - (at % SYSTEMS);
  return (
    <div ref={ref} className={styles.notes} aria-hidden>
      {shown && <Signs signs={shown.signs} />}
      {systems.slice(turned, turned + SYSTEMS).map((system) => (
        <System key={system.bars[0]?.bar ?? 0} system={system}>
          {system.bars.map((box) => (
            <span
              key={box.bar}
              className={styles.bar}
              data-here={box.bar === here || undefined}
              style={fieldOf(box)}
            />
          ))}
        </System>
      ))}
    </div>
  );
}
