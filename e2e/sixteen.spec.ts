import type { Page } from "@playwright/test";
import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

test.setTimeout(240_000);

/** What each school begins with on the second day, after two clean plays on the first. */
const SECOND_DAY: Readonly<Record<string, readonly string[]>> = {
  "Even steps": ["210, Rung 1 of 3", "220, Rung 2 of 3"],
  "Percent steps": ["210, Rung 1 of 3", "221, Rung 2 of 3"],
  "Shrinking steps": ["204, Rung 1 of 8", "208, Rung 2 of 8"],
  "Metronome marks": ["216, Rung 1 of 2", "230, Rung 2 of 2"],
  "Forward and back": ["216, Rung 1 of 5", "230, Rung 2 of 5"],
  "Overspeed finish": ["205, Rung 1 of 8", "210, Rung 2 of 8"],
  "Comfort span": ["200, Rung 1 of 7", "200, Rung 1 of 7"],
  "Burst cycles": ["95, Rung 1 of 5", "100, Rung 2 of 5"],
  "Slow and fast": ["200, Rung 1 of 8", "at tempo, 230, Rung 2 of 8"],
  "Woven chain": ["205, Link 1 of 3, Rung 1 of 20", "210, Link 1 of 3, Rung 2 of 20"],
  Joining: ["200, Link 3 of 3, Rung 1 of 10", "200, Links 1–2 of 3, Rung 2 of 10"],
  "By the date": ["203, Rung 1 of 3", "204, Rung 2 of 3"],
  "Rhythm ladder": ["200, Rung 1 of 5", "quarters, 230, Rung 2 of 5"],
  "Withdraw the click": ["200, Rung 1 of 6", "only the off-beats, 230, Rung 2 of 6"],
  Layers: ["say the note names, 200, Rung 1 of 3", "finger silently, 230, Rung 2 of 3"],
  Consolidate: ["200, Rung 1 of 4", "224, Rung 2 of 4"],
};
const SCHOOLS = Object.keys(SECOND_DAY);
const BARS_EACH = 3;

/** What is on the stand, in words: "task, tempo, links, rung". */
async function told(page: Page): Promise<string> {
  const shown = async (id: string) => {
    const part = page.getByTestId(id);
    return (await part.count()) > 0 ? part.innerText() : "";
  };
  const rung = page.locator("p", { hasText: /^Rung \d+ of/ }).first();
  const parts = [await shown("task"), await shown("tempo"), await shown("links")];
  return [...parts, await rung.innerText()].filter(Boolean).join(", ");
}

/** Some clean plays of every passage, left in the middle; what was and would be played, by school. */
async function practisesAll(page: Page, plays: number): Promise<Record<string, readonly string[]>> {
  // By the clock nothing is asked; what is told in a breather is kept all the same.
  const asked = (school: string) =>
    page.getByText(school === "Comfort span" ? "Breathe" : "How was it?");
  const played: Record<string, readonly string[]> = {};
  for (let part = 0; part < SCHOOLS.length; part++) {
    await page.getByRole("button", { name: /^(Start|Go on)$/ }).click();
    const [, bar] = /Bars (\d+)/.exec(await page.locator("header").innerText())!;
    const school = SCHOOLS[(Number(bar) - 1) / BARS_EACH]!;
    const seen: string[] = [];
    for (let n = 0; n < plays; n++) {
      seen.push(await told(page));
      await asked(school).waitFor();
      await page.keyboard.press("PageDown");
      await expect(page.getByText(`${n + 1} of ${n + 1} clean today`)).toBeVisible();
    }
    seen.push(await told(page));
    played[school] = seen;
    if (part + 1 === SCHOOLS.length) break;
    await page.getByRole("button", { name: /^Next: / }).click();
    await expect(page.locator("main")).toHaveAttribute("data-part", `${part + 1}`);
  }
  await expect(page.getByText("All kept")).toBeVisible();
  return played;
}

test("all sixteen schools, set in the workshop and played on two days in a row", async ({
  page,
  teacher,
  player,
  days,
}) => {
  const piece = await teacher.opensARoomAtOnce();
  const bars = await teacher.addsABriskPiece(piece, SCHOOLS.length * BARS_EACH);
  for (const [i, school] of SCHOOLS.entries()) {
    const workshop = await teacher.cutsBars(bars, [BARS_EACH * i + 1, BARS_EACH * (i + 1)]);
    await page.goto(`${days.address}${workshop}`);
    await ready(page);
    await teacher.chooses(school);
    await teacher.fills({ Start: school === "Burst cycles" ? 90 : 200 });
    if (school !== "Comfort span") {
      await page
        .getByRole("spinbutton", { name: /^Target/ })
        .first()
        .fill("230");
    }
    await teacher.setsTheGate(1);
    await teacher.startsEachDay("where it ended");
    await teacher.setsIt();
  }
  const today = page.url();
  await player.goesToTheStand();
  await practisesAll(page, 2);
  await days.goesTo(1, [page]);
  await player.goesToTheStand(today);
  expect(await practisesAll(page, 1)).toEqual(SECOND_DAY);
});
