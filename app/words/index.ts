import { desk } from "./desk";
import { ladder } from "./ladder";
import { music } from "./music";
import { session } from "./session";
import { stand } from "./stand";
import { workshop } from "./workshop";

/**
 * Every sentence of the interface, in one place so that it can be said in another language. What
 * the stand never says is in files of its own (`access`, `plan`, `calendar`), so that it does not
 * have to carry them.
 */
export const words = { ...music, ...desk, ...ladder, ...workshop, ...session, ...stand } as const;
