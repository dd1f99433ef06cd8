export { createDatabase, type Database, type Queries } from "./database";
export { DatabaseError, type DatabaseErrorKind } from "./errors";
export { lockDirectory } from "./lock";
export { openDatabase, preparedDump } from "./open";
