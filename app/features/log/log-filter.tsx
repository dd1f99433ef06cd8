import MenuItem from "@mui/material/MenuItem";
import { Controller } from "react-hook-form";
import { DayField } from "~/components/day-field";
import { FormField } from "~/components/form-field";
import { useFilter } from "~/components/use-filter";
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
/** Which lines are shown: by a word in them, by their kind, between two days. */
export function LogFilter({ query, onAsk }: LogFilterProps) {
  const { find, kind, from, to } = query;
  const control = useFilter<Asked>({ find, kind, from, to }, onAsk);
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
