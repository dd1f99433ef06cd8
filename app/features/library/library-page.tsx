import Button from "@mui/material/Button";
import { useMemo } from "react";
import { Form } from "react-router";
import { Empty, Page } from "~/components/page";
import { stepsFrom } from "~/components/rung-lane";
import { Staircase } from "~/components/staircase";
import { staircase, type Ladder } from "~/core/ladder";
import { words } from "~/words";
import styles from "./library.module.css";

export interface LibraryPageProps {
  readonly kept: readonly {
    readonly id: string;
    readonly name: string;
    readonly ladder: Ladder;
  }[];
}

const SAMPLE_BARS = [1, 2, 3, 4].map((number) => ({
  number,
  metre: { beats: 4, unit: 4 } as const,
}));

/** The ladders that the studio keeps, each with its path over four bars. */
export function LibraryPage({ kept }: LibraryPageProps) {
  const { library } = words;
  return (
    <Page title={library.title} lead={library.lead}>
      {kept.length === 0 ? (
        <Empty>{library.empty}</Empty>
      ) : (
        <ul className={styles.kept}>
          {kept.map((each) => (
            <Kept key={each.id} {...each} />
          ))}
        </ul>
      )}
    </Page>
  );
}

function Kept({ id, name, ladder }: LibraryPageProps["kept"][number]) {
  const steps = useMemo(
    () => stepsFrom(staircase(ladder, { start: ladder.start, bars: SAMPLE_BARS })),
    [ladder],
  );
  const schools = ladder.phases.map(({ school }) => words.ladder.schools[school.name].label);
  return (
    <li>
      <div>
        <h2>{name}</h2>
        <p>{schools.join(" → ")}</p>
        <p>
          {ladder.gate.map(words.gate.told).join(` ${words.and} `)};{" "}
          {words.click.told(ladder.click)}
        </p>
        <Form method="post">
          <input type="hidden" name="intent" value="remove" />
          <input type="hidden" name="id" value={id} />
          <Button type="submit" size="small" aria-label={words.library.remove(name)}>
            {words.library.takeOut}
          </Button>
        </Form>
      </div>
      <Staircase steps={steps} target={ladder.target} height={190} />
    </li>
  );
}
