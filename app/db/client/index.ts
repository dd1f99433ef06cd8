export { createDatabase, type Database, type Queries } from "./database";
export { DatabaseError } from "./errors";
export { DirectoryInUse } from "./lock";
export { openDatabase, preparedDump } from "./open";
