export { createDatabase, type Database, type Queries } from "./database";
export { gathered, gatheredIn } from "./gathered";
export { DatabaseError, type DatabaseErrorKind } from "./errors";
export { MADE_BY_FIRST } from "./first-rules";
export { lockDirectory } from "./lock";
export { openDatabase, preparedDump } from "./open";
