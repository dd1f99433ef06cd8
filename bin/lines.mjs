// Counts lines of code, tests and messages: what is kept in git, blank lines too.
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";

const CODE = /\.(tsx?|css|sql)$/;
const TEST = /\.test\.tsx?$|\/test\/|^e2e\//;
const MESSAGES = /^app\/words\//;

const sums = { code: 0, "of it app": 0, tests: 0, messages: 0 };
const files = execFileSync("git", ["ls-files", "-z"], { encoding: "utf8" }).split("\0");
for (const file of files.filter((each) => CODE.test(each))) {
  const lines = readFileSync(file, "utf8").split("\n").length - 1;
  if (TEST.test(file)) sums.tests += lines;
  else if (MESSAGES.test(file)) sums.messages += lines;
  else {
    sums.code += lines;
    if (file.startsWith("app/")) sums["of it app"] += lines;
  }
}
const all = sums.code + sums.tests + sums.messages;
for (const [what, lines] of Object.entries(sums)) {
  process.stdout.write(`${what.padEnd(10)} ${String(lines).padStart(7)}\n`);
}
process.stdout.write(`tests are ${((100 * sums.tests) / all).toFixed(1)} % of all lines\n`);
