import { expect } from "@playwright/test";
import { test } from "./support/demo-room";
import { ready } from "./support/ready";
import { comesIn } from "./support/views";

test.describe.configure({ mode: "serial" });

test("the band's takes are heard one after the other, pinned, one sent back; the player hears it", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("link", { name: "5 takes to hear" }).click();
  await ready(page);
  await expect(page.getByText("5 takes wait, the oldest first.")).toBeVisible();
  await page.getByRole("link", { name: "Hear the first" }).click();
  await ready(page);
  await expect(page.getByText("Recorded on Tuesday.")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Play from bar/ }).first()).toBeVisible();
  await page.getByLabel("Bar", { exact: true }).selectOption("15");
  await page.getByLabel("Comment").fill("Hold the last note <b>its full</b> length.");
  await page.getByRole("button", { name: "Pin it" }).click();
  await expect(page.getByText("Hold the last note <b>its full</b> length.")).toBeVisible();
  // The comment has moved what lies below it: nothing is pressed before that rests.
  await page.waitForLoadState("networkidle");
  await ready(page);
  await page.getByLabel("Rating").selectOption("nearly");
  const first = page.url();
  await page.getByRole("button", { name: "Heard; on to the next" }).click();
  await expect(page).not.toHaveURL(first);
  await expect(page.getByText("Bar 12 still runs away.")).toBeVisible();
  await ready(page);
  for (const answer of ["Again, please", ...Array<string>(3).fill("Heard; on to the next")]) {
    const here = page.url();
    // What is drawn above has its room by then: nothing is pressed before the page rests.
    await expect(page.getByRole("button", { name: /^Play from bar/ }).first()).toBeVisible();
    await page.waitForLoadState("networkidle");
    await page.getByRole("button", { name: answer }).click();
    await expect(page).not.toHaveURL(here);
    await ready(page);
  }
  await expect(page.getByText(/^Nothing waits\./)).toBeVisible();

  await page.goto(demo.address);
  await page.getByRole("link", { name: "The Ropewalk Band" }).click();
  const row = (name: string) => page.getByRole("listitem").filter({ hasText: name }).first();
  await expect(row("Caleb Rusk")).toContainText("again");
  await expect(row("Edwin Sallow")).toContainText("nearly");

  await page.context().clearCookies();
  await page.goto(`${demo.address}/sign-in`);
  await page.getByText("Players of The Ropewalk Band").click();
  await page.getByRole("button", { name: "Caleb Rusk" }).click();
  await page.waitForURL(/\/today$/);
  await expect(page.getByText("again, please.")).toBeVisible();
});

test("three bars are read off before rehearsal; a year goes out as CSV and PDF", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("link", { name: "The Ropewalk Band" }).click();
  await page.getByRole("link", { name: "Before rehearsal" }).click();
  await ready(page);
  const runs = page.locator("section", { hasText: "To rehearse" }).locator("ol > li");
  await expect(runs).toHaveCount(3);
  await expect(runs).toContainText(["Bar 10", "Bar 12", "Bar 15"]);
  await expect(runs.first()).toContainText(/fails for \d of 9/);
  await expect(runs.first()).toContainText(/nine in ten hold together to \d+/);
  await expect(page.getByText("In bar 12, do we tongue both")).toBeVisible();

  await page.getByRole("link", { name: "← The Ropewalk Band" }).click();
  await page.getByRole("link", { name: "Report" }).click();
  await ready(page);
  await page.getByRole("button", { name: "a year" }).click();
  await expect(page).toHaveURL(/from=2025-05-05/);
  await expect(page.getByRole("gridcell", { name: "Agnes Tolliver" })).toBeVisible();
  await page.getByRole("columnheader", { name: "Minutes" }).click();
  const sum = page.getByRole("listitem").filter({ hasText: "Edwin Sallow" });
  const before = await sum.innerText();
  const minutes = page.getByRole("slider", { name: /minutes a week are all/ });
  await minutes.focus();
  for (let press = 0; press < 5; press++) await minutes.press("ArrowLeft");
  await expect(page.getByText("50 minutes a week are all that is asked")).toBeVisible();
  expect(await sum.innerText()).not.toBe(before);
  await page.getByRole("button", { name: "Keep this rule" }).click();
  await expect(page.getByText("Kept.")).toBeVisible();
  const file = async (kind: string) => {
    const href = await page.getByRole("link", { name: `As ${kind}` }).getAttribute("href");
    return page.request.get(`${demo.address}${href}`);
  };
  const csv = await (await file("CSV")).text();
  expect(csv.split("\r\n").filter((line) => line !== "")).toHaveLength(13);
  expect(csv).toContain("Agnes Tolliver,flute,5,");
  const pdf = await (await file("PDF")).body();
  expect(pdf.subarray(0, 5).toString()).toBe("%PDF-");
});

test("something is set for the band: each has it in their week, one is left out and told why", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("link", { name: "The Ropewalk Band" }).click();
  await page.getByRole("link", { name: "Set something" }).click();
  await ready(page);
  await page.getByRole("combobox", { name: "Piece" }).press("Enter");
  await page.getByRole("option", { name: "Low Tide Procession" }).press("Enter");
  await page.getByLabel("From bar").fill("17");
  await expect(page.getByLabel("What")).toHaveValue("Low Tide Procession, bars 17–24");
  await page.getByLabel("To bar").fill("40");
  await page.getByLabel("Myrtle Oake").uncheck();
  await page.getByRole("button", { name: "Set it for 12" }).click();
  await expect(page.getByText("The piece has 24 bars.")).toBeVisible();
  await page.getByLabel("To bar").fill("24");
  await page.getByLabel("What").fill("The way home");
  await page.getByRole("button", { name: "Set it for 12" }).click();
  await page.waitForURL(/\/groups\/[0-9a-f-]+\?assigned=/);
  // Whose week is too full now is told at once, by name.
  const assigned = page.getByRole("status").filter({ hasText: "Assigned." });
  await expect(assigned).toContainText("Gideon Marsh: The way home");
  const set = page
    .getByRole("listitem")
    .filter({ hasText: "Assigned to" })
    .filter({ hasText: "The way home" });
  await expect(set).toContainText("Assigned to 10 of 12");
  await expect(set).toContainText("Myrtle Oake (you left them out)");
  await expect(set).toContainText("Rufus Dray (stopped because of pain");
  await page.getByRole("link", { name: "Gideon Marsh" }).last().click();
  await expect(page.getByText("The way home").first()).toBeVisible();
});

test("a parent hears a take by leave only, and changes nothing", async ({ page, demo }) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("link", { name: "The Ropewalk Band" }).click();
  await page.getByRole("link", { name: "Agnes Tolliver" }).click();
  await page.waitForURL(/\/students\/[0-9a-f-]+$/);
  const home = page.url();
  await page.goto(`${home}/access`);
  await page.getByLabel("Parent's name").fill("Mercy Tolliver");
  await page.getByRole("button", { name: "Add, with a link" }).click();
  await expect(page.getByText("Mercy Tolliver").first()).toBeVisible();
  await page.goto(demo.address);
  await page.getByRole("link", { name: "The Ropewalk Band" }).click();
  await page.getByRole("link", { name: "secure" }).click();
  await page.waitForURL(/\/recordings\//);
  await ready(page);
  const take = page.url();
  const asParent = async () => {
    await page.context().clearCookies();
    await page.goto(`${demo.address}/sign-in`);
    await page.getByRole("button", { name: "Mercy Tolliver" }).click();
    await page.waitForURL(/\/studio\//);
    return page.goto(take);
  };
  expect((await asParent())!.status()).toBe(403);
  expect((await page.request.get(`${take}/sound`)).status()).toBe(403);

  await comesIn(page, demo.address, "Odile Marrack");
  await page.goto(take);
  await ready(page);
  await page.getByRole("button", { name: "Let parents listen too" }).click();
  await expect(page.getByText(/and the parents can hear it/)).toBeVisible();
  expect((await asParent())!.status()).toBe(200);
  expect((await page.request.get(`${take}/sound`)).status()).toBe(200);
  await expect(page.getByRole("button", { name: /^Play from bar/ }).first()).toBeVisible();
  await expect(page.getByRole("button", { name: "Let parents listen too" })).toHaveCount(0);
  await expect(page.getByText("Delete …")).toHaveCount(0);
  const refused = await page.request.post(take, { form: { what: "one" } });
  expect(refused.status()).toBe(403);
});

test("two takes are heard one above the other; an ear that is too kind is told so", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.address}/sign-in`);
  await page.getByText("Players of The Ropewalk Band").click();
  await page.getByRole("button", { name: "Agnes Tolliver" }).click();
  await page.waitForURL(/\/today$/);
  await ready(page);
  await expect(page.getByText(/^10 of 15 takes that were listened to/)).toBeVisible();
  await page.getByRole("button", { name: "4 clean in a row" }).click();
  await expect(page.getByText("For today, in", { exact: false })).toBeVisible();
  await page.waitForLoadState("networkidle");

  await page.getByRole("link", { name: "Your take of", exact: false }).click();
  await page.waitForURL(/\/recordings\//);
  await ready(page);
  await page.getByText("Put another take beside it:").getByRole("link").first().click();
  await page.waitForURL(/beside=/);
  const waves = page.getByRole("group", { name: /one above the other/ });
  await waves.focus();
  const [first, second] = await page.getByRole("radio").all();
  await expect(first!).toBeChecked();
  await page.getByRole("button", { name: "Play from bar 11" }).click();
  await expect(page.getByRole("button", { name: "Pause" })).toBeVisible();
  await waves.focus();
  await page.keyboard.press("Enter");
  await expect(second!).toBeChecked();
  // The other goes on where the first was, not from its beginning.
  const heard = page.getByRole("button", { name: /^Play from bar/ });
  await expect(heard.and(page.locator("[aria-current]"))).toHaveText(/^1[123]$/);
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: "Play", exact: true })).toBeVisible();
  await page.getByRole("link", { name: "Hear this take alone" }).click();
  await expect(page.getByRole("radio")).toHaveCount(0);
});

const PIECE = "Lamplighter's Air";

test("a piece is given to all of a group at once, and a week's item to one", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Odile Marrack");
  const others = page.getByRole("group", { name: "To whom" });
  await page.getByRole("link", { name: "Maud Ferrier", exact: true }).click();
  await page.waitForURL(/\/students\//);
  const maud = page.url();
  await page.getByRole("link", { name: "Open the bars" }).last().click();
  await expect(page.getByRole("heading", { name: PIECE })).toBeVisible();
  await ready(page);
  await page.getByRole("button", { name: "Give it", exact: true }).click();
  await expect(page.getByText("Choose at least one student.")).toBeVisible();
  await others.getByRole("combobox", { name: "Group" }).click();
  await page.getByRole("option", { name: "The Ropewalk Band" }).click();
  await others.getByRole("button", { name: "Choose these 12" }).click();
  await expect(others.getByLabel("Gideon Marsh")).toBeChecked();
  await expect(others.getByText("12 students chosen")).toBeVisible();
  await page.getByRole("button", { name: "Give it", exact: true }).click();
  await expect(page.getByText("Given to 12 students.")).toBeVisible();

  // Each has it with its passages; given again, what they have stays as it is.
  await page.goto(demo.address);
  await page.getByRole("link", { name: "The Ropewalk Band" }).click();
  await page.getByRole("link", { name: "Gideon Marsh" }).click();
  await page.waitForURL(/\/students\//);
  await expect(page.getByRole("heading", { name: PIECE })).toHaveCount(1);
  await expect(page.getByRole("link", { name: "Long breath" })).toBeVisible();

  await page.goto(`${maud}/week`);
  await page.getByRole("link", { name: "The printed sheet" }).click();
  await page.waitForURL(/\/weeks\//);
  await ready(page);
  const items = page.getByRole("group", { name: "What is given" }).getByRole("checkbox");
  for (let n = (await items.count()) - 1; n > 0; n--) await items.nth(n).uncheck();
  await others.getByLabel("Tobi Wren").check();
  await page.getByRole("button", { name: "Give it", exact: true }).click();
  await expect(page.getByText("Given to 1 student.")).toBeVisible();
});
