import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useMemo, useState } from "react";
import { Form, useFetcher } from "react-router";
import { Field, type Refused } from "~/components/field";
import { Empty, Page, Section } from "~/components/page";
import { stepsFrom } from "~/components/rung-lane";
import { Staircase } from "~/components/staircase";
import { staircase, type Ladder } from "~/core/ladder";
import type { Shape } from "~/core/session";
import { words } from "~/words";
import styles from "./library.module.css";

export interface LibraryPageProps {
  readonly kept: readonly {
    readonly id: string;
    readonly name: string;
    readonly ladder: Ladder;
  }[];
  /** Plans of sessions that everyone in the room can use. */
  readonly shapes: readonly {
    readonly id: string;
    readonly name: string;
    readonly shape: Shape;
  }[];
}

/** So many are seen at a glance. */
const FEW = 4;

const SAMPLE_BARS = [1, 2, 3, 4].map((number) => ({
  number,
  metre: { beats: 4, unit: 4 } as const,
}));

/** The ladders that the studio keeps, each with its path over four bars. */
export function LibraryPage({ kept, shapes }: LibraryPageProps) {
  const { library } = words;
  const [find, setFind] = useState("");
  const wanted = find.trim().toLocaleLowerCase();
  const shown = kept.filter(({ name, ladder }) => {
    const schools = ladder.phases.map(({ school }) => words.ladder.schools[school.name].label);
    return [name, ...schools].join(" ").toLocaleLowerCase().includes(wanted);
  });
  return (
    <Page title={library.title} lead={library.lead}>
      {kept.length > FEW && (
        <TextField
          type="search"
          size="small"
          label={library.find}
          value={find}
          fullWidth={false}
          onChange={({ target }) => setFind(target.value)}
        />
      )}
      {kept.length === 0 ? (
        <Empty>{library.empty}</Empty>
      ) : (
        <ul className={styles.kept}>
          {shown.map((each) => (
            <Kept key={each.id} {...each} />
          ))}
        </ul>
      )}
      {shapes.length > 0 && (
        <Section title={library.shapes}>
          <ul className={styles.shapes}>
            {shapes.map(({ id, name, shape }) => (
              <li key={id}>
                <strong>{name}</strong>
                <span>
                  {shape
                    .map(({ kind, span }) => `${words.block[kind].name} ${span.ideal}`)
                    .join(" · ")}
                </span>
                <Form method="post">
                  <input type="hidden" name="intent" value="remove-shape" />
                  <input type="hidden" name="id" value={id} />
                  <Button type="submit" size="small" aria-label={library.remove(name)}>
                    {library.takeOut}
                  </Button>
                </Form>
              </li>
            ))}
          </ul>
        </Section>
      )}
    </Page>
  );
}

/** Another name for it, when somebody asks for one. */
function Rename({ id, name }: { id: string; name: string }) {
  const [open, setOpen] = useState(false);
  const fetcher = useFetcher<Refused | { readonly kept: string | undefined }>();
  const refused = fetcher.data && "errors" in fetcher.data ? fetcher.data : undefined;
  if (!open || (fetcher.data && !refused)) {
    return (
      <Button size="small" aria-label={words.library.renameOf(name)} onClick={() => setOpen(true)}>
        {words.library.rename}
      </Button>
    );
  }
  return (
    <fetcher.Form method="post" noValidate>
      <input type="hidden" name="intent" value="rename" />
      <input type="hidden" name="id" value={id} />
      <Field
        name="name"
        label={words.library.newName}
        defaultValue={name}
        refused={refused}
        size="small"
        autoFocus
      />
      <Button type="submit" size="small">
        {words.library.keepName}
      </Button>
    </fetcher.Form>
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
        <Rename id={id} name={name} />
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
