import { expect, test } from "./support/fixtures";
import { opensAsleep, ready } from "./support/ready";

test("what is typed before the page is alive is kept, and so is what comes after", async ({
  teacher,
  page,
}) => {
  await teacher.comesToAFirstPiece();
  const wakes = await opensAsleep(page, page.url());
  await page.getByLabel("Title").fill("The Lock-Keeper's Tune");
  await page.getByLabel("Metre", { exact: true }).fill("6/8");
  await page.getByLabel("Number of bars").fill("24");
  wakes();
  await ready(page);
  await page.getByLabel("Pickup beats").fill("1");
  await expect(page.getByLabel("Title")).toHaveValue("The Lock-Keeper's Tune");
  await expect(page.getByLabel("Metre", { exact: true })).toHaveValue("6/8");
  await page.getByRole("button", { name: "Add and open its bars" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("The Lock-Keeper's Tune");
  await expect(page.getByText("24 bars")).toBeVisible();
});

test("so it is in a form of one line, and with a tick", async ({ teacher, page, server }) => {
  await page.goto(`${server.address}/open`);
  let wakes = await opensAsleep(page, `${server.address}/open`);
  await page.getByRole("checkbox").check();
  wakes();
  await ready(page);
  await expect(page.getByLabel("Name of the room")).toBeHidden();
  const home = (await teacher.opensARoomAtOnce()).replace("/pieces/new", "");
  await page.unroute("**/assets/*.js");
  wakes = await opensAsleep(page, `${server.address}${home}/week`);
  await page.getByLabel("Note, or everything in one line").fill("long notes");
  wakes();
  await ready(page);
  await page.getByRole("button", { name: "yesterday" }).click();
  await expect(page.getByLabel("Note, or everything in one line")).toHaveValue("long notes");
});

test(
  "a form is refused at its field before it is sent, and by the server all the same",
  { tag: "@main" },
  async ({ teacher, page }) => {
    await teacher.comesToAFirstPiece();
    await page.getByLabel("Title").fill("Weir Song");
    await page.getByLabel("Number of bars").fill("0");
    let sent = 0;
    page.on("request", (request) => (sent += Number(request.method() === "POST")));
    await page.getByRole("button", { name: "Add and open its bars" }).click();
    const bars = page.getByLabel("Number of bars");
    await expect(bars).toHaveAttribute("aria-invalid", "true");
    await expect(bars).toBeFocused();
    expect(sent).toBe(0);
    await bars.fill("12");
    await expect(bars).toHaveAttribute("aria-invalid", "false");
    await page.getByRole("button", { name: "Add and open its bars" }).click();
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Weir Song");

    // A concert that is over: the page can't know the room's day better than the server.
    await page.goto(page.url().replace(/\/students\/.*/, ""));
    await page.getByText("The concert", { exact: true }).click();
    await page.getByLabel("What it is").fill("Weir Fair");
    await teacher.typesDay("On", "2020-05-04");
    await page.getByRole("button", { name: "Keep the date" }).click();
    await expect(page.getByText("That day is over. Choose one ahead.")).toBeVisible();
    await expect(page.getByLabel("What it is")).toHaveValue("Weir Fair");
  },
);

test("times are typed with keys alone, part by part, and are there again", async ({
  teacher,
  page,
}) => {
  await teacher.comesToAFirstPiece();
  await page.goto(page.url().replace(/\/pieces\/.*/, "/times"));
  await ready(page);
  await page.getByRole("button", { name: "Add a time on Monday" }).press("Enter");
  const monday = page.getByRole("group", { name: "Monday" });
  await monday.getByRole("spinbutton", { name: "Hours" }).focus();
  await page.keyboard.type("1915");
  await monday.getByLabel("Minutes", { exact: true }).last().fill("3");
  await page.getByRole("button", { name: "Keep these times" }).press("Enter");
  await expect(page.getByText("At least 5 minutes.")).toBeVisible();
  await monday.getByLabel("Minutes", { exact: true }).last().fill("35");
  await page.getByRole("button", { name: "A day with more, less or no time" }).press("Enter");
  await teacher.typesDay("Date", "2031-02-03");
  await page.getByRole("button", { name: "Keep these times" }).press("Enter");
  await page.waitForURL(/\/week$/);
  await page.goto(page.url().replace("/week", "/times"));
  await expect(monday.getByRole("spinbutton", { name: "Hours" })).toHaveText("19");
  await expect(page.getByText("35 min on 1 day")).toBeVisible();
  const date = page.getByRole("group", { name: "Date" });
  await expect(date.getByRole("spinbutton")).toHaveText(["03", "02", "2031"]);
});
