import { mkdir, writeFile } from "node:fs/promises";
import { stepsFrom } from "~/components/rung-lane";
import { staircaseShape } from "~/components/staircase-shape";
import { SCHOOL_NAMES, staircase, type SchoolName } from "~/core/ladder";
import { TOKENS } from "~/theme/tokens";
import { words } from "~/words";
import { COURSE_BARS, ladderOf } from "./schools";

const WIDTH = 640;
const HEIGHT = 220;
const FRAME = { left: 44, right: 628, top: 18, bottom: 130, lane: [146, 206] as const };
const { light } = TOKENS;

/** A staircase as an SVG that stands for itself, in the colours of the workshop. */
function drawing(name: SchoolName): string {
  const ladder = ladderOf(name);
  const from = name === "comfort-span" ? { ...ladder, start: 74 as typeof ladder.start } : ladder;
  const rungs = staircase(from, { start: from.start, bars: COURSE_BARS });
  const steps = stepsFrom(rungs);
  const tempi = steps.flatMap(({ tempo, top = tempo }) => [tempo, top]);
  const flat = Math.max(...tempi) === Math.min(...tempi);
  const scale = flat
    ? { lowest: 70, highest: 110 }
    : { lowest: Math.min(...tempi) * 0.97, highest: Math.max(...tempi) * 1.01 };
  const withLane = steps.some(({ lane }) => lane !== undefined);
  const frame = withLane ? FRAME : { ...FRAME, bottom: 200, lane: undefined };
  const { treads, fast, risers, lanes: drawn, y } = staircaseShape(steps, frame, scale);
  const named = [...new Set(rungs.map(({ tempo }) => tempo))];
  const ends = [Math.min(...named), Math.max(...named)];
  const label = words.ladder.schools[name].label;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" aria-label="${label}">`,
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="${light.paper}"/>`,
    `<path d="${risers}" fill="none" stroke="${light["line-strong"]}" stroke-dasharray="2 3"/>`,
    `<path d="${treads.ahead}" fill="${light.spruce}" stroke="${light["line-strong"]}" stroke-width="1.2"/>`,
    `<path d="${fast}" fill="${light.rosin}"/>`,
    `<path d="${drawn.ahead}" fill="${light["line-strong"]}"/>`,
    ...[...new Set(ends)].map(
      (tempo) =>
        `<text x="36" y="${y(tempo) + 5}" text-anchor="end" font-family="sans-serif" font-size="14" fill="${light["ink-soft"]}">${tempo}</text>`,
    ),
    "</svg>\n",
  ].join("\n");
}

/** The pictures of docs/schools.md, drawn by the same code as in the workshop. */
async function writeDrawings(): Promise<void> {
  await mkdir("docs/drawings", { recursive: true });
  await Promise.all(
    SCHOOL_NAMES.map((name) => writeFile(`docs/drawings/school-${name}.svg`, drawing(name))),
  );
}

await writeDrawings();
