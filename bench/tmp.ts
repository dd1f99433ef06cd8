import { planningFigures } from "./planning";
for (const f of await planningFigures()) console.log(f.what, "=", f.value);
