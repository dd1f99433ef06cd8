import { between } from "./between";
import { common } from "./common";
import { desk } from "./desk";
import { ladder } from "./ladder";
import { music } from "./music";
import { rung } from "./rung";
import { session } from "./session";
import { stand } from "./stand";
import { workshop } from "./workshop";

/**
 * Every sentence of the interface, in one place so that it can be said in another language. What
 * only some pages say is in files of its own (`access`, `plan`, `calendar`), so that others do not
 * have to carry it.
 */
export const words = {
  ...music,
  ...common,
  ...between,
  ...desk,
  ...ladder,
  ...workshop,
  ...rung,
  ...session,
  ...stand,
} as const;
