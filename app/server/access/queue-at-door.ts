import type { RequestHandler } from "express";

/** So many come in at a time: whoever plays is not held up by those at the door. */
const MOST_AT_ONCE = 2;
/** A school that comes in within a minute has room; whoever comes behind is told to come again. */
const MOST_WAITING = 120;

const DOORS = /^\/(open|sign-in|in\/[^/]+)(\.data)?$/;
const BUSY = "Too many people are signing in at this moment. Try again in a minute.";

/** Lets whoever sends something to the door wait for their turn; everybody else goes by. */
export function queueAtDoor(): RequestHandler {
  const waiting: (() => void)[] = [];
  let inside = 0;
  const leave = () => {
    inside--;
    waiting.shift()?.();
  };
  return (request, response, next) => {
    if (request.method !== "POST" || !DOORS.test(request.path)) return next();
    if (waiting.length >= MOST_WAITING) {
      response.status(503).set("Retry-After", "60").type("text").send(BUSY);
      return;
    }
    const enter = () => {
      inside++;
      // Whoever went away while waiting only gives their place on.
      if (response.destroyed) return leave();
      response.once("close", leave);
      next();
    };
    if (inside < MOST_AT_ONCE) enter();
    else waiting.push(enter);
  };
}
