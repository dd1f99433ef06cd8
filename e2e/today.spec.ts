import { ready } from "./support/ready";
import { expect, test } from "./support/fixtures";

test(
  "the session is fitted at once, moved and lengthened by mouse and keys, and played as it stands",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
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
    await expect(page.getByText("Of everything, these few minutes move it most.")).toBeVisible();

    // A true proportion: a block of twice the minutes is twice as wide.
    await page.getByLabel("Minutes I have").fill("20");
    await expect(page.getByRole("button", { name: "Start, 20 minutes" })).toBeVisible();
    const width = async (name: RegExp) => (await block(name).boundingBox())!.width;
    const minutes = async (name: RegExp) =>
      Number(/(\d+) minute/.exec((await block(name).getAttribute("aria-label"))!)![1]);
    const [wide, narrow] = [await width(/^The Ferry/), await width(/^Warm-up/)];
    expect(wide / narrow).toBeCloseTo(
      (await minutes(/^The Ferry/)) / (await minutes(/^Warm-up/)),
      0,
    );

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

    // The plan is kept and chosen again.
    await page.getByText("Order, lengths and verdicts").click();
    await page.getByLabel("Name of this plan").fill("Ferry first");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await page.getByRole("button", { name: "Forget Ferry first" }).waitFor();
    await page.getByRole("button", { name: "Fit again" }).click();
    expect((await names())[0]).not.toMatch(/^The Ferry/);
    await page.getByRole("combobox", { name: "Plan of the session" }).press("Enter");
    await page.getByRole("option", { name: "Ferry first" }).press("Enter");
    expect((await names())[0]).toMatch(/^The Ferry/);

    // Tight: more warm-up. Something hurts: nothing to play, and the caution.
    const warm = await minutes(/^Warm-up/);
    await page.getByRole("button", { name: "Tight" }).click();
    expect(await minutes(/^Warm-up/)).toBeGreaterThan(warm);
    await page.getByRole("button", { name: "Something hurts" }).click();
    await expect(page.getByRole("alert")).toContainText("Then not today.");
    await expect(page.getByRole("button", { name: /^Start without playing/ })).toBeVisible();
    expect((await names()).some((name) => name.startsWith("The Ferry"))).toBe(false);

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
  },
);

test(
  "after a stop for pain nothing is played until the player says that nothing hurts",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
    await teacher.preparesToday({ clean: 1, start: 60, target: 90, step: 10 });
    await ready(page);
    const today = page.url();
    await page.getByRole("button", { name: "5 minutes", exact: true }).click();
    await player.startsTheSession();
    await player.starts();
    await player.button("It hurts: stop").click();
    // The stand shows the cautions too: only the summary has heard of the stop.
    await page.getByRole("link", { name: "To the summary" }).click();
    await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
    await page.getByText("Stop at pain, numbness or tingling.").waitFor();

    // The day opens with the question; what is there needs no instrument, and can be done.
    await page.goto(today);
    await ready(page);
    const ribbon = page.getByRole("list", { name: /^The session, / });
    await expect(page.getByText(/How is it now\?/)).toBeVisible();
    await expect(ribbon.getByRole("button", { name: /^The Ferry/ })).toHaveCount(0);
    await page.getByRole("button", { name: /^Start without playing/ }).click();
    await page.waitForURL(/\/stand$/);
    await ready(page);
    await player.button("Begin").click();
    await player.button(/^Done\. Next/).click();
    await player.button(/^Done\. Finish/).click();
    await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
    await expect(page.getByText(/Without the instrument .* · Listening/)).toBeVisible();

    // It is over: short, easy and slow, with its reason, here and at the stand.
    await page.goto(today);
    await ready(page);
    await page.getByRole("button", { name: "Nothing hurts any more" }).click();
    await expect(page.getByText(/^Short, easy and slow today/)).toBeVisible();
    await expect(page.getByText("Easy and slow, because something hurt last time.")).toBeVisible();
    await page.getByRole("button", { name: "5 minutes", exact: true }).click();
    await player.startsTheSession();
    await page.waitForURL(/\/stand$/);
    await expect(page.getByText(/^Easy and slow today/)).toBeVisible();
    await expect(page.getByTestId("tempo")).toHaveText("42");
  },
);

test("anything can be put in: a text of one's own, what is left out, and a list for every day", async ({
  teacher,
  page,
}) => {
  await teacher.preparesToday({ clean: 1, target: 200 });
  await ready(page);
  const ribbon = page.getByRole("list", { name: /^The session, / });
  await page.getByLabel("Minutes I have").fill("20");
  await page.getByRole("button", { name: "Put in Listening" }).click();
  await expect(ribbon.getByRole("button", { name: /^Listening/ })).toBeVisible();
  await page.getByRole("textbox", { name: "What to do" }).first().fill("The reel from memory");
  await page.getByRole("button", { name: "Put it in", exact: true }).click();
  await expect(ribbon.getByRole("button", { name: /^The reel from memory/ })).toBeVisible();
  const last = ribbon.getByRole("button").last();
  await expect(last).not.toHaveAccessibleName(/^The Ferry/);

  await page.getByText("Every day, even on a short one").click();
  await page.getByRole("textbox", { name: "What to do" }).last().fill("Five long notes");
  await page.getByRole("button", { name: "Add it" }).click();
  await page.getByRole("button", { name: "Take Five long notes off the list" }).waitFor();
  await page.getByRole("button", { name: "15 minutes", exact: true }).click();
  await expect(ribbon.getByRole("button", { name: /^Five long notes/ })).toBeVisible();

  await page.locator("summary", { hasText: "A question for the lesson" }).click();
  await page.getByLabel("A question for the lesson").fill("Which finger in bar 3?");
  await page.getByRole("button", { name: "Keep it for the lesson" }).click();
  await expect(page.getByText("Kept. Your teacher sees it.")).toBeVisible();
  await page.goto(page.url().replace(/\/today$/, ""));
  await ready(page);
  await page.getByLabel("Your answer").fill("The third.");
  await page.getByRole("button", { name: "Answer", exact: true }).click();
  await expect(page.getByText("Which finger in bar 3?")).toHaveCount(0);

  // One passage alone, from where the passages are.
  await page.getByRole("button", { name: "Practise The Ferry at Low Water now" }).click();
  await page.waitForURL(/\/stand$/);
});
