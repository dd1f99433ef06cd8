import { loopMap, type BeatMap, type MapMarker } from "~/core/click";
import { advance, currentBlock, loopOf, nextLoop, turnsIn, type Payload } from "~/core/session";
import { followsInTime, goesByClock, isInTime } from "./in-time";
import { LEAD_SECONDS } from "./pace";
import { soundingStand, type Loop, type TransportState } from "./state";
import type { Turn } from "./turn";

/** A map in which the play itself is silent. */
function countInOnly(map: BeatMap): BeatMap {
  const begins = map.markers.find(({ name }) => name === "play-began")?.at ?? 0;
  return { ...map, clicks: map.clicks.filter(({ at }) => at < begins) };
}

/** Sends the next loop ahead, to begin at a time of the sound's clock, or as soon as it can. */
function sendNext(
  turn: Turn,
  at: number,
  follows: boolean,
  stand = soundingStand(turn.state),
): Loop {
  const { last, quiet, sent } = turn.state;
  const request = nextLoop(stand, last, follows);
  const map = quiet ? countInOnly(loopMap(request)) : loopMap(request);
  const start = Math.max(at, turn.clock + LEAD_SECONDS);
  const loop: Loop = {
    id: sent + 1,
    request,
    map,
    start,
    ends: start + map.duration,
    segment: currentBlock(stand).state.segment,
    of: loopOf(stand),
    tried: turn.state.trying !== undefined && stand.endingWell === undefined,
    tempo: request.plays[0].tempo,
  };
  turn.set({ sent: loop.id });
  turn.do({ kind: "send", loop });
  return loop;
}

/** Forgets the loop that was to follow. */
export function dropNext(turn: Turn): void {
  const { next } = turn.state;
  if (!next) return;
  turn.do({ kind: "withdraw", loop: next });
  turn.set({ next: undefined });
}

/** Plays the next loop: behind the one that is heard, or at once. */
export function playFrom(turn: Turn, at: number, follows = false): void {
  if (turn.state.sound !== "open") return;
  const loop = sendNext(turn, at, follows);
  turn.do({ kind: "drone", drone: loop.request.click.drone });
  if (turn.state.transport === "breather") turn.set({ next: loop });
  else begin(turn, loop);
}

/** From here on a loop is the one that is heard. */
export function begin(turn: Turn, loop: Loop): void {
  const { of, tempo } = loop;
  turn.set({ heard: loop, next: undefined, last: { of, tempo } });
  turn.do({ kind: "begin", loop });
  turn.do({ kind: "listen", loop });
  turn.go(loop.map.bars[0]!.part === "play" ? "play" : "count-in");
  if (isInTime(turn.stand)) follow(turn);
}

/**
 * Going on in time, what comes after the play that is on is sent ahead as soon as it is known: the
 * same again without a gap, or another rung with its cue and count-in.
 */
export function follow(turn: Turn): void {
  dropNext(turn);
  const { heard } = turn.state;
  if (!heard) return;
  const then = afterThis(turn, heard);
  if (followsInTime(then)) turn.set({ next: sendNext(turn, heard.ends, true, then) });
}

/** What is written of a loop that was played, to its end or only for so many seconds. */
export function playedOf({ map, request, tempo, segment }: Loop, gone: number): Payload<"played"> {
  const at = (name: MapMarker["name"]) => map.markers.find((each) => each.name === name)?.at ?? 0;
  const turns = request.turnsIn ? { turns: turnsIn(request) } : {};
  return {
    tempo,
    seconds: Math.min(map.duration, gone),
    playing: Math.max(0, Math.min(at("play-ended"), gone) - at("play-began")),
    fromBar: segment.fromBar,
    toBar: segment.toBar,
    complete: gone === Infinity,
    ...turns,
  };
}

/** By the clock it is known what comes of the play that is on: another tempo is sent in time. */
function afterThis(turn: Turn, heard: Loop): TransportState["stand"] {
  const { stand, events, trying } = turn.state;
  if (trying) return soundingStand(turn.state);
  if (!goesByClock(stand) || heard.of !== loopOf(stand)) return stand;
  const payload = playedOf(heard, Infinity);
  const event = { id: "", seq: events.length, at: turn.at, kind: "played", payload } as const;
  return advance(stand, events, event);
}

/** A verdict, or its undoing, that comes while the next play is on in time: that one is finished. */
export const playsOnInTime = ({ state }: Turn): boolean =>
  isInTime(state.stand) && state.transport === "play";

/** Silence at once. */
export function silence(turn: Turn): void {
  const { transport } = turn.state;
  turn.do({ kind: "stop-waiting" });
  turn.do({ kind: "silence" });
  if (transport === "count-in" || transport === "play") turn.do({ kind: "drop-take" });
  turn.set({ early: false, heard: undefined, next: undefined });
}

/** Ends the loop that is heard at its next bar line, if there is one before its end. */
export function endAtBarLine(turn: Turn): void {
  const { heard } = turn.state;
  if (!heard) return;
  const earliest = turn.clock + LEAD_SECONDS - heard.start;
  const line = heard.map.bars.find((bar) => bar.start >= earliest);
  const at = heard.start + (line?.start ?? Infinity);
  if (at >= heard.ends) return;
  turn.set({ heard: { ...heard, ends: at } });
  turn.do({ kind: "cut", loop: heard, at });
}
