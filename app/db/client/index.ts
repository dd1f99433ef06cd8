export { createDatabase, type Database, type Queries } from "./database";
export { DatabaseError } from "./errors";
export { openDatabase, preparedDump } from "./open";
