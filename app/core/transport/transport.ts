import { replay } from "~/core/session";
import { unreachable } from "~/core/result";
import * as decided from "./decisions";
import type { Effect } from "./effect";
import type { Input, Moment, PlayingInput, SessionInput, Timer } from "./input";
import { endNow, heard, judgeNow, settle, staysAsItWas } from "./judging";
import { playFrom, silence } from "./loops";
import { marker } from "./markers";
import { isPlaying, possible } from "./possible";
import { canPlayOn, questionOf, type Question } from "./question";
import type { TransportState } from "./state";
import { Turn } from "./turn";

function playersInput(turn: Turn, input: SessionInput | PlayingInput): void {
  switch (input.kind) {
    case "start":
      return decided.start(turn);
    case "pause":
      return decided.pause(turn);
    case "toggle":
      return decided.toggle(turn);
    case "judge":
      return judgeNow(turn, input.verdict);
    case "forward":
      return decided.forward(turn);
    case "back":
      return decided.back(turn);
    case "undo":
      return decided.undo(turn);
    case "task-done":
      return decided.taskDone(turn);
    case "move-on":
      return decided.moveOn(turn);
    case "note":
      return void turn.write("noted", { text: input.text });
    case "ask":
      return void turn.write("asked", { text: input.text });
    case "end":
      return endNow(turn, input.how);
    case "stay":
      return turn.set({ leaving: false });
    case "hurts":
      return endNow(turn, "pain");
    default:
      // In a session of tasks alone there is nothing that could be played another way.
      if (isPlaying(turn.state)) aboutPlaying(turn, input);
  }
}

/** What asks for each answer: given twice, or too late, it answers nothing. */
const ANSWERS: Readonly<Partial<Record<PlayingInput["kind"], readonly Question[]>>> = {
  again: ["top", "left"],
  lower: ["another-way"],
  narrow: ["another-way"],
  firm: ["another-way"],
  decline: ["another-way"],
  heed: ["advice"],
  "decline-advice": ["advice"],
};

function aboutPlaying(turn: Turn, input: PlayingInput): void {
  const can = possible(turn.state);
  const asked = ANSWERS[input.kind];
  const question = questionOf(turn.state);
  if (asked && !(question && asked.includes(question))) return;
  switch (input.kind) {
    case "nudge":
      return can[input.by < 0 ? "slower" : "faster"] ? decided.nudge(turn, input.by) : undefined;
    case "tempo":
      return can.tap ? decided.tapped(turn, input.bpm) : undefined;
    case "ease":
      return decided.decide(turn, "eased", {});
    case "try":
      return can.try ? decided.tryOut(turn, input.on) : undefined;
    case "try-bars":
      return decided.tryBars(turn, input);
    case "pace":
      return can.between ? decided.pace(turn, input.pace) : undefined;
    case "repeat":
      return can.repeat ? decided.decide(turn, "repeated", {}) : undefined;
    case "skip":
      return can.skip ? decided.decide(turn, "skipped", {}) : undefined;
    case "again":
      return decided.answer(turn, "repeated", {});
    case "lower":
      return decided.answer(turn, "lowered", { steps: 1 });
    case "narrow":
      return decided.answer(turn, "narrowed", input.range);
    case "firm":
      return decided.answer(turn, "firmed", input.offered);
    case "decline":
      return decided.answer(turn, "offer-declined", {});
    case "heed":
      return decided.heed(turn);
    case "decline-advice":
      return decided.declineAdvice(turn);
    case "rest":
      return can.rest ? decided.takeRest(turn, input.seconds) : undefined;
    case "end-rest":
      return decided.endRest(turn);
    case "detail":
      return decided.detail(turn, input.about);
    case "end-well":
      return can["end-well"] ? decided.endWell(turn) : undefined;
    default:
      return unreachable(input);
  }
}

/** A timer has run out; one that was stopped just before says nothing any more. */
function waited(turn: Turn, timer: Timer): void {
  const { transport, stand } = turn.state;
  switch (timer) {
    case "rest":
      return transport === "resting" ? decided.restOver(turn) : undefined;
    case "asked-again":
      if (transport !== "asking" || !canPlayOn(stand)) return;
      turn.go("stopped");
      return playFrom(turn, 0);
    default:
      return unreachable(timer);
  }
}

/** The events are others than were thought: what sounds is brought into line with them. */
function others(turn: Turn, events: TransportState["events"]): void {
  const before = turn.stand;
  turn.set({ events, stand: replay(before.plan, events), ready: true });
  if (!turn.stand.ended) return staysAsItWas(turn) ? undefined : settle(turn);
  silence(turn);
  turn.go("stopped");
}

function dealWith(turn: Turn, input: Input): void {
  switch (input.kind) {
    case "events":
      return others(turn, input.events);
    case "sound-opened": {
      const asked = turn.state.sound === "opening";
      turn.set({ sound: "open" });
      return asked ? decided.startNow(turn) : undefined;
    }
    case "sound-failed":
      return turn.set({ sound: "failed" });
    case "marker":
      return marker(turn, input.loop, input.name);
    case "waited":
      return waited(turn, input.timer);
    case "heard":
      return heard(turn, input.measured);
    case "quiet":
      return turn.set({ quiet: input.on });
    case "from-memory":
      return turn.set({ fromMemory: input.on });
    case "slip":
      return decided.slip(turn);
    default:
      if (turn.state.ready && !turn.stand.ended) playersInput(turn, input);
  }
}

/**
 * The next state of the stand and what is to be done outside for it. It reads no clock and makes no
 * id: both come with the moment. An input that means nothing in a state changes nothing.
 */
export function transport(
  state: TransportState,
  input: Input,
  moment: Moment,
): { readonly state: TransportState; readonly effects: readonly Effect[] } {
  const turn = new Turn(state, moment);
  dealWith(turn, input);
  return { state: turn.state, effects: turn.effects };
}
