import { useMemo, useState } from "react";
import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { Page } from "~/components/page";
import { TempoText } from "~/components/beat-unit";
import { Staircase } from "~/components/staircase";
import { ladderCost, staircase, type Ladder } from "~/core/ladder";
import { estimate } from "~/core/record";
import { barsOf, type MetreRegion, type PassageRange } from "~/core/score";
import { secondsOfLoop } from "~/core/session";
import { bpm, nearestPlayable, type BeatUnit, type Bpm } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import { CostNote } from "./cost-note";
import { check, firstDraft, type LadderDraft } from "./draft";
import { LadderFields } from "./ladder-fields";
import styles from "./ladder.module.css";

export interface LadderPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly piece: {
    readonly id: string;
    readonly title: string;
    readonly metres: readonly MetreRegion[];
    readonly markBpm: number;
    readonly markUnit: BeatUnit;
  };
  readonly passage: PassageLine;
  readonly range: PassageRange;
  readonly ladder: Ladder | null;
  readonly reps: readonly {
    readonly tempo: Bpm;
    readonly verdict: "clean" | "flawed";
    readonly daysAgo: number;
    readonly count: number;
  }[];
  readonly refused: Refused | undefined;
}

const FORM = "ladder";

/** Draws a ladder, with what it costs this student beside it. */
export function LadderPage(props: LadderPageProps) {
  const { studioId, person, piece, passage, range, ladder, reps, refused } = props;
  const [draft, setDraft] = useState<LadderDraft>(
    ladder ?? firstDraft(piece.markBpm, passage.comfortable),
  );
  const checked = check(draft);
  const [drawn, setDrawn] = useState(() => (checked.ok ? checked.ladder : undefined));
  // While a number is wrong the last good drawing stays.
  if (checked.ok && JSON.stringify(checked.ladder) !== JSON.stringify(drawn)) {
    setDrawn(checked.ladder);
  }
  const target = drawn?.target ?? nearestPlayable(piece.markBpm);
  const record = useMemo(() => {
    const each = reps.flatMap(({ count, ...rep }) => Array.from({ length: count }, () => rep));
    return estimate(each, bpm(target));
  }, [reps, target]);
  const cost = useMemo(() => {
    if (!drawn) return undefined;
    const block = {
      ...range,
      bars: barsOf(piece.metres, range),
      beatUnit: piece.markUnit,
      ladder: drawn,
    };
    return ladderCost({
      ladder: drawn,
      rungs: staircase(drawn, drawn.start),
      cleanAt: record.cleanAt,
      loopSeconds: (tempo) => secondsOfLoop(block, tempo),
    });
  }, [drawn, record, range, piece]);
  const errors = checked.ok ? (refused?.errors ?? {}) : checked.errors;
  const bars = words.capital(words.bars(range.fromBar, range.toBar));

  return (
    <Page
      title={
        <>
          {words.ladder.title}: {passage.name || bars}
        </>
      }
      lead={
        <>
          {piece.title}, {bars.toLowerCase()} · {words.ladder.mark}{" "}
          <TempoText unit={piece.markUnit} bpm={piece.markBpm} />
        </>
      }
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
      actions={
        <SubmitButton form={FORM} variant="contained" size="large" disabled={!checked.ok}>
          {words.ladder.submit}
        </SubmitButton>
      }
    >
      <Form id={FORM} method="post" className={styles.workshop} noValidate>
        <input type="hidden" name="ladder" value={JSON.stringify(draft)} />
        <div className={styles.numbers}>
          <LadderFields draft={draft} errors={errors} onChange={setDraft} unit={piece.markUnit} />
        </div>
        <div className={styles.drawing}>
          {cost && drawn && (
            <>
              <Staircase
                steps={cost.rungs.map(({ rung, minutes }) => ({
                  tempo: rung.tempo,
                  minutes,
                  status: "ahead",
                }))}
                target={drawn.target}
                comfortable={record.comfortable.value}
                ceiling={record.ceiling.value}
                height={320}
              />
              <CostNote cost={cost} ladder={drawn} plays={record.weight} name={person.name} />
            </>
          )}
          {errors.form && <p role="alert">{errors.form}</p>}
        </div>
      </Form>
    </Page>
  );
}
