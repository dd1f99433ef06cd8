import { between } from "./between";
import { common } from "./common";
import { music } from "./music";
import { rung } from "./rung";
import { session } from "./session";
import { stand } from "./stand";
import { takes } from "./takes";

/** What is said at the stand and by the parts that it shares with the desk; it carries no more. */
export const words = {
  ...music,
  ...common,
  ...between,
  ...rung,
  ...session,
  ...stand,
  ...takes,
} as const;
