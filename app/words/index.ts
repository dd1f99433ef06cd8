import { desk } from "./desk";
import { ladder } from "./ladder";
import { music } from "./music";
import { stand } from "./stand";
import { workshop } from "./workshop";

/** Every sentence of the interface, in one place so that it can be said in another language. */
export const words = { ...music, ...desk, ...ladder, ...workshop, ...stand } as const;
