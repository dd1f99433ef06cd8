import { firstPosition, type Score, type ScoreBar } from "./score";

/** More bars than this nobody plays in one go: the repeats of the file are wrong. */
const MOST_PLAYED = 20_000;

/**
 * The positions of the bars in the order in which they are played, repeats, endings and jumps
 * carried out. After a jump repeats are not made again, and the last ending is taken. Where the
 * signs lead nowhere, they are left out.
 */
export function orderPlayed(score: Score): number[] {
  const { bars } = score;
  const has = (jump: string) => bars.findIndex(({ jumps }) => jumps.includes(jump as never));
  const order: number[] = [];
  let from = 0;
  let round = 1;
  let jumped = false;
  let at = 0;
  while (at < bars.length && order.length < MOST_PLAYED) {
    const bar = bars[at]!;
    if (bar.repeatFrom && from !== at) [from, round] = [at, 1];
    const rounds = bar.endings.length > 0 ? roundsOf(score, from, at) : 1;
    const now = jumped ? rounds : round;
    if (bar.endings.length > 0 && !bar.endings.includes(now)) {
      at++;
      continue;
    }
    order.push(at);
    if (bar.repeatTimes > 1 && round < bar.repeatTimes && !jumped) {
      round++;
      at = from;
      continue;
    }
    if (bar.repeatTimes > 1 && (bar.endings.length === 0 || now >= rounds)) {
      [from, round] = [at + 1, 1];
    }
    if (jumped && bar.jumps.includes("fine")) break;
    const to = jumped
      ? bar.jumps.includes("to-coda") && has("coda")
      : bar.jumps.includes("da-capo")
        ? 0
        : bar.jumps.includes("dal-segno") && has("segno");
    if (typeof to === "number" && to >= 0 && (to !== at || !jumped)) {
      jumped ||= !bar.jumps.includes("to-coda");
      [at, from] = [to, to];
    } else at++;
  }
  const first = firstPosition(score);
  return order.map((index) => index + first);
}

/** In how many rounds the stretch with these endings is played: the highest of their numbers. */
function roundsOf({ bars }: Score, from: number, at: number): number {
  let most = 1;
  let seen = false;
  for (let i = Math.min(from, at); i < bars.length; i++) {
    const { endings, repeatFrom } = bars[i]!;
    if (i > at && (repeatFrom || (seen && endings.length === 0))) break;
    if (i >= at) seen = true;
    most = Math.max(most, ...endings);
  }
  return most;
}

/**
 * The bars of a range in the order in which they are played, with the repeats and endings that lie
 * wholly in it. Jumps are the whole piece's and are not made.
 */
export function orderWithin(
  score: Score,
  { fromBar, toBar }: { readonly fromBar: number; readonly toBar: number },
): number[] {
  const first = firstPosition(score);
  const all = score.bars.slice(fromBar - first, toBar - first + 1);
  // A repeat that begins before the range would lead back out of it.
  let begun = fromBar <= 1;
  const bars = all.map((bar): ScoreBar => {
    begun ||= bar.repeatFrom;
    const kept = begun ? bar : { ...bar, repeatTimes: 1, endings: [] };
    return { ...kept, jumps: [] };
  });
  return orderPlayed({ ...score, bars, pickup: false }).map((position) => position - 1 + fromBar);
}
