import { briskLadder } from "./support/brisk-ladder";
import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

test("the log is found in, sorted with keys, and taken along as a table", async ({
  teacher,
  page,
  server,
}) => {
  const home = (await teacher.opensARoomAtOnce()).replace("/pieces/new", "");
  for (const [minutes, note] of [
    ["20", "long notes"],
    ["5", "the weir song"],
    ["45", "=scales"],
  ] as const) {
    const entry = { id: crypto.randomUUID(), minutes, daysAgo: "0", itemId: "", note };
    const headers = { origin: server.address };
    await page.request.post(`${server.address}${home}/week`, { form: entry, headers });
  }
  await page.goto(`${server.address}${home}/log`);
  await ready(page);
  await expect(page.getByText("0 sessions on 1 day, 70 min")).toBeVisible();
  const grid = page.getByRole("grid", { name: "Log" });
  const minutes = grid.getByRole("gridcell").filter({ hasText: /^\d+$/ });
  await grid.getByRole("columnheader", { name: "Minutes" }).focus();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/sort=minutes/);
  await expect(minutes).toHaveText(["45", "20", "5"]);
  await page.keyboard.press("Enter");
  await expect(minutes).toHaveText(["5", "20", "45"]);
  const find = page.getByLabel("Find in the log");
  await find.fill("WEIR");
  await expect(minutes).toHaveText(["5"]);
  await expect(page.getByText("0 sessions on 1 day, 5 min")).toBeVisible();
  const link = page.getByRole("link", { name: "As a table (CSV)" });
  await expect(link).toHaveAttribute("href", /find=WEIR/);
  // In print the same rows are a plain table.
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("table")).toContainText("the weir song");
  await expect(grid).toBeHidden();
  await page.emulateMedia({ media: "screen" });
  // Going back, the fields show what is asked for.
  await page.goBack();
  await expect(find).toHaveValue("");
  await expect(minutes).toHaveText(["45", "20", "5"]);
  const table = await page.request.get(`${server.address}${home}/log.csv`);
  expect(await table.text()).toContain(",'=scales");
  expect((await page.request.get(`${server.address}${home}/log?page=x`)).status()).toBe(400);
});

test("a piece becomes an exercise, is called something else, and is given at a lesson", async ({
  teacher,
  page,
  server,
}) => {
  const { address } = server;
  await teacher.opensTheWorkshop();
  await teacher.setsIt();
  const [, room] = /(\/studio\/[^/]+)\//.exec(page.url())!;
  await page.goto(address + room);
  await page.getByRole("link", { name: "Tomasz" }).click();
  await page.getByRole("link", { name: "Open the bars" }).click();
  await ready(page);
  await page.getByLabel("Name in the library").fill("Ferry drill");
  await page.getByRole("button", { name: "Keep in the library" }).click();
  await expect(page.getByText("“Ferry drill” lies in the library.")).toBeVisible();

  await page.goto(`${address}${room}/library`);
  await page.getByRole("grid", { name: "Library" }).waitFor();
  await page.getByRole("button", { name: "Rename “Ferry drill”" }).click();
  await page.getByLabel("New name").fill("Two bars of the Ferry");
  await page.getByRole("button", { name: "Keep the name" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.getByLabel("Find by name or school").fill("even steps");
  await expect(page.getByRole("row").filter({ hasText: "Two bars of the Ferry" })).toBeVisible();

  const piece = await teacher.sends(`${room}/students/new`, { name: "Ben", instrument: "harp" });
  const bens = piece.replace("/pieces/new", "");
  await page.goto(`${address}${bens}/lesson`);
  await ready(page);
  await page.getByLabel("Give an exercise").press("Enter");
  await page.getByRole("option", { name: "Two bars of the Ferry" }).press("Enter");
  await expect(page.getByLabel("What")).toHaveValue("The Ferry at Low Water, bars 3–4");
  await page.getByRole("button", { name: "Set the week" }).click();
  await page.waitForURL(/\/weeks\//);
  await page.goto(`${address}${bens}/today`);
  await expect(page.locator("[data-passage]")).toContainText("The Ferry at Low Water");
});

test("a passage is taken off the stand, its page says so, and it comes back", async ({
  teacher,
  page,
  server,
}) => {
  const { address } = server;
  const piece = await teacher.addsABriskPiece(await teacher.opensARoomAtOnce());
  const workshop = await teacher.cutsBars(piece, [3, 4]);
  const today = await teacher.sends(workshop, { ladder: JSON.stringify(briskLadder({})) });
  await page.goto(address + piece);
  await ready(page);
  await page.getByRole("button", { name: "Take off the stand" }).press("Enter");
  const off = page.getByRole("listitem").filter({ hasText: /since/ });
  await off.getByRole("link", { name: "Bars 3–4" }).press("Enter");
  await expect(page.getByRole("heading", { name: "Bars 3–4" })).toBeVisible();
  await expect(page.getByText("off the stand since")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Practise/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).press("Enter");
  await expect(page.getByRole("button", { name: /^Practise/ })).toBeVisible();
  await page.goto(address + today);
  await expect(page.locator("[data-passage]").first()).toBeVisible();
});
