import { questionOf, type PlayersInput } from "..";
import type { World } from "./world";

/** Does one thing again and again, and waits for what comes of it, until the session is over. */
export function untilTheEnd(world: World, next: (world: World) => PlayersInput): void {
  for (let n = 0; n < 1500; n++) {
    world.settles();
    if (world.state.stand.ended) return;
    world.does(next(world));
  }
  throw new Error(`Still ${world.state.transport}, ${questionOf(world.state) ?? "nothing asked"}`);
}

/** What is offered to a finger just now: the first of what the screen shows. */
export function touched({ state }: World): PlayersInput {
  const question = questionOf(state);
  if (state.trying && question === "verdict" && !state.stand.pending) {
    return { kind: "try", on: false };
  }
  switch (question) {
    case "task":
      return { kind: "task-done" };
    case "rest":
      return { kind: "end-rest" };
    case "slow-end":
    case "top":
    case "left":
      return { kind: "end-well" };
    case "another-way":
      return { kind: "decline" };
    case "advice":
      return { kind: "decline-advice" };
    case "verdict":
    case undefined:
      return state.transport === "stopped"
        ? { kind: "start" }
        : { kind: "judge", verdict: "clean" };
  }
}
