import { tenth } from "./counts";
/** What every page may say. */
export const common = {
  name: "Fidus",
  title: (...parts: readonly (string | undefined)[]) =>
    [...parts, "Fidus"].filter(Boolean).join(" · "),
  cancel: "Cancel",
  capital: (text: string) => text.charAt(0).toUpperCase() + text.slice(1),
  ago: (days: number) => {
    if (days <= 0) return "today";
    return days === 1 ? "yesterday" : `${days} days ago`;
  },
  trouble: {
    title: (status: number) =>
      ({ 403: "Not yours to change", 404: "Not here" })[status] ?? "That went wrong",
    nothingHere: "There is nothing at this address.",
    unknown: "Something went wrong. What was played is safe in this browser.",
    home: "To your first page",
  },
  care: {
    title: "Take care of your hands, your breath and your ears",
    points: [
      "Stop at pain, numbness or tingling. Not later: now.",
      "Warm up slowly before anything fast.",
      "Take about five minutes off in every thirty.",
      "A cramp or a grip means too fast. Go slower, do not push through.",
      "Keep the click and headphones at a moderate level.",
      "For children, short sessions.",
    ],
    noDiagnosis:
      "Fidus can't tell what is wrong. Trouble that stays belongs to your teacher, a doctor or a physiotherapist who knows musicians.",
  },
  tempoSpan: (comfortable: number | undefined, now: number | undefined, target: number) =>
    [
      comfortable === undefined ? undefined : `comfortable ${tenth(comfortable)}`,
      now === undefined ? undefined : `reached ${tenth(now)}`,
      `target ${tenth(target)} bpm`,
    ]
      .filter(Boolean)
      .join(", "),
  scheme: { light: "Light", dark: "Dark" },
  afterwardsTitle: "Afterwards",
} as const;
