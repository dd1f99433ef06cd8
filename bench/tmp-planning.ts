import { planningFigures } from "./planning";
console.log(JSON.stringify(await planningFigures(), null, 1));
