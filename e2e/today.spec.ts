import { ready } from "./support/ready";
import { expect, test } from "./support/fixtures";

test("the session is fitted at once, moved and lengthened by mouse and keys, and played as it stands", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.preparesToday({ clean: 1, target: 200 });
  await ready(page);
  const ribbon = page.getByRole("list", { name: /^The session, / });
  const names = () =>
    ribbon
      .getByRole("button")
      .evaluateAll((all) =>
        all.map((each) => each.getAttribute("aria-label")!.replace(/, \d+ of \d+$/, "")),
      );
  const block = (name: string | RegExp) => ribbon.getByRole("button", { name });

  // Five minutes are one passage and its slow end.
  await page.getByRole("button", { name: "5 minutes", exact: true }).click();
  expect(await names()).toEqual(["The Ferry at Low Water, 4 minutes", "Slow finish, 1 minute"]);
  await expect(page.getByText("of everything, these few minutes move it most")).toBeVisible();

  // A true proportion: a block of twice the minutes is twice as wide.
  await page.getByLabel("Minutes I have").fill("20");
  await expect(page.getByRole("button", { name: "Start, 20 minutes" })).toBeVisible();
  const width = async (name: RegExp) => (await block(name).boundingBox())!.width;
  const minutes = async (name: RegExp) =>
    Number(/(\d+) minute/.exec((await block(name).getAttribute("aria-label"))!)![1]);
  const [wide, narrow] = [await width(/^The Ferry/), await width(/^Warm-up/)];
  expect(wide / narrow).toBeCloseTo((await minutes(/^The Ferry/)) / (await minutes(/^Warm-up/)), 0);

  // Keys: a minute more from the others, the time stays; one place to the left.
  const before = await minutes(/^The Ferry/);
  await block(/^The Ferry/).focus();
  await page.keyboard.press("ArrowUp");
  expect(await minutes(/^The Ferry/)).toBe(before + 1);
  await expect(page.getByRole("button", { name: "Start, 20 minutes" })).toBeVisible();
  const place = (await names()).findIndex((name) => name.startsWith("The Ferry"));
  await page.keyboard.press("ArrowLeft");
  expect((await names()).findIndex((name) => name.startsWith("The Ferry"))).toBe(place - 1);
  await block(/^Join/).focus();
  await page.keyboard.press("Delete");
  expect((await names()).some((name) => name.startsWith("Join"))).toBe(false);

  // Mouse: the right edge, then the whole block to the front.
  const box = (await block(/^The Ferry/).boundingBox())!;
  const middle = box.y + box.height / 2;
  const longer = await minutes(/^The Ferry/);
  await page.mouse.move(box.x + box.width, middle);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width - 3 * (box.width / longer), middle, { steps: 5 });
  await page.mouse.up();
  expect(await minutes(/^The Ferry/)).toBeLessThan(longer);
  const from = (await block(/^The Ferry/).boundingBox())!;
  const first = (await ribbon.getByRole("button").first().boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, middle);
  await page.mouse.down();
  await page.mouse.move(first.x + 4, middle, { steps: 12 });
  await page.mouse.up();
  await expect.poll(async () => (await names())[0]).toMatch(/^The Ferry/);

  // The shape is kept and chosen again.
  await page.getByText("Keep this shape").click();
  await page.getByLabel("Name of the shape").fill("Ferry first");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await page.getByRole("button", { name: "Forget Ferry first" }).waitFor();
  await page.getByRole("button", { name: "Fit again" }).click();
  expect((await names())[0]).not.toMatch(/^The Ferry/);
  await page.getByRole("combobox", { name: "Shape" }).press("Enter");
  await page.getByRole("option", { name: "Ferry first" }).click();
  expect((await names())[0]).toMatch(/^The Ferry/);

  // Tight: more warm-up. Something hurts: nothing to start, and the caution.
  const warm = await minutes(/^Warm-up/);
  await page.getByRole("button", { name: "Tight" }).click();
  expect(await minutes(/^Warm-up/)).toBeGreaterThan(warm);
  await page.getByRole("button", { name: "Something hurts" }).click();
  await expect(page.getByRole("alert")).toContainText("Then not today.");
  await expect(page.getByRole("button", { name: /^Start/ })).toHaveCount(0);

  // The stand plays exactly these parts: the ladder, then the tasks, the last one quiet.
  await page.getByRole("button", { name: "Fine" }).click();
  const plan = (await names()).map((name) => name.replace(/, \d+ minutes?$/, ""));
  await player.startsTheSession();
  await player.starts();
  await player.playsClean();
  await player.button(/^Next: /).click();
  const task = page.locator("[data-task]");
  const done: string[] = [];
  while ((await page.locator("main[data-part]").count()) > 0) {
    const shown = await task.getByRole("heading").innerText();
    done.push(shown);
    await player.button(/^Done/).click();
    await expect
      .poll(
        async () =>
          (await task.count()) &&
          task
            .getByRole("heading")
            .innerText({ timeout: 500 })
            .catch(() => ""),
      )
      .not.toBe(shown);
  }
  expect(done).toEqual(plan.slice(1));
  await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
  await expect(page.getByText("1 of 1 clean").first()).toBeVisible();
});
