import Button from "@mui/material/Button";
import { useMemo } from "react";
import { musicOf, stepsFrom } from "~/components/rung-lane";
import { Staircase } from "~/components/staircase";
import type { Ladder, Rung } from "~/core/ladder";
import type { CostRequest } from "~/workers/client";
import { words } from "~/words";
import { CostFigures, figuresOf } from "./cost-figures";
import type { Reckoning } from "./reckoning";
import { useCost, type CostKnown } from "./use-cost";
import styles from "./compare.module.css";

export interface Compared {
  readonly ladder: Ladder;
  readonly rungs: readonly Rung[];
  readonly from: CostRequest["from"];
}

interface CompareProps {
  readonly now: Compared;
  readonly nowKnown: CostKnown;
  readonly beside: Compared;
  readonly reckoning: Reckoning;
  readonly block: Parameters<typeof musicOf>[0];
  readonly name: string;
  readonly onTake: () => void;
  readonly onPutAway: () => void;
}

const { workshop } = words;

/** Two ladders for the same bars and the same student, side by side. */
export function Compare(props: CompareProps) {
  const { block, now, nowKnown, beside, reckoning, name, onTake, onPutAway } = props;
  const question = useMemo(
    () => () => reckoning.question(beside.ladder, beside.from, false),
    [reckoning, beside],
  );
  const besideKnown = useCost(question);
  const highest = Math.max(...[now, beside].map(({ ladder }) => ladder.target));
  const column = (it: Compared, known: CostKnown) => (
    <Column
      {...it}
      known={known}
      highest={highest}
      reckoning={reckoning}
      block={block}
      name={name}
    />
  );
  return (
    <section className={styles.compare}>
      <h2>{workshop.comparing}</h2>
      <div className={styles.columns}>
        <div>
          <h3>{workshop.now}</h3>
          {column(now, nowKnown)}
        </div>
        <div>
          <h3>{workshop.beside}</h3>
          {column(beside, besideKnown)}
          <p>
            <Button variant="contained" onClick={onTake}>
              {workshop.take}
            </Button>{" "}
            <Button onClick={onPutAway}>{workshop.putAway}</Button>
          </p>
        </div>
      </div>
    </section>
  );
}

function Column(
  props: Compared &
    Pick<CompareProps, "reckoning" | "block" | "name"> & { known: CostKnown; highest: number },
) {
  const { ladder, rungs, known, highest, reckoning, block, name } = props;
  const figures = figuresOf(known)?.rungs;
  const steps = useMemo(
    () => stepsFrom(rungs, (_, i) => figures?.[i]?.minutes ?? 1, musicOf(block)),
    [rungs, figures, block],
  );
  const schools = ladder.phases.map(({ school }) => words.ladder.schools[school.name].label);
  return (
    <>
      <p className={styles.what}>
        {schools.join(" → ")}, {ladder.gate.map(words.gate.told).join(` ${words.and} `)}
      </p>
      <Staircase steps={steps} target={highest} height={260} large />
      <CostFigures
        ladder={ladder}
        rungs={rungs}
        known={known}
        cleanAt={reckoning.cleanAt}
        ceiling={reckoning.ceiling}
        plays={reckoning.plays}
        name={name}
        brief
      />
    </>
  );
}
