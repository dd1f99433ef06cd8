import { describe, expect, test } from "@jest/globals";
import { initialNumbers, SCHOOL_NAMES, type Ladder, type SchoolName } from "~/core/ladder";
import { currentBlock, layerNow, nextTempo, rungNow, type StandState } from "~/core/session";
import { bpm } from "~/core/units";
import { World } from "~/core/transport/test/world";
import { addPiece, readPieceForm } from "../piece/add-piece";
import { appendEvents } from "../session/append-events";
import { cutPassage, setLadder } from "../piece/passages";
import { passagePart, startSession } from "../session/start-session";
import { furnishedRoom, ladder as evenLadder, pieceForm } from "../../test/room";
import { aLadder } from "~/core/ladder/test/fixtures";

const DAY_MS = 86_400_000;
const BARS_EACH = 3;
let sittings = 0;

/** What is on the stand: "task, tempo, links, rung". */
function told(state: StandState): string {
  const { state: block } = currentBlock(state);
  const { links } = rungNow(block);
  const rung = `${block.rung + 1} of ${block.rungs.length}`;
  const joined = links && `${links.from}–${links.to} of ${links.of}`;
  return [layerNow(state)?.name, nextTempo(state) + 0, joined, rung].filter(Boolean).join(", ");
}

/** A student with a brisk piece, of which passages are cut, practised day after day at the stand. */
async function aStudent() {
  const { services, studioId, personId, clock } = await furnishedRoom();
  const piece = readPieceForm(pieceForm({ metre: "2/4", markBpm: "220", bars: "48" }));
  if (!piece.ok) throw new Error("The piece was refused.");
  const pieceId = await addPiece(services, studioId, personId, piece.value);
  let cut = 0;
  const morning = clock.now;
  return {
    /** Cuts the next bars and sets a ladder for them. */
    async passage(ladder: Ladder): Promise<string> {
      const fromBar = BARS_EACH * cut++ + 1;
      const range = { fromBar, toBar: fromBar + BARS_EACH - 1, pickupBeats: 0, endBeats: 0 };
      const place = { personId, pieceId };
      const id = await cutPassage(services, studioId, place, { ...range, name: "", focus: "" });
      await setLadder(services, studioId, id, ladder);
      return id;
    },
    /** A day's session of passages at the stand; what is done there is kept by the server. */
    async onDay(day: number, passages: readonly string[], work: (world: World) => void) {
      clock.now = morning + day * DAY_MS;
      const parts = passages.map((id) => passagePart(id));
      const begun = await startSession(services, studioId, personId, parts);
      if (!begun.ok) throw new Error(begun.error.sentence);
      const world = new World(begun.value.plan);
      work(world);
      if (world.kept.length === 0) return;
      sittings++;
      // Events of one world have the same ids as those of another.
      const events = JSON.parse(
        JSON.stringify(world.kept).replaceAll(
          /00000000-0000-4000-8000-(\d{12})/g,
          (_, n: string) => `00000000-0000-4000-${8000 + sittings}-${n}`,
        ),
      ) as typeof world.kept;
      const kept = await appendEvents(services, studioId, begun.value.sessionId, events);
      expect(kept.ok).toBe(true);
    },
  };
}

/** Plays so often, clean or flawed, and tells what was on the stand before each and after. */
function plays(world: World, verdicts: string): string[] {
  const seen: string[] = [];
  if (world.state.transport === "stopped") world.does({ kind: "start" });
  for (const letter of verdicts) {
    seen.push(told(world.state.stand));
    const { length } = world.state.stand.plays;
    world.until(({ stand }) => stand.plays.length > length);
    world.does({ kind: letter === "c" ? "forward" : "back" });
  }
  seen.push(told(world.state.stand));
  return seen;
}

const GATE = { gate: [{ kind: "in-a-row", plays: 1, afterFlawed: "reset" }] };
const ladderOf = (name: SchoolName, change: object = {}, numbers: object = {}) =>
  aLadder(
    { name, numbers: { ...initialNumbers(name), ...numbers } },
    name === "burst" ? 90 : 200,
    name === "comfort-span" ? 200 : 230,
    { ...GATE, ...change },
  );

/** What each school begins with on the second day, after two clean plays on the first. */
const SECOND_DAY: Readonly<Record<SchoolName, readonly string[]>> = {
  "even-steps": ["205, 1 of 6", "210, 2 of 6"],
  "percent-steps": ["210, 1 of 3", "221, 2 of 3"],
  "shrinking-steps": ["204, 1 of 8", "208, 2 of 8"],
  marks: ["216, 1 of 2", "230, 2 of 2"],
  "forward-back": ["216, 1 of 5", "230, 2 of 5"],
  overspeed: ["205, 1 of 8", "210, 2 of 8"],
  "comfort-span": ["200, 1 of 7", "200, 1 of 7"],
  burst: ["95, 1 of 5", "100, 2 of 5"],
  "slow-fast": ["200, 1 of 8", "fast, 230, 2 of 8"],
  "woven-chain": ["205, 1–1 of 3, 1 of 20", "210, 1–1 of 3, 2 of 20"],
  joining: ["200, 3–3 of 3, 1 of 10", "200, 1–2 of 3, 2 of 10"],
  "by-date": ["203, 1 of 3", "204, 2 of 3"],
  rhythm: ["200, 1 of 5", "quarter, 230, 2 of 5"],
  withdraw: ["200, 1 of 6", "off-beats, 230, 2 of 6"],
  layers: ["say the note names, 200, 1 of 3", "finger silently, 230, 2 of 3"],
  consolidate: ["200, 1 of 4", "224, 2 of 4"],
};

describe("the next day", () => {
  test("each of the sixteen schools goes on where two clean plays have left it", async () => {
    const student = await aStudent();
    const passages: string[] = [];
    for (const name of SCHOOL_NAMES) passages.push(await student.passage(ladderOf(name)));
    const seen: Record<string, readonly string[]> = {};
    const all = (verdicts: string) => (world: World) => {
      for (const [index, name] of SCHOOL_NAMES.entries()) {
        if (index > 0) world.does({ kind: "move-on" });
        seen[name] = plays(world, verdicts);
      }
    };
    await student.onDay(0, passages, all("cc"));
    await student.onDay(1, passages, all("c"));
    expect(seen).toEqual(SECOND_DAY);
  }, 60_000);

  test("even steps begin where they are set to begin, whatever was passed", async () => {
    const student = await aStudent();
    const asSet = evenLadder({ ...GATE, start: 200, target: 240, startRule: { kind: "as-set" } });
    const passage = await student.passage(asSet);
    await student.onDay(0, [passage], (world) => plays(world, "ccf"));
    await student.onDay(1, [passage], (world) => {
      expect(told(world.state.stand)).toBe("200, 1 of 5");
    });
  });

  test("where it ended is never above what was passed", async () => {
    const student = await aStudent();
    const passage = await student.passage(evenLadder({ ...GATE, start: 200, target: 240 }));
    await student.onDay(0, [passage], (world) => {
      plays(world, "c");
      world.does({ kind: "skip" });
      expect(plays(world, "f").at(-1)).toBe("220, 3 of 5");
    });
    await student.onDay(1, [passage], (world) => {
      expect(told(world.state.stand)).toMatch(/^200, 1 of/);
    });
  });

  test("a chain goes on at its link, and a new link begins at the ladder's start", async () => {
    const student = await aStudent();
    const numbers = { unit: "bar", size: 1, step: 10, window: 8 };
    const chain = ladderOf("woven-chain", { start: 220, target: 240 }, numbers);
    const passage = await student.passage(chain);
    // The first link through all three tempi, the second through two of them.
    await student.onDay(0, [passage], (world) => plays(world, "ccccc"));
    await student.onDay(1, [passage], (world) => {
      const links = plays(world, "ccc").map((each) => each.replace(/, \d+ of \d+$/, ""));
      expect(links).toEqual(["230, 2–2 of 3", "240, 1–2 of 3", "220, 1–3 of 3", "230, 3–3 of 3"]);
    });
  });

  test("keys at each rung go round from where they were left", async () => {
    const student = await aStudent();
    const keys = ["C major", "E♭ minor", "D major"];
    const school = { name: "even-steps", numbers: { step: 10 } };
    const tasks = { of: "keys", order: "each-rung", items: ["C", "ebm", "D"] };
    const round = aLadder(school, 200, 210, {
      ...GATE,
      phases: [{ school, start: null, target: null, tasks }],
    });
    const passage = await student.passage(round);
    const keyIn = (each: string) => each.split(",")[0];
    await student.onDay(0, [passage], (world) => {
      expect(plays(world, "c").map(keyIn)).toEqual(keys.slice(0, 2));
    });
    await student.onDay(1, [passage], (world) => {
      const round = [...keys.slice(1), keys[0]];
      expect(plays(world, "ccccc").map(keyIn)).toEqual([...round, ...round]);
      expect(nextTempo(world.state.stand)).toBe(bpm(210));
    });
  });
});
