import { useRef, useState, type PointerEvent } from "react";
import { systemBetween, type PaperPage, type PaperSystem } from "~/core/score";
import { notationWords } from "~/words/notation";
import { DrawnSystem } from "./drawn-system";
import type { Across } from "./grip";
import styles from "./paper.module.css";

interface PaperSheetProps {
  readonly page: PaperPage;
  readonly systems: readonly {
    readonly system: PaperSystem;
    readonly from: number;
    readonly to: number;
  }[];
  readonly chosen: PaperSystem | undefined;
  /** So many bars a system gets that is drawn now. */
  readonly bars: number;
  readonly onChoose: (system: PaperSystem) => void;
  /** Puts a system in the place of another, or adds it, or takes it out. */
  readonly onPut: (before: PaperSystem | undefined, after: PaperSystem | undefined) => void;
}

/** A page to draw on: systems lie over its image. */
export function PaperSheet({ page, systems, chosen, bars, onChoose, onPut }: PaperSheetProps) {
  const ref = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<{ from: Across; to: Across } | undefined>(undefined);
  /** Where on the page a pointer is, in shares of its width and height. */
  const at = ({ clientX, clientY }: PointerEvent): Across => {
    const { left, top, width, height } = ref.current!.getBoundingClientRect();
    return [(clientX - left) / width, (clientY - top) / height];
  };
  const draft = drag && systemBetween(page.number, drag.from, drag.to, bars);
  return (
    <div
      ref={ref}
      role="group"
      aria-label={notationWords.pages.surface(page.number)}
      className={styles.sheet}
      style={{ aspectRatio: `${page.width} / ${page.height}` }}
      onPointerDown={(event) => {
        if (event.button !== 0 || event.target !== event.currentTarget) return;
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ from: at(event), to: at(event) });
      }}
      onPointerMove={(event) => drag && setDrag({ ...drag, to: at(event) })}
      onPointerUp={() => {
        if (draft) onPut(undefined, draft);
        setDrag(undefined);
      }}
      onPointerCancel={() => setDrag(undefined)}
    >
      <img src={page.address} alt="" className={styles.image} draggable={false} />
      {systems.map(({ system, from, to }) => (
        <DrawnSystem
          key={from}
          system={system}
          from={from}
          to={to}
          chosen={system === chosen}
          at={at}
          onChoose={() => onChoose(system)}
          onPut={(after) => onPut(system, after)}
        />
      ))}
      {draft && (
        <span
          className={styles.draft}
          style={{
            left: `${draft.left * 100}%`,
            top: `${draft.top * 100}%`,
            width: `${(draft.right - draft.left) * 100}%`,
            height: `${(draft.bottom - draft.top) * 100}%`,
          }}
        />
      )}
    </div>
  );
}
