import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { useFormats } from "~/components/locale";
import type { PassageOutlook } from "~/core/record";
import type { Day } from "~/core/units";
import type { PassageDay } from "~/features/shapes";
import { words } from "~/words";
import { outlookWords } from "~/words/outlook";

export interface PlaysAtTempo {
  readonly day: Day;
  readonly tempo: number;
  readonly plays: number;
  readonly clean: number;
}

interface TempoChartProps {
  readonly days: readonly PassageDay[];
  readonly today: Day;
  readonly target: number | undefined;
  /** The comfortable tempo on days ahead, with the span that holds it four times in five. */
  readonly fan: PassageOutlook["fan"];
  /** A date that it should hold by. */
  readonly date: Day | undefined;
  /** Days on which something turned, by their numbers in the list below. */
  readonly turns: readonly { readonly day: Day }[];
  /** Every play behind it, by day and tempo. */
  readonly plays: readonly PlaysAtTempo[];
}

const at = (day: Day) => Date.parse(`${day}T12:00:00Z`);
const dayAt = (time: number): Day => new Date(time).toISOString().slice(0, 10);

/** Tempo reached and comfortable tempo over days, on a true time axis: days off are gaps. */
export default function TempoChart(props: TempoChartProps) {
  const { days, today, target, fan, date, turns, plays } = props;
  const formats = useFormats();
  const data = days.map((day) => ({
    at: at(day.day),
    reached: day.reached_tempo,
    comfortable: Math.round(day.comfortable),
    ceiling: day.ceiling === null ? null : Math.round(day.ceiling),
    span: [Math.round(day.comfortable_low), Math.round(day.comfortable_high)],
  }));
  const ahead = fan.map(({ day, low, value, high }) => ({
    at: at(day),
    likely: Math.round(value),
    fan: [Math.round(low), Math.round(high)],
  }));
  const tempi = [
    ...data.flatMap(({ reached, ceiling, span }) => [
      reached ?? span[0]!,
      ceiling ?? span[0]!,
      ...span,
    ]),
    ...ahead.flatMap((each) => each.fan),
    ...plays.map(({ tempo }) => tempo),
  ];
  const lowest = Math.floor(Math.min(...tempi) / 10) * 10;
  const highest = Math.ceil((Math.max(...tempi, target ?? 0) * 1.03) / 10) * 10;
  const axis = { stroke: "var(--ink-soft)", tick: { fill: "var(--ink-soft)", fontSize: 14 } };
  return (
    <ResponsiveContainer width="100%" height={340}>
      <ComposedChart data={[...data, ...ahead]} margin={{ top: 26, right: 24, bottom: 8, left: 0 }}>
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis
          dataKey="at"
          type="number"
          scale="time"
          domain={[at(days[0]!.day), Math.max(at(today), ...ahead.map((each) => each.at))]}
          tickFormatter={(time: number) => formats.shortDay(dayAt(time))}
          {...axis}
        />
        <YAxis domain={[lowest, highest]} tickCount={6} width={48} {...axis} />
        <Tooltip
          labelFormatter={(time) => formats.longDay(dayAt(Number(time)))}
          contentStyle={{ background: "var(--paper)", border: "1px solid var(--line-strong)" }}
          itemStyle={{ color: "var(--ink)", padding: 0 }}
          isAnimationActive={false}
        />
        {target !== undefined && (
          <ReferenceLine
            y={target}
            stroke="var(--ink)"
            strokeWidth={1.5}
            ifOverflow="extendDomain"
          />
        )}
        {date !== undefined && (
          <ReferenceLine x={at(date)} stroke="var(--ink-soft)" strokeDasharray="2 4" />
        )}
        {turns.map(({ day }, i) => (
          <ReferenceLine
            key={i}
            x={Math.max(at(day), at(days[0]!.day))}
            stroke="var(--line-strong)"
            label={{ value: i + 1, position: "top", fill: "var(--ink)", fontSize: 14 }}
          />
        ))}
        {fan.length > 0 && <ReferenceLine x={at(today)} stroke="var(--line-strong)" />}
        <Area
          name={outlookWords.fan}
          dataKey="fan"
          stroke="none"
          fill="var(--verdigris-wash)"
          fillOpacity={0.6}
          isAnimationActive={false}
          type="monotone"
        />
        <Line
          name={outlookWords.fan}
          dataKey="likely"
          stroke="var(--verdigris)"
          strokeDasharray="2 5"
          strokeWidth={2.5}
          dot={false}
          tooltipType="none"
          isAnimationActive={false}
          type="monotone"
        />
        <Area
          name={words.progress.span}
          dataKey="span"
          stroke="none"
          fill="var(--verdigris-wash)"
          isAnimationActive={false}
          type="monotone"
        />
        <Line
          name={words.progress.ceiling}
          dataKey="ceiling"
          stroke="var(--madder-fill)"
          strokeDasharray="7 5"
          strokeWidth={1.5}
          dot={false}
          isAnimationActive={false}
          type="monotone"
        />
        <Line
          name={words.progress.comfortable}
          dataKey="comfortable"
          stroke="var(--verdigris)"
          strokeWidth={2.5}
          dot={false}
          isAnimationActive={false}
          type="monotone"
        />
        <Line
          name={words.progress.reached}
          dataKey="reached"
          stroke="none"
          dot={{ r: 4.5, fill: "var(--rosin-fill)", stroke: "var(--rosin)", strokeWidth: 1.5 }}
          isAnimationActive={false}
        />
        {plays.length > 0 && (
          <Scatter
            name={words.progress.plays}
            data={plays.map(({ day, tempo, ...rest }) => ({ at: at(day), tempo, ...rest }))}
            dataKey="tempo"
            shape={PlaysDot}
            tooltipType="none"
            isAnimationActive={false}
          />
        )}
      </ComposedChart>
    </ResponsiveContainer>
  );
}

const MOST_RADIUS = 7;

/** Plays at one tempo on one day: the larger, the more; filled as far as they were clean. */
function PlaysDot(props: {
  readonly cx?: number | undefined;
  readonly cy?: number | undefined;
  readonly payload?: PlaysAtTempo;
}) {
  const { cx = 0, cy = 0, payload } = props;
  if (!payload) return null;
  const { plays, clean } = payload;
  const radius = Math.min(MOST_RADIUS, 2 + Math.sqrt(plays));
  return (
    <circle
      cx={cx}
      cy={cy}
      r={radius}
      fill="var(--ink)"
      fillOpacity={(0.8 * clean) / plays}
      stroke="var(--ink)"
      strokeOpacity={0.7}
    />
  );
}
