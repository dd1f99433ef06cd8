import Button from "@mui/material/Button";
import { useState } from "react";
import { useFetcher } from "react-router";
import * as v from "valibot";
import { NumberField } from "~/components/number-field";
import { Section } from "~/components/page";
import {
  changeRefused,
  courseOfPiece,
  resolveRegions,
  tempiSchema,
  type PieceWithTempi,
  type Tempi,
  type TempoRegion,
} from "~/core/score";
import type { MovedLadder } from "~/core/ladder";
import { tempiWords as said } from "~/words/tempi";
import { ChangeFields } from "./change-fields";
import { Clashes } from "./clashes";
import { MovedLadders } from "./moved-ladders";
import { nameOf } from "./names";
import { RegionFields } from "./region-fields";
import { TempoLine } from "./tempo-line";
import styles from "./tempo.module.css";

export interface TempoSectionProps {
  readonly piece: Omit<PieceWithTempi, "tempi">;
  readonly tempi: Tempi;
  readonly teaches: boolean;
  readonly moved: readonly MovedLadder[];
}

/** What is wrong with tempi as they are typed; undefined where nothing is. */
function wrongWith(piece: TempoSectionProps["piece"], tempi: Tempi): string | undefined {
  const read = v.safeParse(tempiSchema, tempi);
  if (!read.success) return read.issues[0].message;
  const course = courseOfPiece({ ...piece, tempi });
  return course.changes.map((change) => changeRefused(course, change)).find(Boolean);
}

/** The tempi of a piece as a line, region by region; the teacher changes them. */
export function TempoSection({ piece, tempi, teaches, moved }: TempoSectionProps) {
  const fetcher = useFetcher<{ readonly errors?: Readonly<Record<string, string>> }>();
  const [draft, setDraft] = useState(tempi);
  const [given, setGiven] = useState(tempi);
  // What was kept is what is drawn on.
  if (given !== tempi) {
    setGiven(tempi);
    setDraft(tempi);
  }
  const [selected, setSelected] = useState<string | undefined>(undefined);
  const wrong = wrongWith(piece, draft);
  // While a number is missing or wrong the last good line stays.
  const [good, setGood] = useState(draft);
  if (!wrong && good !== draft) setGood(draft);
  const course = courseOfPiece({ ...piece, tempi: good });
  const { contradictions } = resolveRegions(good.regions);
  const changed = JSON.stringify(draft) !== JSON.stringify(tempi);
  const refused = fetcher.data?.errors?.tempi;

  const setRegion = (id: string, change: Partial<TempoRegion>) =>
    setDraft((before) => ({
      ...before,
      // A region that is moved past another stands behind it.
      regions: before.regions
        .map((region) => (region.id === id ? { ...region, ...change } : region))
        .sort((one, other) => one.fromBar - other.fromBar),
    }));
  const move = (id: string, bpm: number) => {
    const region = draft.regions.find((each) => each.id === id);
    if (!region?.target) return;
    const wide = region.target.high - region.target.low;
    const low = Math.round(bpm - wide / 2);
    setRegion(id, { target: { low, high: low + wide } });
  };
  const keep = () =>
    void fetcher.submit({ act: "tempi", tempi: JSON.stringify(draft) }, { method: "post" });
  const name = (region: TempoRegion) =>
    region.words ||
    nameOf(
      { toBar: undefined, ...course.regions.find(({ id }) => id === region.id), ...region },
      piece.bars,
    );

  const plain = tempi.regions.length === 1 && tempi.changes.length === 0;
  if (!teaches) {
    if (plain) return null;
    return (
      <Section title={said.title}>
        <TempoLine course={course} selected={undefined} />
      </Section>
    );
  }
  const region = course.regions.find(({ id }) => id === selected);
  return (
    <Section title={said.title} aside={<span className={styles.soft}>{said.how}</span>}>
      <TempoLine course={course} selected={selected} onSelect={setSelected} onMove={move} />
      <Clashes
        contradictions={contradictions}
        name={name}
        onTake={({ id }, bpm) => setRegion(id, { target: { low: bpm, high: bpm } })}
      />
      {region && (
        <RegionFields
          key={region.id}
          region={{ ...region, ...draft.regions.find(({ id }) => id === region.id) }}
          others={course.regions.filter(({ id }) => id !== region.id)}
          bars={piece.bars}
          onChange={(change) => setRegion(region.id, change)}
          onRemove={
            region.fromBar === 1
              ? undefined
              : () => {
                  setSelected(undefined);
                  setDraft(without(draft, region.id));
                }
          }
        />
      )}
      <ChangeFields
        changes={draft.changes}
        bars={piece.bars}
        onChange={(changes) => setDraft({ ...draft, changes })}
      />
      <NewRegion
        bars={piece.bars}
        onAdd={(fromBar) => {
          const added = withRegion(draft, fromBar);
          setDraft(added.tempi);
          setSelected(added.id);
        }}
      />
      {(wrong ?? refused) && <p role="alert">{wrong ?? refused}</p>}
      {changed && (
        <div className={styles.actions}>
          <Button
            variant="contained"
            disabled={wrong !== undefined || fetcher.state !== "idle"}
            onClick={keep}
          >
            {said.keep}
          </Button>
          <Button color="inherit" onClick={() => setDraft(tempi)}>
            {said.putBack}
          </Button>
        </div>
      )}
      <MovedLadders moved={moved} />
    </Section>
  );
}

/** Without a region; what followed it keeps the tempo it has now. */
function without({ regions, changes }: Tempi, id: string): Tempi {
  const resolved = resolveRegions(regions).regions;
  return {
    changes,
    regions: regions
      .filter((region) => region.id !== id)
      .map((region) => {
        if (region.link?.of !== id) return region;
        const bpm = Math.round(resolved.find((each) => each.id === region.id)!.bpm);
        return { ...region, link: null, target: region.target ?? { low: bpm, high: bpm } };
      }),
  };
}

/** With a region more, at the tempo that is there already. */
function withRegion(tempi: Tempi, fromBar: number): { tempi: Tempi; id: string } {
  const resolved = resolveRegions(tempi.regions).regions;
  const here = resolved.findLast((region) => region.fromBar <= fromBar) ?? resolved[0]!;
  if (here.fromBar === fromBar) return { tempi, id: here.id };
  const id = crypto.randomUUID();
  const bpm = Math.round(here.bpm);
  const { unit, subdivision } = here;
  const target = { low: bpm, high: bpm };
  const added = { id, fromBar, unit, subdivision, target, words: "", link: null };
  const regions = [...tempi.regions, added].sort((one, other) => one.fromBar - other.fromBar);
  return { tempi: { ...tempi, regions }, id };
}

function NewRegion({ bars, onAdd }: { bars: number; onAdd: (fromBar: number) => void }) {
  const [bar, setBar] = useState(NaN);
  const fits = Number.isInteger(bar) && bar > 1 && bar <= bars;
  return (
    <div className={`${styles.actions} ${styles.adding}`}>
      <NumberField
        label={said.add}
        unit=""
        min={2}
        max={bars}
        slider={false}
        value={bar}
        onChange={setBar}
      />
      <Button variant="outlined" disabled={!fits} onClick={() => onAdd(bar)}>
        {said.addNow}
      </Button>
    </div>
  );
}
