import { useDeferredValue, useRef } from "react";
import type { Made } from "~/core/exercise";
import { Signs, System } from "~/features/notation/system";
import { systemWidth } from "~/features/notation/system-width";
import { useEngraving } from "~/features/notation/use-engraving";
import { useSize } from "~/features/notation/use-size";
import styles from "./exercise.module.css";

const STAFF = 30;

/** The notes of an exercise that is being made; what was there stays until the next has come. */
export function ExerciseNotes({ address, made }: { address: string; made: Made }) {
  const ref = useRef<HTMLDivElement>(null);
  const width = useSize(ref)?.width;
  const asked = useDeferredValue(JSON.stringify(made));
  const { state, shown } = useEngraving(
    width
      ? `${address}?${new URLSearchParams({ made: asked, width: String(systemWidth(width, STAFF)) })}`
      : undefined,
  );
  return (
    <div ref={ref} className={styles.notes} aria-busy={state === "coming"}>
      {shown && (
        <>
          <Signs signs={shown.signs} />
          {shown.systems.map((system, index) => (
            <System key={index} system={system} />
          ))}
        </>
      )}
    </div>
  );
}
