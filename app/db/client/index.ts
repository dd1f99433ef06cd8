export { createDatabase, type Database, type Queries } from "./database";
export { DatabaseError, type DatabaseErrorKind } from "./errors";
export { openDatabase, preparedDump } from "./open";
