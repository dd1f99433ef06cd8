import { adviceFigures } from "./advice";
const begun = performance.now();
for (const { what, value } of adviceFigures()) console.log(what.padEnd(60), value);
console.log(Math.round(performance.now() - begun), "ms");
