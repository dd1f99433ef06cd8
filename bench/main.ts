import { cpus } from "node:os";
import { adviceFigures } from "./advice";
import { browserFigures } from "./browser";
import { coreFigures, type Figure } from "./core";
import { costFigures } from "./cost";
import { eventFigures } from "./events";
import { judgementFigures } from "./judgement";
import { musicFigures } from "./music";
import { notationFigures } from "./notation";
import { planningFigures } from "./planning";
import { schoolFigures } from "./schools";
import { workshopFigures } from "./workshop";

const print = (title: string, figures: readonly Figure[]) => {
  process.stdout.write(`\n${title}\n`);
  const width = Math.max(...figures.map(({ what }) => what.length));
  for (const { what, value } of figures)
    process.stdout.write(`  ${what.padEnd(width)}  ${value}\n`);
};

const { length, 0: first } = cpus();
process.stdout.write(`Node ${process.versions.node}, ${length} × ${first?.model ?? "unknown"}\n`);
print("core", coreFigures());
print("workshop", workshopFigures());
print("schools: the same simulated learner to a stable target", schoolFigures());
print("what a ladder costs: as told, and at the stand", costFigures());
print("judgement: spans and chances on simulated learners", judgementFigures());
print(
  "advice: minutes to a stable target by start rule, and with advice followed",
  adviceFigures(),
);
print("events", await eventFigures());
print("planning", await planningFigures());
print("tempi and exercises", musicFigures());
print("notation", await notationFigures());
print("application", await browserFigures());
