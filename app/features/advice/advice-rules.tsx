import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import { RULE_NAMES, type RuleName } from "~/core/judge";
import { adviceWords as said, ruleNames } from "~/words/advice";
import { placeNamed, type AdvisedPassage } from "./advice-shapes";
import styles from "./advice.module.css";

export interface AdviceRulesProps {
  readonly home: string;
  readonly off: readonly { readonly rule: string; readonly everyone: boolean }[];
  /** Where rules see something today. */
  readonly sees: readonly { readonly rule: RuleName; readonly passage: AdvisedPassage | null }[];
}

/** Which rules give advice: a teacher switches them off for a student or for everyone. */
export function AdviceRules({ home, off, sees }: AdviceRulesProps) {
  const fetcher = useFetcher();
  const send = (fields: Record<string, string>) =>
    void fetcher.submit(fields, { method: "post", action: `${home}/advice` });
  return (
    <details className={styles.rules}>
      <summary>{said.rules}</summary>
      <ul>
        {RULE_NAMES.map((rule) => {
          const own = off.filter((each) => each.rule === rule);
          const found = sees
            .filter((each) => each.rule === rule)
            .map(({ passage }) => passage && placeNamed(passage));
          const everyone = own.some((each) => each.everyone);
          return (
            <li key={rule}>
              <span>
                {ruleNames[rule]}
                {own.length > 0 && <em> {said.isOff(everyone)}</em>}
                {found.length > 0 && <em> {said.seesToday(found)}</em>}
              </span>
              {own.length > 0 ? (
                <Button
                  size="small"
                  aria-label={`${said.on}: ${ruleNames[rule]}`}
                  onClick={() => send({ act: "on", rule })}
                >
                  {said.on}
                </Button>
              ) : (
                <span>
                  <Button
                    size="small"
                    aria-label={`${said.offFor}: ${ruleNames[rule]}`}
                    onClick={() => send({ act: "off", rule, whom: "student" })}
                  >
                    {said.offFor}
                  </Button>
                  <Button
                    size="small"
                    color="inherit"
                    aria-label={`${said.offForAll}: ${ruleNames[rule]}`}
                    onClick={() => send({ act: "off", rule, whom: "everyone" })}
                  >
                    {said.offForAll}
                  </Button>
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </details>
  );
}
