import { desk } from "./desk";
import { ladder } from "./ladder";
import { music } from "./music";
import { session } from "./session";
import { stand } from "./stand";
import { workshop } from "./workshop";

/** Every sentence of the interface, in one place so that it can be said in another language. */
export const words = { ...music, ...desk, ...ladder, ...workshop, ...session, ...stand } as const;
export { accessWords } from "./access";
export { planWords } from "./plan";
export { calendarWords } from "./calendar";
