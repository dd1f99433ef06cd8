import { ready } from "./support/ready";
import type { Browser, Page } from "@playwright/test";
import { contextOptions } from "./support/browser";
import type { Days } from "./support/days";
import { expect, test } from "./support/fixtures";
import { Player } from "./support/player";
import { Teacher } from "./support/teacher";

/** A browser of its own, whose clock runs like the room's. */
async function browserOf(browser: Browser, days: Days): Promise<Page> {
  const context = await browser.newContext(contextOptions);
  await days.welcome(context);
  return context.newPage();
}

/** A student who practises what today asks, and finishes. */
async function practises(page: Page, today: string, firstSinceLesson = false): Promise<void> {
  await page.goto(today);
  const player = new Player(page);
  await player.goesToTheStand();
  if (firstSinceLesson) {
    // The first practice after a lesson opens with the teacher's words and the list.
    await expect(page.getByRole("dialog", { name: "From the lesson" })).toContainText("The Ferry");
    // What the lesson said lies over the stand; the pedal leads on through it.
    await player.button("Go to the stand").waitFor();
    await player.page.keyboard.press("PageDown");
    await player.button("Go to the stand").waitFor({ state: "hidden" });
  }
  await player.starts();
  await player.climbs(1);
  await player.button("Finish").click();
  await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
}

test("one teacher and two students go through two weeks, and every number comes from the log", async ({
  browser,
  days,
}) => {
  test.setTimeout(300_000);
  const { address } = days;
  const [desk, ada, ben] = [
    await browserOf(browser, days),
    await browserOf(browser, days),
    await browserOf(browser, days),
  ];
  const onDay = (day: number) => days.goesTo(day, [desk, ada, ben]);

  // The room, two students, a ladder each, and when Ada has time.
  const teacher = new Teacher(desk, address);
  await teacher.preparesToday({ start: 210, clean: 1 });
  const [, studio, first] = /studio\/([^/]+)\/students\/([^/]+)/.exec(desk.url())!;
  const room = `/studio/${studio}`;
  const adas = `${room}/students/${first}`;
  const piece = await teacher.sends(`${room}/students/new`, { name: "Ben", instrument: "harp" });
  const bens = piece.replace("/pieces/new", "");
  await desk.goto(address + (await teacher.cutsAPiece(piece, [1, 2])));
  await teacher.drawsTheLadder({ start: 210, clean: 1 });
  await teacher.setsIt();
  const weekday = (days.today.getDay() + 6) % 7;
  const windows = Array.from({ length: 7 }, (_, day) => ({
    weekday: day,
    from: "17:00",
    minutes: 20,
  }));
  const lesson = { weekday, from: "15:00", minutes: 45 };
  await teacher.sends(`${adas}/times`, { times: JSON.stringify({ windows, lesson }) });

  // Ada comes in by her link, Ben by a short code.
  await desk.goto(`${address}${adas}/access`);
  await desk.getByRole("button", { name: "Make a link" }).click();
  await expect(desk.getByRole("img", { name: /QR code/ })).toBeVisible();
  await ada.goto(await desk.locator("output").innerText());
  await ada.getByRole("button", { name: "Open my practice" }).click();
  await ada.waitForURL(`${address}${adas}/today`);
  await desk.goto(`${address}${bens}/access`);
  await desk.getByRole("button", { name: "Make a code" }).click();
  const code = await desk.locator("output").innerText();
  await ben.goto(`${address}/sign-in`);
  await ben.getByLabel("Short code").fill(code.toLowerCase().replace("-", " "));
  await ben.getByRole("button", { name: "Come in" }).click();
  await ben.waitForURL(`${address}${bens}/today`);

  // The first lesson: a passage every day and some theory for Ada, three times for Ben.
  const setsAWeek = async (home: string, often: string, besides?: string) => {
    await desk.goto(`${address}${home}/lesson`);
    await ready(desk);
    await desk.getByRole("combobox", { name: "Add a passage" }).press("Enter");
    await desk.getByRole("option").first().press("Enter");
    await desk.getByRole("combobox", { name: "How often" }).press("Enter");
    await desk.getByRole("option", { name: often, exact: true }).press("Enter");
    if (besides) {
      await desk.getByRole("combobox", { name: "Add something else" }).press("Enter");
      await desk.getByRole("option", { name: besides, exact: true }).press("Enter");
    }
    await desk.getByLabel("Message to the student").fill("Slow ends the day.");
    await expect(desk.getByText(/^\d+ min asked, (20|30) there/).first()).toBeVisible();
    await desk.getByRole("button", { name: "Set the week" }).click();
    await desk.waitForURL(/\/weeks\//);
  };
  await setsAWeek(adas, "every day", "Theory");
  await setsAWeek(bens, "3 times");

  // Every page says the same of Ada's week, or says what it is.
  const agree = async () => {
    const line = desk.getByRole("listitem").filter({ hasText: "Tomasz" });
    const read = async (page: Page, path: string, what: RegExp) => {
      await page.goto(address + path);
      const found = what.exec(await page.locator("main").innerText());
      expect(found, `${what} on ${path}`).not.toBeNull();
      return found!.slice(1).map(Number);
    };
    const [done, days, asked, askedDays] = await read(
      ada,
      `${adas}/week`,
      /This week\s+(\d+) min done on (\d+) days?; (\d+) asked on (\d+) days?/,
    );
    const lesson =
      /(\d+) min done on (\d+) days?(?: so far)?; (\d+) (?:are|were) asked on (\d+) days?/;
    expect(await read(desk, `${adas}/lesson`, lesson)).toEqual([done, days, asked, askedDays]);
    await desk.goto(address);
    await expect(line).toContainText(`${done} min done`);
    await expect(line).toContainText(`${asked} asked`);
    const [logged] = await read(desk, `${adas}/log`, /on \d+ days?, (\d+) min/);
    expect(logged).toBe(done);
    await ada.goto(`${address}${adas}/week`);
    await ada.getByRole("link", { name: "The printed sheet" }).click();
    await expect(ada.getByText(`Asked: ${asked} min on ${askedDays} days`)).toBeVisible();
  };

  // Ada practises on the first and the fourth day, Ben on the fourth; theory is begun and left.
  await practises(ada, `${address}${adas}/today`, true);
  await ada.goto(`${address}${adas}/week`);
  await ready(ada);
  const byHand = ada.getByRole("group", { name: "Practised without Fidus" });
  await byHand.getByRole("button", { name: "Theory" }).click();
  await ada.getByLabel("Note, or everything in one line").fill("Sheet two");
  await ada.getByRole("button", { name: "5 min", exact: true }).click();
  await expect(ada.getByText("5 min written down.")).toBeVisible();
  await expect(ada.getByText("begun on 1 day")).toBeVisible();
  await agree();
  await ada.goto(`${address}${adas}/today`);
  await expect(ada.getByRole("list", { name: "Done today" })).toContainText("The Ferry");
  await onDay(3);
  await Promise.all([
    practises(ada, `${address}${adas}/today`),
    practises(ben, `${address}${bens}/today`, true),
  ]);
  await agree();
  await ada.goto(`${address}${adas}/week`);
  await expect(ada.getByText("Slow ends the day.")).toBeVisible();
  await expect(ada.getByText("done on 2 days", { exact: true })).toBeVisible();
  await expect(ada.getByText(/not played, \d+ min/).first()).toBeVisible();

  // Ben has come to the tempo of his week: nothing more is asked, and nothing falls out.
  await onDay(6);
  await ben.goto(`${address}${bens}/week`);
  await expect(ben.getByText("done on 1 day", { exact: true })).toBeVisible();
  await expect(ben.getByText(/bpm reached on/)).toBeVisible();
  await expect(ben.getByRole("note")).toBeHidden();

  // The second lesson: what is shown is what the log says.
  await onDay(7);
  await agree();
  const plays = async (home: string) => {
    const table = await desk.request.get(`${address}${home}/log.csv?kind=played`);
    const lines = (await table.text()).trim().split("\r\n").slice(1);
    const sum = (fromEnd: number) =>
      lines.reduce((all, line) => all + Number(line.split(",").at(fromEnd)), 0);
    return `${sum(-2)} of ${sum(-3)} clean`;
  };
  const logged = await plays(adas);
  await desk.goto(address);
  const line = desk.getByRole("listitem").filter({ hasText: "Tomasz" });
  await line.getByRole("link", { name: /Lesson today/ }).click();
  await desk.waitForURL(/\/lesson$/);
  await expect(desk.getByText(/, done on 2 (of \d )?days$/)).toBeVisible();
  await expect(desk.getByText(logged)).toBeVisible();
  await expect(desk.getByText(/210 → 220 bpm/)).toBeVisible();
  await expect(desk.getByText(/^5 min, done on 0 of \d days$/)).toBeVisible();
  const theory = desk.getByRole("group", { name: /Theory/ });
  await theory.getByRole("button", { name: "Finished" }).click();
  const passage = desk.getByRole("group", { name: /The Ferry/ });
  await passage.getByRole("button", { name: "Carry over" }).click();
  await desk.getByRole("button", { name: "Set the week" }).click();
  await desk.waitForURL(/\/weeks\//);

  // Opened again, it looks back on the same week; what was set is changed by setting it again.
  await desk.goto(`${address}${adas}/lesson`);
  await ready(desk);
  await expect(desk.getByText(/, done on 2 (of \d )?days$/)).toBeVisible();
  await desk.getByLabel("Message to the student").fill("And sing it.");
  await desk.getByRole("button", { name: "Set it again" }).click();
  await desk.waitForURL(/\/weeks\//);

  // The second week: at the stand once, once without Fidus, a question for the lesson.
  await onDay(9);
  await practises(ada, `${address}${adas}/today`, true);
  await ada
    .getByRole("group", { name: "I stayed focused" })
    .getByRole("button", { name: "yes" })
    .click();
  await expect(ada.getByRole("button", { name: "yes", pressed: true })).toBeVisible();
  await ada.getByLabel("A question for the lesson").fill("Pedal in bar 4?");
  await ada.getByRole("button", { name: "Keep it for the lesson" }).click();
  await expect(ada.locator("q", { hasText: "Pedal in bar 4?" })).toBeVisible();
  await ada.goto(`${address}${adas}/week`);
  await ready(ada);
  await expect(ada.getByText("And sing it.")).toBeVisible();
  await ada.getByRole("button", { name: "yesterday" }).click();
  await ada
    .getByRole("group", { name: "Practised without Fidus" })
    .getByRole("button", { name: /The Ferry/ })
    .click();
  await ada.getByRole("button", { name: "15 min", exact: true }).click();
  await expect(ada.getByText("15 min written down.")).toBeVisible();
  await expect(ada.getByText("done on 2 days", { exact: true })).toBeVisible();

  // Prepared two days early, the third week is there to be read, and the second goes on.
  await onDay(12);
  await desk.goto(`${address}${adas}/lesson`);
  await ready(desk);
  await desk.getByRole("button", { name: "Set the week" }).click();
  await desk.waitForURL(/\/weeks\//);
  await ada.goto(`${address}${adas}/week`);
  await expect(ada.getByRole("heading", { name: "Next week, set already" })).toBeVisible();
  await expect(ada.getByText("And sing it.")).toBeVisible();

  await onDay(14);
  await desk.goto(address);
  await expect(line).toContainText("Asks: Pedal in bar 4?");
  await expect(desk.getByRole("listitem").filter({ hasText: "Ben" })).toContainText(
    "Silent for 11 days",
  );
  await desk.goto(`${address}${adas}/lesson`);
  await expect(desk.getByText(/^1[5-9] min, done on 2 (of \d )?days$/)).toBeVisible();
  await expect(desk.locator("q", { hasText: "Pedal in bar 4?" })).toBeVisible();
  await expect(desk.getByText("1 × yes")).toBeVisible();
  // The first week is still there to be read.
  await ada.goto(`${address}${adas}/week`);
  await ada.getByRole("heading", { name: "Weeks before" }).waitFor();
  await ada.locator("main li a").last().click();
  await ada.waitForURL(/\/weeks\//);
  await expect(ada.getByText("Theory").first()).toBeVisible();

  for (const page of [desk, ada, ben]) await page.context().close();
});
