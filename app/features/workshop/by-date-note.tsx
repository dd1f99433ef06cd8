import Alert from "@mui/material/Alert";
import { useFormats } from "~/components/locale";
import { dailyGainNeeded, datedPhase, spanOf, type Ladder, type Place } from "~/core/ladder";
import type { Bpm } from "~/core/units";
import { words } from "~/words";

interface ByDateNoteProps {
  readonly ladder: Ladder;
  /** From where the days are reckoned. */
  readonly from: { readonly start: Bpm; readonly place: Place };
  /** Percent a practice day; null while too little was played. */
  readonly bestGain: number | null;
  readonly name: string;
}

const { workshop } = words;

/** What each practice day has to bring, beside the best that this student has shown. */
export function ByDateNote({ ladder, from, bestGain, name }: ByDateNoteProps) {
  const formats = useFormats();
  const dated = datedPhase(ladder);
  if (!dated) return null;
  const { stage } = from.place;
  const { start, target } = spanOf(ladder, dated.phase);
  const path = { start: stage > 0 ? from.start : start, target, stage };
  const needed = dailyGainNeeded(dated.numbers, path);
  const { days } = dated.numbers;
  const drawn = stage > 0 ? `${workshop.fromToday(stage + 1, days, path.start)} ` : "";
  const told = (percent: number) => `${formats.tenth(percent)} %`;
  if (bestGain === null) return <p>{drawn + workshop.steepUnknown(told(needed))}</p>;
  return needed > bestGain ? (
    <Alert severity="warning">{drawn + workshop.steep(told(needed), told(bestGain), name)}</Alert>
  ) : (
    <p>{drawn + workshop.steady(told(needed), told(bestGain), name)}</p>
  );
}
