import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { words } from "~/words";
import {
  BOARD_ORDERS,
  looksOn,
  needsAttention,
  type Asked,
  type BoardOrder,
  type Line,
} from "./board-order";
import styles from "./board.module.css";

interface BoardToolsProps {
  readonly lines: readonly Line[];
  readonly groups: readonly { readonly id: string; readonly name: string }[];
  readonly asked: Asked;
  readonly onAsk: (asked: Asked) => void;
}

/** Who is looked for, in which order the lines stand, and what they need a look for. */
export function BoardTools({ lines, groups, asked, onAsk }: BoardToolsProps) {
  const counts = looksOn(lines);
  const needy = lines.filter(needsAttention).length;
  const look =
    asked.look === "" || asked.look === "any" || counts.has(asked.look) ? asked.look : "";
  return (
    <div className={styles.tools} role="search">
      <TextField
        size="small"
        type="search"
        label={words.week.find}
        value={asked.find}
        onChange={({ target }) => onAsk({ ...asked, find: target.value })}
      />
      <TextField
        select
        size="small"
        label={words.week.show}
        value={look}
        onChange={({ target }) => onAsk({ ...asked, look: target.value as Asked["look"] })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">{words.week.everyone(lines.length)}</MenuItem>
        <MenuItem value="any">{words.week.only(needy)}</MenuItem>
        {[...counts].map(([kind, count]) => (
          <MenuItem key={kind} value={kind}>
            {words.week.lookKind(words.look.kinds[kind], count)}
          </MenuItem>
        ))}
      </TextField>
      {groups.length > 0 && (
        <TextField
          select
          size="small"
          label={words.week.group}
          value={groups.some(({ id }) => id === asked.group) ? asked.group : ""}
          onChange={({ target }) => onAsk({ ...asked, group: target.value })}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">{words.week.allGroups}</MenuItem>
          {groups.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      <ToggleButtonGroup
        exclusive
        size="small"
        value={asked.order}
        aria-label={words.week.order}
        onChange={(_, order: BoardOrder | null) => order && onAsk({ ...asked, order })}
      >
        {BOARD_ORDERS.map((order) => (
          <ToggleButton key={order} value={order}>
            {words.week.orders[order]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </div>
  );
}
