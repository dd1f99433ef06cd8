import { expect, test } from "./support/fixtures";

/** A way of working: how it is set in the workshop, and what the stand then plays, rung by rung. */
interface Way {
  readonly who: string;
  readonly school: string;
  readonly numbers?: Readonly<Record<string, number>>;
  readonly clean?: number;
  readonly bars?: readonly [number, number];
  readonly rungs: readonly string[];
}

const ways: readonly Way[] = [
  {
    who: "thinks in metronome marks",
    school: "Metronome marks",
    numbers: { Start: 200, Target: 224, Step: 2 },
    rungs: ["200", "216", "224"],
  },
  {
    who: "thinks in percent",
    school: "Percent steps",
    numbers: { Start: 216, Target: 240, "Step above the knee": 8 },
    rungs: ["216", "233", "240"],
  },
  {
    who: "swears by ten in a row",
    school: "Even steps",
    numbers: { Start: 240, Target: 240 },
    clean: 10,
    bars: [3, 3],
    rungs: ["240"],
  },
  {
    who: "weaves",
    school: "Woven chain",
    numbers: { Start: 220, Target: 240, Step: 10 },
    rungs: [
      ...["220, Link 1 of 2", "230, Link 1 of 2", "240, Link 1 of 2"],
      ...["220, All 2 links", "230, Link 2 of 2", "240, All 2 links"],
    ],
  },
  {
    who: "counts days to a concert",
    school: "By the date",
    numbers: { Start: 200, Target: 240, "Practice days": 2, "Rungs a day": 2 },
    rungs: ["200", "210", "220"],
  },
  {
    who: "builds layers",
    school: "Layers",
    numbers: { Start: 200, Target: 220 },
    rungs: ["count and clap, 220", "say the note names, 220", "finger silently, 220", "play, 220"],
  },
  {
    who: "bursts",
    school: "Burst cycles",
    numbers: { Start: 12, "Target of the fast plays": 24, Step: 10, "Slow plays": 1 },
    rungs: ["12"],
  },
];

for (const { who, school, numbers = {}, clean = 1, bars = [3, 4] as const, rungs } of ways) {
  test(`who ${who} finds ${school} and plays it to its end`, async ({ teacher, player, page }) => {
    test.slow();
    await teacher.opensTheWorkshop(bars);
    await teacher.chooses(school);
    await teacher.fills(numbers);
    await teacher.setsTheGate(clean);
    await expect(teacher.figure("Rungs")).not.toHaveText("0");
    await teacher.setsIt();
    await player.goesToTheStand();
    await player.starts();
    expect(await player.climbs(clean)).toEqual(rungs);
    await player.button(/^One slow, careful run/).click();
    await player.playsClean();
    await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
    await expect(page.getByRole("link", { name: "Back to today" })).toBeVisible();
  });
}

test("a chain that is left in the middle goes on at its link", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.opensTheWorkshop([2, 4]);
  await teacher.chooses("Woven chain");
  await teacher.fills({ Start: 12, Target: 22, Step: 10 });
  await teacher.setsTheGate(1);
  await teacher.setsIt();
  await player.goesToTheStand();
  await player.starts();
  await player.playsClean(2);
  await expect(page.getByTestId("links")).toHaveText("Links 1–2 of 3");
  await player.playsClean(1);
  await player.button("End well").click();
  await player.playsClean();
  await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
  await page.getByRole("link", { name: "Back to today" }).click();
  await player.goesToTheStand();
  await expect(page.getByTestId("links")).toHaveText("Links 1–2 of 3");
});

test(
  "several rules must all hold, and the player may say that it is easy",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
    await teacher.opensTheWorkshop();
    await teacher.fills({ Start: 210, Target: 220, Step: 10 });
    await teacher.setsTheGate(2);
    await page.getByRole("button", { name: "And also …" }).click();
    await expect(page.getByLabel("Gate", { exact: true })).toHaveCount(2);
    await page.getByLabel("Gate", { exact: true }).last().press("Enter");
    await page.getByRole("option", { name: "it feels easy" }).press("Enter");
    await teacher.setsIt();
    await player.goesToTheStand();
    await player.starts();
    await player.playsClean(2);
    await player.sees("2 of 2");
    await player.seesTempo(210);
    await player.button("It feels easy").click();
    await player.seesTempo(220);
  },
);
