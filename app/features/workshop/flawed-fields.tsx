import { NumberField } from "~/components/number-field";
import { AFTER_FLAWED } from "~/core/ladder";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import type { PartProps } from "./part-props";

const { gate: said, ladder } = words;

/** What happens after several flawed plays, and whether it is played in context. */
export function FlawedFields({ draft, errors, onChange }: PartProps) {
  const { afterFlawed, inContext } = draft;
  const setFlawed = (change: Partial<typeof afterFlawed>) =>
    onChange({ afterFlawed: { ...afterFlawed, ...change } });
  return (
    <>
      <NumberField
        label={said.flawedPlays}
        unit={said.flawed}
        value={afterFlawed.plays}
        min={1}
        max={20}
        error={errors["afterFlawed.plays"]}
        onChange={(plays) => setFlawed({ plays })}
      />
      <Choice
        label={said.then}
        value={afterFlawed.then}
        options={AFTER_FLAWED}
        told={(then) => said.thens[then]}
        onChange={(then) => setFlawed({ then })}
      />
      {afterFlawed.then === "lower" && (
        <NumberField
          label={said.lowerBy}
          unit={ladder.rungs}
          value={afterFlawed.steps}
          min={1}
          max={10}
          error={errors["afterFlawed.steps"]}
          onChange={(steps) => setFlawed({ steps })}
        />
      )}
      {afterFlawed.then === "rest" && (
        <NumberField
          label={said.restFor}
          unit="s"
          value={afterFlawed.seconds}
          min={10}
          max={600}
          by={10}
          error={errors["afterFlawed.seconds"]}
          onChange={(seconds) => setFlawed({ seconds })}
        />
      )}
      <NumberField
        label={said.context}
        unit={said.contextUnit}
        value={inContext.bars}
        min={0}
        max={4}
        error={errors["inContext.bars"]}
        helper={said.contextHelp}
        onChange={(bars) => onChange({ inContext: { ...inContext, bars } })}
      />
      {inContext.bars > 0 && (
        <Choice
          label={said.contextAt}
          value={inContext.at}
          options={["top", "each-rung"]}
          told={(at) => said.contextAts[at]}
          onChange={(at) => onChange({ inContext: { ...inContext, at } })}
        />
      )}
    </>
  );
}
