import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import { RULE_NAMES } from "~/core/judge";
import { adviceWords as said, ruleNames } from "~/words/advice";
import styles from "./advice.module.css";

interface AdviceRulesProps {
  readonly home: string;
  readonly off: readonly { readonly rule: string; readonly everyone: boolean }[];
}

/** Which rules give advice: a teacher switches them off for a student or for everyone. */
export function AdviceRules({ home, off }: AdviceRulesProps) {
  const fetcher = useFetcher();
  const send = (fields: Record<string, string>) =>
    void fetcher.submit(fields, { method: "post", action: `${home}/advice` });
  return (
    <details className={styles.rules}>
      <summary>{said.rules}</summary>
      <ul>
        {RULE_NAMES.map((rule) => {
          const own = off.filter((each) => each.rule === rule);
          const everyone = own.some((each) => each.everyone);
          return (
            <li key={rule}>
              <span>
                {ruleNames[rule]}
                {own.length > 0 && <em> {said.isOff(everyone)}</em>}
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
