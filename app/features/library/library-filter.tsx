import MenuItem from "@mui/material/MenuItem";
import { FormField } from "~/components/form-field";
import { useFilter } from "~/components/use-filter";
import { LIBRARY_KINDS } from "~/core/week";
import type { LibraryQuery } from "~/forms/library";
import { words } from "~/words";
import styles from "./library.module.css";

type Asked = Pick<LibraryQuery, "find" | "kind">;

interface LibraryFilterProps {
  readonly query: LibraryQuery;
  readonly onAsk: (asked: Asked) => void;
}

const { library } = words;

/** Which things are shown: by a word in their name or school, by their kind. */
export function LibraryFilter({ query: { find, kind }, onAsk }: LibraryFilterProps) {
  const control = useFilter<Asked>({ find, kind }, onAsk);
  return (
    <div className={styles.filter} role="search">
      <FormField control={control} name="find" type="search" size="small" label={library.find} />
      <FormField control={control} name="kind" select size="small" label={library.kind}>
        <MenuItem value="">{library.allKinds}</MenuItem>
        {LIBRARY_KINDS.map((each) => (
          <MenuItem key={each} value={each}>
            {library.kinds[each]}
          </MenuItem>
        ))}
      </FormField>
    </div>
  );
}
