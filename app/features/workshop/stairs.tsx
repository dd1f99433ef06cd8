import Button from "@mui/material/Button";
import { Play, Square } from "lucide-react";
import { useMemo, type KeyboardEvent } from "react";
import { useFormats } from "~/components/locale";
import { musicOf, stepsFrom } from "~/components/rung-lane";
import { Staircase, type Step } from "~/components/staircase";
import { roughPlays } from "~/core/gate";
import { chanceOf, type CleanAt } from "~/core/cost";
import type { Rung } from "~/core/ladder";
import { secondsOfRung, type Played } from "~/core/session";
import { words } from "~/words";
import { isOutOfSight } from "./cost-figures";
import styles from "./stairs.module.css";

interface RungFigures {
  readonly plays: number;
  readonly minutes: number;
}

interface StairsProps {
  readonly rungs: readonly Rung[];
  readonly block: Played;
  readonly cleanAt: CleanAt;
  readonly target: number;
  /** The full tempo, where tempi are told in percent of it. */
  readonly of: number | null;
  readonly comfortable: number;
  readonly ceiling: number | undefined;
  /** Exact or simulated, once the worker has told; as many as rungs. */
  readonly figures: readonly RungFigures[] | undefined;
  readonly selected: number;
  readonly onSelect: (index: number) => void;
  readonly hearing: {
    readonly heard: number | undefined;
    readonly hear: (rung: Rung) => void;
    readonly hush: () => void;
  };
}

const { workshop } = words;

/** Quick enough to be made anew at each move of a slider. */
function stepsOf(
  rungs: readonly Rung[],
  { block, cleanAt, figures }: Pick<StairsProps, "block" | "cleanAt" | "figures">,
): Step[] {
  const known = new Map<string, number>();
  const rough = (rung: Rung) => {
    const seconds = secondsOfRung(block, rung);
    return roughPlays(rung.gate, chanceOf(rung, cleanAt), seconds) * seconds;
  };
  return stepsFrom(
    rungs,
    (rung, i) => {
      const key = `${rung.phase} ${rung.stage} ${rung.tempo} ${rung.share} ${rung.cycle?.fast}`;
      const minutes = figures?.[i]?.minutes ?? known.get(key) ?? rough(rung) / 60;
      known.set(key, minutes);
      return minutes;
    },
    musicOf(block),
  );
}

/** The staircase that is drawn: any rung can be looked at and heard. */
export function Stairs(props: StairsProps) {
  const { rungs, block, cleanAt, target, of, comfortable, ceiling } = props;
  const { selected, onSelect, hearing } = props;
  const figures = props.figures?.length === rungs.length ? props.figures : undefined;
  const steps = useMemo(
    () => stepsOf(rungs, { block, cleanAt, figures }),
    [rungs, block, cleanAt, figures],
  );
  const rung = rungs[selected]!;
  const choose = (index: number) => onSelect(Math.min(rungs.length - 1, Math.max(0, index)));
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    const to = { Home: 0, End: rungs.length - 1 }[event.key];
    if (by !== undefined) choose(selected + by);
    else if (to !== undefined) choose(to);
    else if (event.key === "Enter" || event.key === " ") hearing.hear(rung);
    else return;
    event.preventDefault();
  };
  const pick = (index: number) => {
    choose(index);
    if (hearing.heard === index) hearing.hush();
    else hearing.hear(rungs[index]!);
  };
  const told = rungTold(rung, rungs.length, of);
  return (
    <div className={styles.stairs}>
      <div
        className={styles.frame}
        role="slider"
        tabIndex={0}
        aria-label={workshop.rungsLabel}
        aria-valuemin={1}
        aria-valuemax={rungs.length}
        aria-valuenow={selected + 1}
        aria-valuetext={told.join(", ")}
        onKeyDown={onKeyDown}
      >
        <Staircase
          steps={steps}
          target={target}
          of={of}
          comfortable={comfortable}
          ceiling={ceiling}
          height={330}
          selected={selected}
          onPick={pick}
        />
      </div>
      <RungLine rung={rung} told={told} figures={figures?.[selected]} hearing={hearing} />
    </div>
  );
}

/** What a rung is, in words. */
function rungTold(rung: Rung, count: number, of: number | null): string[] {
  const { index, tempo, links, task, alternates, cycle, click, gate } = rung;
  return [
    workshop.rung(index + 1, count),
    words.tempoTold(tempo, of),
    ...(links ? [words.links(links)] : []),
    ...(task ? [words.task(task)] : []),
    ...(alternates ? [workshop.byTurns(alternates.map(words.task))] : []),
    ...(cycle ? [workshop.cycle(cycle.slow, cycle.fast, cycle.fastTempo)] : []),
    ...(task?.kind === "click" ? [] : [words.click.told(click)]),
    gate.map(words.gate.told).join(` ${words.and} `),
    ...(rung.rest > 0 ? [workshop.restAfter(rung.rest)] : []),
  ];
}

function RungLine(props: {
  rung: Rung;
  told: readonly string[];
  figures: RungFigures | undefined;
  hearing: StairsProps["hearing"];
}) {
  const { rung, told, figures, hearing } = props;
  const formats = useFormats();
  const sounds = hearing.heard === rung.index;
  const [first, ...rest] = told;
  return (
    <div className={styles.line}>
      <p>
        <strong>{first}</strong> · {rest.join(" · ")}
        {figures && (
          <em>
            {" "}
            {isOutOfSight(figures)
              ? workshop.outOfSight
              : workshop.expected(formats.whole(figures.plays), words.minutes(figures.minutes))}
          </em>
        )}
      </p>
      <Button
        variant="outlined"
        startIcon={sounds ? <Square size={16} /> : <Play size={16} />}
        onClick={() => (sounds ? hearing.hush() : hearing.hear(rung))}
      >
        {sounds ? workshop.hush : workshop.hear}
      </Button>
    </div>
  );
}
