import Button from "@mui/material/Button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { ChevronDown } from "lucide-react";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { useFormats } from "~/components/locale";
import type { Refused } from "~/components/field";
import { addDays, type Day } from "~/core/units";
import { changeWords } from "~/words/change-week";

const DAYS = 14;

interface MoveLessonProps {
  readonly home: string;
  readonly today: Day;
  /** The day on which the lesson is now. */
  readonly lesson: Day;
  readonly label: string;
  readonly small?: boolean;
  /** What is done once it is moved, where the page doesn't read itself again. */
  readonly onMoved?: () => void;
}

/** Moves the lesson that is coming to another day, in two presses. */
export function MoveLesson({ home, today, lesson, label, small, onMoved }: MoveLessonProps) {
  const formats = useFormats();
  const fetcher = useFetcher<Refused | { readonly moved: Day }>();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { data } = fetcher;
  const moved = data && "moved" in data;
  useEffect(() => {
    if (moved) onMoved?.();
  }, [moved, onMoved]);
  const days = Array.from({ length: DAYS }, (_, n) => addDays(today, n)).filter(
    (day) => day !== lesson,
  );
  const choose = (day: Day) => {
    setAnchor(null);
    void fetcher.submit({ day }, { method: "post", action: `${home}/lesson/move` });
  };
  const refusal = data && "errors" in data ? Object.values(data.errors)[0] : undefined;
  return (
    <>
      <Button
        variant={small ? "text" : "outlined"}
        size={small ? "small" : "medium"}
        aria-label={label === changeWords.moveLesson ? label : changeWords.moveFrom(label)}
        {...(small && {
          endIcon: <ChevronDown size={16} />,
          sx: { px: 0, minWidth: 0, fontWeight: 400 },
        })}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        disabled={fetcher.state !== "idle"}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {label}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {days.map((day) => (
          <MenuItem key={day} onClick={() => choose(day)}>
            {day === today ? changeWords.today : formats.longDay(day)}
          </MenuItem>
        ))}
      </Menu>
      {refusal && <p role="alert">{refusal}</p>}
    </>
  );
}
