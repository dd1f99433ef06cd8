import { ines } from "./ines";
import { bram } from "./bram";
import { petra } from "./petra";
import { yusuf } from "./yusuf";
import { maud } from "./maud";
import { tobi } from "./tobi";

/** Everyone in the demo room. */
export const STUDENTS = [ines, bram, petra, yusuf, maud, tobi] as const;
