import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import FormHelperText from "@mui/material/FormHelperText";
import Switch from "@mui/material/Switch";
import { Drum } from "lucide-react";
import { useState } from "react";
import { NumberField } from "~/components/number-field";
import { carriesTasks, natureOf, percentOf, tempoAt } from "~/core/ladder";
import { TEMPO_LIMITS } from "~/core/units";
import { TapSheet } from "~/features/stand/tap-sheet";
import { words } from "~/words";
import type { DraftPhase, LadderDraft } from "./draft";
import { numberOf } from "./number-of";
import { SchoolFields } from "./school-fields";
import { TasksFields } from "./tasks-fields";
import styles from "./workshop.module.css";

interface WayFieldsProps {
  readonly draft: LadderDraft;
  readonly phase: DraftPhase;
  readonly errors: Readonly<Record<string, string>>;
  /** Days to the studio's concert, if one is set and still to come. */
  readonly concertInDays: number | null;
  readonly onChange: (change: Partial<LadderDraft>) => void;
}

const { ladder, workshop } = words;
const TEMPO = { unit: "bpm", min: TEMPO_LIMITS.lowest, max: TEMPO_LIMITS.highest } as const;
const PERCENT = { unit: "%", min: 10, max: 200 } as const;

/** A tempo as it is typed: in bpm, or in percent of a full tempo. */
function TempoField(props: {
  readonly label: string;
  readonly of: number | null;
  readonly tempo: number;
  readonly error: string | undefined;
  readonly onChange: (tempo: number) => void;
}) {
  const { label, of, tempo, error, onChange } = props;
  return of === null ? (
    <NumberField label={label} value={tempo} error={error} onChange={onChange} {...TEMPO} />
  ) : (
    <NumberField
      label={label}
      value={percentOf(of, tempo)}
      error={error}
      onChange={(percent) => onChange(tempoAt(of, percent))}
      {...PERCENT}
    />
  );
}

/** Start, target, and the numbers of the school that is chosen in the row. */
export function WayFields({ draft, phase, errors, concertInDays, onChange }: WayFieldsProps) {
  const [tapping, setTapping] = useState(false);
  const index = draft.phases.indexOf(phase);
  const at = `phases.${index}`;
  const set = (change: Partial<DraftPhase>) =>
    onChange({ phases: draft.phases.with(index, { ...phase, ...change }) });
  const centred = draft.phases.every(({ school }) => natureOf(school.name).tempo === "centres");
  const bursts = draft.phases.length === 1 && natureOf(phase.school.name).cycles;
  const highest = Math.round(draft.target / (numberOf(phase.school.numbers.ratio) || 1));
  const oneBase = bursts && draft.start >= highest ? highest : undefined;
  const own = phase.start !== null || phase.target !== null;
  return (
    <>
      <div className={styles.pair}>
        <TempoField
          label={ladder.start}
          of={draft.of}
          tempo={draft.start}
          error={errors.start}
          onChange={(start) => onChange({ start })}
        />
        {!centred && (
          <TempoField
            label={bursts ? ladder.fastTarget : ladder.target}
            of={draft.of}
            tempo={draft.target}
            error={errors.target}
            onChange={(target) => onChange({ target })}
          />
        )}
      </div>
      {oneBase !== undefined && <FormHelperText>{ladder.oneBase(oneBase)}</FormHelperText>}
      <Button
        size="small"
        sx={{ justifySelf: "start" }}
        startIcon={<Drum size={16} />}
        onClick={() => setTapping(true)}
      >
        {workshop.tapStart}
      </Button>
      <TapSheet
        open={tapping}
        onClose={() => setTapping(false)}
        onTempo={(start) => onChange({ start })}
      />
      {draft.phases.length > 1 && (
        <>
          <FormControlLabel
            control={
              <Switch
                checked={own}
                onChange={(_, on) =>
                  set(
                    on
                      ? { start: draft.start as never, target: draft.target as never }
                      : { start: null, target: null },
                  )
                }
              />
            }
            label={`${ladder.schools[phase.school.name].label}: ${workshop.phaseTempi.toLowerCase()}`}
          />
          {own && (
            <div className={styles.pair}>
              {(["start", "target"] as const).map((key) => (
                <TempoField
                  key={`${phase.id}-${key}`}
                  label={workshop.here(ladder[key])}
                  of={draft.of}
                  tempo={phase[key] ?? draft[key]}
                  error={errors[`${at}.${key}`]}
                  onChange={(tempo) => set({ [key]: tempo })}
                />
              ))}
            </div>
          )}
        </>
      )}
      <SchoolFields
        phase={phase}
        inPercent={draft.of !== null}
        errorAt={(path) => errors[`${at}.school.numbers.${path}`]}
        onChange={(numbers) => set({ school: { ...phase.school, numbers } })}
      />
      {carriesTasks(phase.school.name) && (
        <TasksFields
          school={phase.school.name}
          tasks={phase.tasks}
          error={errors[`${at}.tasks`] ?? errors[`${at}.tasks.items`]}
          errorAt={(path) => errors[`${at}.tasks.${path}`]}
          onChange={(tasks) => set({ tasks })}
        />
      )}
      {natureOf(phase.school.name).daily && concertInDays !== null && concertInDays > 0 && (
        <Button
          size="small"
          onClick={() => {
            const perWeek = numberOf(phase.school.numbers.perWeek) || 7;
            const days = Math.max(1, Math.floor((concertInDays * perWeek) / 7));
            set({ school: { ...phase.school, numbers: { ...phase.school.numbers, days } } });
          }}
        >
          {workshop.concert(concertInDays)}
        </Button>
      )}
      {errors.phases && <FormHelperText error>{errors.phases}</FormHelperText>}
      {errors[`${at}.school`] && <FormHelperText error>{errors[`${at}.school`]}</FormHelperText>}
    </>
  );
}
