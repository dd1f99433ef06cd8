import MenuItem from "@mui/material/MenuItem";
import { useEffect, useRef } from "react";
import { Controller, useForm } from "react-hook-form";
import { DayField } from "~/components/day-field";
import { FormField } from "~/components/form-field";
import { LOG_KINDS } from "~/core/session";
import type { LogQuery } from "~/forms/log";
import { words } from "~/words";
import styles from "./log.module.css";

type Asked = Pick<LogQuery, "find" | "kind" | "from" | "to">;

interface LogFilterProps {
  readonly query: LogQuery;
  readonly onAsk: (asked: Asked) => void;
}

const { log } = words;
/** Until somebody has stopped typing. */
const PAUSE_MS = 250;

/** Which lines are shown: by a word in them, by their kind, between two days. */
export function LogFilter({ query, onAsk }: LogFilterProps) {
  const { find, kind, from, to } = query;
  const { control, subscribe } = useForm<Asked>({ defaultValues: { find, kind, from, to } });
  const ask = useRef(onAsk);
  useEffect(() => {
    ask.current = onAsk;
  });
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout>;
    const stop = subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        clearTimeout(waiting);
        waiting = setTimeout(() => ask.current(values), PAUSE_MS);
      },
    });
    return () => {
      clearTimeout(waiting);
      stop();
    };
  }, [subscribe]);
  return (
    <div className={styles.filter} role="search">
      <FormField control={control} name="find" type="search" size="small" label={log.find} />
      <FormField control={control} name="kind" select size="small" label={log.kind}>
        <MenuItem value="">{log.allKinds}</MenuItem>
        {LOG_KINDS.map((each) => (
          <MenuItem key={each} value={each}>
            {log.kinds[each]}
          </MenuItem>
        ))}
      </FormField>
      {(["from", "to"] as const).map((name) => (
        <Controller
          key={name}
          control={control}
          name={name}
          render={({ field: { value, onChange } }) => (
            <DayField label={log[name]} value={value} onChange={onChange} />
          )}
        />
      ))}
    </div>
  );
}
