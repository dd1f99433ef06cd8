export { looksLikeAbc, readAbc } from "./abc";
