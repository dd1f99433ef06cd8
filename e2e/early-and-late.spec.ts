import { contextOptions } from "./support/browser";
import { expect, test } from "./support/fixtures";
import { opensAsleep, ready } from "./support/ready";
import { newName, PASSWORD } from "./support/teacher";

// Pages at moments at which nobody tries them: before they are alive, in a browser that keeps
// nothing, left in the middle, after a sign-in ran out.

test("a file that is chosen before the page is alive stays chosen, in every file field", async ({
  teacher,
  page,
  server,
}) => {
  const piece = await teacher.addsABriskPiece(await teacher.opensARoomAtOnce());
  const studio = piece.split("/students/")[0]!;
  const pages = [
    [`${piece.split("/pieces/")[0]}/pieces/new`, "score.abc"],
    [piece, "score.abc"],
    [`${piece}/demonstrations`, "slow.ogg"],
    [`${studio}/table`, "students.csv"],
  ] as const;
  for (const [path, name] of pages) {
    const wakes = await opensAsleep(page, `${server.address}${path}`);
    const field = page.locator("input[type=file]").first();
    await field.waitFor({ state: "attached" });
    await field.setInputFiles({ name, mimeType: "", buffer: Buffer.from("X:1\nK:C\nCDEF|\n") });
    wakes();
    await ready(page);
    await page.unroute("**/assets/*.js");
    await expect(page.getByText("That went wrong")).toHaveCount(0);
    expect(await field.evaluate((input: HTMLInputElement) => input.files?.[0]?.name)).toBe(name);
  }
});

test("a file of a studio that is chosen early is read in", async ({ page, teacher, server }) => {
  const names = { room: "Empty", teacher: "Odile", name: "", instrument: "" };
  const signIn = { signIn: newName(), password: PASSWORD, timeZone: "UTC" };
  const home = await teacher.sends("/open", { ...names, ...signIn });
  const wakes = await opensAsleep(page, `${server.address}${home}/room`);
  const field = page.locator("input[type=file]");
  await field.setInputFiles({ name: "room.zip", mimeType: "", buffer: Buffer.from("no zip") });
  wakes();
  await ready(page);
  await page.getByRole("button", { name: "Bring it in" }).click();
  await expect(page.getByRole("alert")).toHaveText("This is no zip, or it breaks off.");
});

test("a browser that refuses to keep anything plays at the stand all the same", async ({
  teacher,
  player,
  page,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, "localStorage", {
      get: () => {
        throw new DOMException("refused", "SecurityError");
      },
    });
  });
  await player.goesToTheStand(await teacher.setsToday({ start: 200, target: 240, clean: 2 }));
  await player.starts();
  await player.playsClean(1);
  await player.sees("1 of 2");
  // What was chosen holds as long as the page is open.
  await page.getByRole("button", { name: "Dark" }).first().click();
  expect(await page.evaluate(() => document.documentElement.dataset.scheme)).toBe("dark");
});

test("a lesson that is typed and left is there again: by the page's own links, a reload, a sign-in, another device", async ({
  teacher,
  page,
  server,
  browser,
}) => {
  const workshop = await teacher.cutsAPiece(await teacher.opensARoomAtOnce(), [3, 4]);
  await page.goto(`${server.address}${workshop}`);
  const studio = /\/studio\/[^/]+/.exec(workshop)![0];
  await page.goto(`${server.address}${studio}`);
  await page.getByRole("link", { name: "Tomasz", exact: true }).click();
  await page.waitForURL(/\/students\/[0-9a-f-]+$/);
  const home = page.url();
  const lesson = `${home}/lesson`;
  const word = page.getByLabel(/^Message to/);
  const back = page.getByText("Your unsaved changes from before are back.");
  await page.goto(lesson);
  await ready(page);
  await word.fill("Slow and even, with the thumb under");
  // At once, by the page's own way back.
  await page.getByRole("link", { name: "Tomasz" }).first().click();
  await page.waitForURL(home);
  await page.goto(lesson);
  await ready(page);
  await expect(word).toHaveValue("Slow and even, with the thumb under");
  await expect(back).toBeVisible();
  // After a pause the server has it.
  const sent = page.waitForResponse((answer) => answer.url().endsWith("/lesson/typed"));
  await word.fill("Slow and even, the thumb under, eyes shut");
  expect((await sent).status()).toBe(200);
  await page.reload();
  await ready(page);
  await expect(word).toHaveValue("Slow and even, the thumb under, eyes shut");

  // On another device it is asked for.
  const other = await browser.newContext({
    ...contextOptions,
    storageState: { ...(await page.context().storageState()), origins: [] },
  });
  const desk = await other.newPage();
  await desk.goto(lesson);
  await ready(desk);
  await expect(desk.getByLabel(/^Message to/)).toHaveValue("");
  await desk.getByRole("button", { name: "Continue with them" }).click();
  await expect(desk.getByLabel(/^Message to/)).toHaveValue(
    "Slow and even, the thumb under, eyes shut",
  );
  await other.close();

  await page.getByRole("button", { name: "Discard changes" }).click();
  await expect(word).toHaveValue("");
  await expect(back).toBeHidden();
  await page.reload();
  await ready(page);
  await expect(word).toHaveValue("");
});

test("a parent who opens Today by its address sees the plan and nothing to press", async ({
  teacher,
  page,
  server,
  browser,
}) => {
  const today = await teacher.setsToday();
  const home = today.replace(/\/today$/, "");
  await page.goto(`${home}/access`);
  await page.getByLabel("Parent's name").fill("Hanne");
  await page.getByRole("button", { name: "Add, with a link" }).click();
  const link = await page.locator("output").innerText();
  const context = await browser.newContext(contextOptions);
  const parent = await context.newPage();
  const complaints: string[] = [];
  parent.on("console", (message) => message.type() === "error" && complaints.push(message.text()));
  await parent.request.post(link, { headers: { origin: server.address }, maxRedirects: 0 });
  await parent.goto(today);
  await ready(parent);
  await expect(parent.getByText(/minutes? planned/)).toBeVisible();
  await expect(parent.getByText("The Ferry at Low Water").first()).toBeVisible();
  await expect(parent.getByRole("main").locator("form, input, textarea")).toHaveCount(0);
  await expect(parent.getByRole("main").getByRole("button")).toHaveCount(0);
  expect(complaints).toEqual([]);
  await context.close();
});

test("a page that fails on the way is styled by our own policy, and has a title", async ({
  teacher,
  page,
  server,
}) => {
  const workshop = await teacher.cutsAPiece(await teacher.opensARoomAtOnce(), [3, 4]);
  const studio = /\/studio\/[^/]+/.exec(workshop)![0];
  await page.goto(`${server.address}${studio}`);
  await ready(page);
  const tomasz = page.getByRole("link", { name: "Tomasz", exact: true });
  // What the link leads to is gone when it is followed.
  await page.route(/\.data(\?|$)/, (route) => route.fulfill({ status: 500, body: "" }));
  await tomasz.click();
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await page.unroute(/\.data(\?|$)/);
  await page.goto(`${server.address}${studio}/nowhere`);
  await expect(page).toHaveTitle(/\S+/);
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
});
