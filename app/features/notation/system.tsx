import { useRef, type ReactNode } from "react";
import type { EngravedSystem } from "~/core/score";
import { useNear } from "./use-near";
import styles from "./notation.module.css";

/**
 * One system as it is drawn, with what lies over it. What is far from the window keeps its place
 * and is not drawn.
 */
export function System(props: {
  system: EngravedSystem;
  /** No higher than this, in CSS px; smaller instead. */
  highest?: number | undefined;
  children?: ReactNode;
}) {
  const { system, highest, children } = props;
  const ref = useRef<HTMLDivElement>(null);
  const near = useNear(ref);
  return (
    <div
      ref={ref}
      className={styles.system}
      style={{
        aspectRatio: `${system.width} / ${system.height}`,
        maxWidth: highest && (highest * system.width) / system.height,
      }}
    >
      {near && (
        <svg
          viewBox={`0 0 ${system.width} ${system.height}`}
          className={styles.drawing}
          aria-hidden
          // Cleaned by an allow-list where it was engraved.
          dangerouslySetInnerHTML={{ __html: system.drawing }}
        />
      )}
      {children}
    </div>
  );
}

/** The shapes of the signs, once for all systems of a page. */
export const Signs = ({ signs }: { signs: string }) => (
  <svg width="0" height="0" className={styles.signs} aria-hidden>
    <defs dangerouslySetInnerHTML={{ __html: signs }} />
  </svg>
);
