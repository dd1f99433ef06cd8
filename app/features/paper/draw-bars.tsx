import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useFetcher } from "react-router";
import {
  barsIn,
  barsOnPaper,
  inReadingOrder,
  nextLike,
  withBars,
  type PaperLayout,
  type PaperPage,
  type PaperSystem,
} from "~/core/score";
import { words } from "~/words";
import { notationWords } from "~/words/notation";
import { PaperSheet } from "./paper-sheet";
import styles from "./paper.module.css";

interface DrawBarsProps {
  readonly pages: readonly PaperPage[];
  readonly layout: PaperLayout;
  /** The position of the first bar: 0 where the piece begins with a pickup. */
  readonly first: number;
  /** Leads back to the bars as they were, where there were any. */
  readonly onLeave: (() => void) | undefined;
}

const { pages: told } = notationWords;
const USUAL_BARS = 4;

/** The tool by which bars are drawn over pages of paper: systems, how many bars, moved lines. */
export function DrawBars({ pages, layout, first, onLeave }: DrawBarsProps) {
  const fetcher = useFetcher<{ errors?: Readonly<Record<string, string>> } | undefined>();
  const [systems, setSystems] = useState<readonly PaperSystem[]>(layout);
  const [page, setPage] = useState(1);
  const [chosen, setChosen] = useState<PaperSystem | undefined>(undefined);
  const shown = pages.find(({ number }) => number === page)!;
  const numbered = withNumbers(systems, first);
  const here = numbered.filter(({ system }) => system.page === page);
  const lastBars = chosen ? barsIn(chosen) : USUAL_BARS;

  const put = (before: PaperSystem | undefined, after: PaperSystem | undefined) => {
    const others = systems.filter((each) => each !== before);
    setSystems(inReadingOrder(after ? [...others, after] : others));
    setChosen(after);
  };
  const bars = barsOnPaper(systems) - (first === 0 ? 1 : 0);
  return (
    <div className={styles.tool}>
      <PaperSheet
        page={shown}
        systems={here}
        chosen={chosen}
        bars={lastBars}
        onChoose={setChosen}
        onPut={put}
      />
      <div className={styles.side}>
        <h3>{told.drawTitle}</h3>
        <p className={styles.soft}>{told.drawHow}</p>
        {pages.length > 1 && (
          <div className={styles.pages} role="group">
            {pages.map(({ number }) => (
              <Button
                key={number}
                size="small"
                variant={number === page ? "contained" : "outlined"}
                aria-pressed={number === page}
                onClick={() => setPage(number)}
              >
                {told.page(number)}
              </Button>
            ))}
          </div>
        )}
        {here.length === 0 && <p className={styles.soft}>{told.none}</p>}
        <ol className={styles.systems}>
          {here.map(({ system, from, to }) => (
            <li key={from} className={system === chosen ? styles.chosenLine : undefined}>
              <button type="button" className={styles.name} onClick={() => setChosen(system)}>
                {words.capital(words.bars(from, to))}
              </button>
              <TextField
                size="small"
                type="number"
                label={told.bars}
                value={barsIn(system)}
                onChange={({ target }) => put(system, withBars(system, Number(target.value)))}
                slotProps={{ htmlInput: { min: 1, max: 40 } }}
                className={styles.count!}
              />
              <Button size="small" color="inherit" onClick={() => put(system, undefined)}>
                {told.takeOut}
              </Button>
            </li>
          ))}
        </ol>
        <Button variant="outlined" onClick={() => put(undefined, nextLike(systems, page))}>
          {told.another}
        </Button>
        <fetcher.Form method="post" className={styles.keep}>
          <input type="hidden" name="layout" value={JSON.stringify(systems)} />
          <Button
            type="submit"
            name="act"
            value="bars"
            variant="contained"
            disabled={bars < 1 || fetcher.state !== "idle"}
          >
            {told.keep(Math.max(0, bars))}
          </Button>
          {onLeave && (
            <Button color="inherit" onClick={onLeave}>
              {told.stop}
            </Button>
          )}
        </fetcher.Form>
        {fetcher.data?.errors?.layout && (
          <p role="alert" className={styles.refused}>
            {fetcher.data.errors.layout}
          </p>
        )}
        <p className={styles.soft}>{told.typed}</p>
      </div>
    </div>
  );
}

/** Systems with the positions of their first and last bars. */
function withNumbers(systems: readonly PaperSystem[], first: number) {
  let next = first;
  return systems.map((system) => {
    const from = next;
    next += barsIn(system);
    return { system, from, to: next - 1 };
  });
}
