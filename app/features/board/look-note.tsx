import { CalendarClock, CircleHelp, CircleSlash2, HandHelping, Moon, Sprout } from "lucide-react";
import type { ReactNode } from "react";
import type { Look } from "~/core/judge";
import { daysBetween, type Day } from "~/core/units";
import { words } from "~/words";
import { chanceInWords } from "~/words/outlook";
import styles from "./look-note.module.css";

const ICONS = {
  pain: <HandHelping size={16} aria-hidden />,
  silent: <Moon size={16} aria-hidden />,
  stuck: <CircleSlash2 size={16} aria-hidden />,
  question: <CircleHelp size={16} aria-hidden />,
  felt: <HandHelping size={16} aria-hidden />,
  behind: <CalendarClock size={16} aria-hidden />,
  concert: <CalendarClock size={16} aria-hidden />,
  "nothing-yet": <Sprout size={16} aria-hidden />,
} satisfies Record<Look["kind"], ReactNode>;

function sentence(look: Look, today: Day): string {
  switch (look.kind) {
    case "pain":
      return words.look.pain(words.ago(daysBetween(look.day, today)));
    case "silent":
      return words.look.silent(look.days);
    case "stuck":
      return words.look.stuck(
        look.title,
        words.bars(look.fromBar, look.toBar),
        look.tempo,
        look.days,
      );
    case "question":
      return words.look.question(look.count, look.first);
    case "felt":
      return words.look.felt(look.feeling, words.ago(daysBetween(look.day, today)));
    case "behind":
      return words.look.behind(look.title, look.days);
    case "concert":
      return words.look.concert(chanceInWords(look.chance));
    case "nothing-yet":
      return words.look.nothingYet;
  }
}

/** Why a student needs a look, in a sentence with its numbers. */
export function LookNote({ look, today }: { look: Look; today: Day }) {
  return (
    <p className={`${styles.note} ${styles[look.kind]}`}>
      {ICONS[look.kind]}
      <span>{sentence(look, today)}</span>
    </p>
  );
}
