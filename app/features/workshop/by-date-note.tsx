import Alert from "@mui/material/Alert";
import { useFormats } from "~/components/locale";
import { dailyGainNeeded, spanOf, type Ladder } from "~/core/ladder";
import { words } from "~/words";

interface ByDateNoteProps {
  readonly ladder: Ladder;
  readonly stage: number;
  /** Percent a practice day; null while too little was played. */
  readonly bestGain: number | null;
  readonly name: string;
}

const { workshop } = words;

/** What each practice day has to bring, beside the best that this student has shown. */
export function ByDateNote({ ladder, stage, bestGain, name }: ByDateNoteProps) {
  const formats = useFormats();
  const phase = ladder.phases.find(({ school }) => school.name === "by-date");
  if (phase?.school.name !== "by-date") return null;
  const needed = dailyGainNeeded(phase.school.numbers, { ...spanOf(ladder, phase), stage });
  const told = (percent: number) => `${formats.tenth(percent)} %`;
  if (bestGain === null) return <p>{workshop.steepUnknown(told(needed))}</p>;
  return needed > bestGain ? (
    <Alert severity="warning">{workshop.steep(told(needed), told(bestGain), name)}</Alert>
  ) : (
    <p>{workshop.steady(told(needed), told(bestGain), name)}</p>
  );
}
