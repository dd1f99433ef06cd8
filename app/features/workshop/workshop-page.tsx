import Button from "@mui/material/Button";
import FormHelperText from "@mui/material/FormHelperText";
import { useCallback, useMemo, useRef, useState } from "react";
import { Form } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { Page } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import { partOfBlock } from "~/core/cost";
import { isByClock } from "~/core/gate";
import { natureOf, ladderAtFull, percentOf, type Ladder, type SchoolName } from "~/core/ladder";
import { keptPace, withPace } from "~/core/session";
import { nearestPlayable } from "~/core/units";
import { words } from "~/words";
import { ByDateNote } from "./by-date-note";
import { BetweenFields } from "./between-fields";
import { ClickFields } from "./click-fields";
import { Compare, type Compared } from "./compare";
import { CostFigures, figuresOf } from "./cost-figures";
import { DayFields } from "./day-fields";
import {
  check,
  draftOf,
  withSchool,
  fitted,
  newPhase,
  type DraftPhase,
  type LadderDraft,
} from "./draft";
import { FlawedFields } from "./flawed-fields";
import { Fold } from "./fold";
import { GateFields } from "./gate-fields";
import { FromLibrary, KeepButton } from "./kept";
import { Offers } from "./offers";
import { withStart } from "./first-offer";
import { blockOf, offeredFor } from "./passage-drawn";
import { PartNote } from "./part-note";
import { PhaseRow } from "./phase-row";
import { chanceOfDraft, reckoningFrom } from "./reckoning";
import { startsToday } from "./starts";
import { SchoolChooser } from "./school-chooser";
import { Stairs } from "./stairs";
import { useCost } from "./use-cost";
import { useHearing } from "./use-hearing";
import { WayFields } from "./way-fields";
import { TempoNote } from "./tempo-note";
import type { WorkshopPageProps } from "./workshop-page-props";
import styles from "./workshop.module.css";

const FORM = "ladder";
const HEARING_VOLUME = 0.7;
const { workshop } = words;

/** Draws a ladder: schools, numbers, stairs, sound, and what it costs this student. */
export function WorkshopPage(props: WorkshopPageProps) {
  const { studioId, person, piece, passage, range, hardness, ladder, place, refused } = props;
  const { order, course, tempo } = props;
  const [offered] = useState<LadderDraft | undefined>(() => {
    if (ladder) return undefined;
    const block = blockOf({ range, order, piece, course, tempo, steady: false });
    const known = { record: props.record, hardness, block, flaws: props.flaws };
    const fits = chanceOfDraft(known, nearestPlayable(tempo.full));
    const first = offeredFor(props, fits);
    return props.joins ? { ...first, inContext: { bars: 1, at: "top" } } : first;
  });
  const [draft, setDraft] = useState<LadderDraft>(() => {
    if (!ladder) return offered!;
    const kept = draftOf(ladder);
    return tempo.across.length > 0 ? { ...kept, of: ladder.of ?? tempo.full } : kept;
  });
  const { steady } = draft;
  const block = useMemo(
    () => blockOf({ range, order, piece, course, tempo, steady }),
    [range, order, piece, course, tempo, steady],
  );
  const change = (part: Partial<LadderDraft>) =>
    setDraft((before) => {
      const { start, ...others } = part;
      const next = { ...before, ...others };
      return start === undefined ? next : withStart(next, start, ladder === null);
    });
  const [chosen, setChosen] = useState(draft.phases[0]!.id);
  const [selected, setSelected] = useState(0);
  const [beside, setBeside] = useState<Compared | undefined>(undefined);
  const [told, setTold] = useState<string | undefined>(undefined);
  const phase = draft.phases.find(({ id }) => id === chosen) ?? draft.phases[0]!;

  const phaseId = phase.id;
  const seen = useRef(new Map<string, DraftPhase["school"]>());
  const chooseSchool = useCallback(
    (name: SchoolName) => {
      setDraft((before) => ({
        ...before,
        phases: before.phases.map((p) => {
          if (p.id !== phaseId) return p;
          // Looking at other schools takes no number away from the one before.
          seen.current.set(`${phaseId} ${p.school.name}`, p.school);
          return withSchool(p, seen.current.get(`${phaseId} ${name}`) ?? newPhase(name).school);
        }),
      }));
    },
    [phaseId],
  );

  const standing = useMemo(
    () =>
      ladder && place && props.startToday ? { ladder, place, start: props.startToday } : undefined,
    [ladder, place, props.startToday],
  );
  const checked = useMemo(
    () => check(draft, block, { standing, ceiling: passage.ceiling ?? undefined }),
    [draft, block, standing, passage.ceiling],
  );
  // While a number is wrong the last good drawing stays.
  const [drawn, setDrawn] = useState<Compared | undefined>(checked.ok ? checked : undefined);
  if (checked.ok && checked.rungs !== drawn?.rungs) setDrawn(checked);
  // What is expected of a student must not change while a target is being moved.
  const target = nearestPlayable(ladder?.target ?? tempo.full);
  const reckoning = useMemo(
    () => reckoningFrom({ record: props.record, target, hardness, block, flaws: props.flaws }),
    [props.record, props.flaws, hardness, target, block],
  );
  // Set at the stand, it holds until the ladder says something else; what it costs goes by it.
  const players = useMemo(
    () => (drawn ? keptPace(passage.pace, drawn.ladder) : undefined),
    [drawn, passage.pace],
  );
  const question = useMemo(
    () => drawn && (() => reckoning.question(withPace(drawn.ladder, players), drawn.from, true)),
    [drawn, reckoning, players],
  );
  const known = useCost(question);
  const { left } = props;
  const starts = useMemo(
    () => (drawn ? startsToday(drawn.ladder, block, left) : undefined),
    [drawn, block, left],
  );
  const figures = figuresOf(known);
  const errors = checked.ok ? (refused?.errors ?? {}) : checked.errors;
  const part = drawn?.ladder.part ?? null;
  const playedBlock = useMemo(() => partOfBlock(block, part), [block, part]);
  const hearing = useHearing(playedBlock, HEARING_VOLUME, person.id);
  const bars = words.capital(words.bars(range.fromBar, range.toBar));
  const takeLadder = useCallback((taken: Ladder) => {
    const next = draftOf(taken);
    setDraft(next);
    setChosen(next.phases[0]!.id);
  }, []);
  const setPhases = useCallback(
    (phases: LadderDraft["phases"]) => setDraft((before) => ({ ...before, phases })),
    [],
  );
  const addPhase = useCallback(() => {
    const added = newPhase("withdraw");
    setDraft((before) => ({ ...before, phases: [...before.phases, added] }));
    setChosen(added.id);
  }, []);
  const rung = Math.min(selected, (drawn?.rungs.length ?? 1) - 1);
  const centred = draft.phases.every(({ school }) => natureOf(school.name).tempo === "centres");
  const clocked = centred || isByClock(draft.gate);

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
          <TempoText unit={tempo.unit} bpm={tempo.full} />
        </>
      }
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
      actions={
        <>
          <FromLibrary
            kept={props.kept}
            onChoose={({ name, ladder: kept }) => {
              const next =
                draft.of === null
                  ? fitted(kept, draft.target)
                  : ladderAtFull(fitted(kept, percentOf(draft.of, draft.target)), draft.of);
              setDraft(next);
              setChosen(next.phases[0]!.id);
              setTold(workshop.fitted(name, words.tempoTold(draft.target, draft.of)));
            }}
          />
          <KeepButton
            action={`/studio/${studioId}/library`}
            ladder={checked.ok ? checked.ladder : undefined}
            onKept={(name) => setTold(workshop.kept(name))}
          />
          <Button
            title={workshop.compareHelp}
            disabled={!checked.ok || beside !== undefined}
            onClick={() => checked.ok && setBeside(checked)}
          >
            {workshop.compare}
          </Button>
          <SubmitButton form={FORM} variant="contained" size="large" disabled={!checked.ok}>
            {words.ladder.submit}
          </SubmitButton>
        </>
      }
    >
      <p className={styles.told} role="status">
        {told}
      </p>
      <SchoolChooser chosen={phase.school.name} onChoose={chooseSchool} />
      <Form id={FORM} method="post" className={styles.workshop} noValidate>
        <input type="hidden" name="ladder" value={JSON.stringify(draft)} />
        <div className={styles.numbers}>
          <Fold
            open
            title={words.ladder.path}
            told={words.ladder.schools[phase.school.name].goodFor}
            wrong={hasError(errors, "start", "target", "phases")}
          >
            {() => (
              <WayFields
                draft={draft}
                phase={phase}
                errors={errors}
                concertInDays={props.concertInDays}
                onChange={change}
              />
            )}
          </Fold>
          <Fold
            title={words.gate.title}
            told={draft.gate.map(words.gate.told).join(` ${words.and} `)}
            wrong={hasError(errors, "gate")}
          >
            {() => (
              <GateFields gate={draft.gate} errors={errors} onChange={(gate) => change({ gate })} />
            )}
          </Fold>
          {/* By the clock nobody marks a run: nothing goes wrong. */}
          {!clocked && (
            <Fold
              title={words.gate.flawedTitle}
              told={words.gate.flawedTold(draft.afterFlawed, draft.inContext.bars)}
              wrong={hasError(errors, "afterFlawed", "inContext")}
            >
              {() => <FlawedFields draft={draft} errors={errors} onChange={change} />}
            </Fold>
          )}
          <Fold
            title={words.click.title}
            told={words.click.told(draft.click)}
            wrong={hasError(
              errors,
              "click.pattern",
              "click.silence",
              "click.levels",
              "click.drone",
            )}
          >
            {() => <ClickFields draft={draft} errors={errors} onChange={change} />}
          </Fold>
          <Fold
            title={words.between.title}
            told={words.between.told(draft.click)}
            wrong={hasError(errors, "click.countIn", "click.breather", "breathe")}
          >
            {() => (
              <>
                <BetweenFields draft={draft} errors={errors} onChange={change} />
                {players && (
                  <FormHelperText>
                    {words.between.players(person.name, words.between.told(players))}
                  </FormHelperText>
                )}
              </>
            )}
          </Fold>
          <Fold
            title={words.ladder.daily}
            told={words.ladder.dayTold(draft)}
            wrong={hasError(errors, "startRule", "minutes", "days", "rest", "warmUp", "overspeed")}
          >
            {() => <DayFields draft={draft} errors={errors} onChange={change} starts={starts} />}
          </Fold>
        </div>
        <div className={styles.drawing}>
          <PhaseRow
            phases={draft.phases}
            selected={phase.id}
            start={draft.start}
            target={draft.target}
            of={draft.of}
            onSelect={setChosen}
            onChange={setPhases}
            onAdd={addPhase}
          />
          <TempoNote tempo={tempo} draft={draft} at={drawn?.rungs[rung]?.tempo} onChange={change} />
          <PartNote {...{ draft, part, offered, full: tempo.full, onChange: change }} />
          {drawn && (
            <>
              <Stairs
                rungs={drawn.rungs}
                block={playedBlock}
                cleanAt={reckoning.cleanAt}
                target={target}
                of={drawn.ladder.of}
                comfortable={reckoning.comfortable}
                ceiling={reckoning.ceilingMet ? reckoning.ceiling : undefined}
                figures={figures?.rungs}
                selected={rung}
                onSelect={setSelected}
                hearing={hearing}
              />
              <ByDateNote
                ladder={drawn.ladder}
                from={drawn.from}
                bestGain={props.bestGain}
                name={person.name}
              />
              <CostFigures
                ladder={drawn.ladder}
                rungs={drawn.rungs}
                known={known}
                cleanAt={reckoning.cleanAt}
                ceiling={reckoning.ceiling}
                plays={reckoning.plays}
                hardness={hardness}
                stage={drawn.from.place.stage}
                name={person.name}
              />
              <Offers
                offers={known.offers}
                stale={known.offersFor !== question}
                onTake={(offer) => takeLadder({ ...offer, click: drawn.ladder.click })}
              />
              {beside && (
                <Compare
                  now={drawn}
                  nowKnown={known}
                  beside={beside}
                  reckoning={reckoning}
                  block={block}
                  name={person.name}
                  onTake={() => {
                    takeLadder(beside.ladder);
                    setBeside(undefined);
                  }}
                  onPutAway={() => setBeside(undefined)}
                />
              )}
            </>
          )}
          {errors.form && <p role="alert">{errors.form}</p>}
        </div>
      </Form>
    </Page>
  );
}

const hasError = (errors: Readonly<Record<string, string>>, ...fields: readonly string[]) =>
  Object.keys(errors).some((at) => fields.includes(at.split(".")[0]!));
