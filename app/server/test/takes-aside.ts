import { randomUUID } from "node:crypto";
import { tmpdir } from "node:os";
import path from "node:path";
import { TakeFiles } from "../takes/take-files";

/** Room for takes that nobody else has; nothing is made until one comes. */
export const takesAside = () => new TakeFiles(path.join(tmpdir(), `fidus-takes-${randomUUID()}`));
