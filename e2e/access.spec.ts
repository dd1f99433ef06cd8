import { readFileSync } from "node:fs";
import type { APIRequestContext, Page } from "@playwright/test";
import { newItem } from "~/core/week";
import { contextOptions } from "./support/browser";
import { expect, test } from "./support/fixtures";
import { newName, PASSWORD, Teacher } from "./support/teacher";

const UNKNOWN = "00000000-0000-4000-8000-000000000000";

interface Room {
  readonly studio: string;
  readonly student: string;
  readonly home: string;
}

/** The ids of the room that a page is in. */
function roomOf(today: string): Room {
  const [, studio, student] = /studio\/([^/]+)\/students\/([^/]+)/.exec(today)!;
  return { studio: studio!, student: student!, home: `/studio/${studio}/students/${student}` };
}

const form = (
  page: Page,
  path: string,
  fields: Readonly<Record<string, string>>,
  address: string,
) =>
  page.request.post(address + path, {
    form: fields,
    headers: { origin: address },
    maxRedirects: 0,
  });

/** A personal link, made at the desk. */
async function linkFor(page: Page, address: string, { home }: Room): Promise<string> {
  await page.goto(`${address}${home}/access`);
  await page
    .getByRole("button", { name: /^Make a (link|new one)/ })
    .first()
    .click();
  await page.locator("output").waitFor();
  return page.locator("output").innerText();
}

const enters = async (request: APIRequestContext, link: string, origin: string) =>
  (await request.post(link, { headers: { origin }, maxRedirects: 0 })).status();

/** Every address of the application, as the routes have it. */
const PATHS = [...readFileSync("app/routes.ts", "utf8").matchAll(/route\(\s*"([^"]+)"/g)]
  .map(([, path]) => path!)
  .map((path) =>
    /^(students|passages|sessions|library|room|table|report|recordings|listening|groups)/.test(path)
      ? `studio/:studioId/${path}`
      : path,
  )
  .filter((path) => path.startsWith("studio/"));

test(
  "nobody sees or changes anything without coming in, nor with a forged cookie",
  { tag: "@main" },
  async ({ teacher, page, server, browser }) => {
    const { studio, student } = roomOf(await teacher.setsToday());
    expect(PATHS.length).toBeGreaterThan(20);
    const [cookie] = await page.context().cookies();
    expect(cookie).toMatchObject({ name: "fidus", httpOnly: true, sameSite: "Lax" });
    const [value, signature] = decodeURIComponent(cookie!.value).split(".") as [string, string];
    const forged = [
      "",
      `fidus=${encodeURIComponent(`${value}.${signature.startsWith("A") ? "B" : "A"}${signature.slice(1)}`)}`,
      `fidus=${encodeURIComponent(Buffer.from(JSON.stringify(UNKNOWN)).toString("base64"))}`,
    ];
    for (const [index, header] of forged.entries()) {
      const stranger = await browser.newContext(contextOptions);
      const headers: Record<string, string> = header ? { cookie: header } : {};
      for (const path of index === 0 ? PATHS : PATHS.slice(0, 3)) {
        const filled = path
          .replace(":studioId", studio)
          .replace(":personId", student)
          .replace(/:\w+/g, UNKNOWN);
        const url = `${server.address}/${filled}`;
        const seen = await stranger.request.get(url, { headers, maxRedirects: 0 });
        expect([302, 400, 401], `GET ${filled}`).toContain(seen.status());
        if (seen.status() === 302) expect(seen.headers().location).toContain("/sign-in");
        const sent = await stranger.request.post(url, {
          headers: { ...headers, origin: server.address },
          form: { act: "x" },
          maxRedirects: 0,
        });
        expect([400, 401, 405], `POST ${filled}`).toContain(sent.status());
      }
      await stranger.close();
    }
  },
);

test(
  "a student reaches what is theirs and nothing of another; a parent looks on; a revoked link is over",
  { tag: "@main" },
  async ({ teacher, page, server, browser }) => {
    const { address } = server;
    const mine = roomOf(await teacher.setsToday());
    const other = await teacher.sends(`/studio/${mine.studio}/students/new`, {
      name: "Ben",
      instrument: "",
    });
    const bens = other.replace("/pieces/new", "");
    const link = await linkFor(page, address, mine);
    const student = await browser.newContext(contextOptions);
    // Looking at the link, as a program might ahead of a person, lets nobody in.
    await student.request.get(link);
    expect((await student.cookies()).length).toBe(0);
    expect(await enters(student.request, link, address)).toBe(302);

    const status = async (path: string, context = student) =>
      (await context.request.get(address + path, { maxRedirects: 0 })).status();
    for (const own of ["/today", "/week", "/log", "", "/times"]) {
      expect(await status(mine.home + own), own).toBe(200);
      expect(await status(bens + own), own).toBe(404);
    }
    expect(await status(`/studio/${mine.studio}`)).toBe(403);
    expect(await status(`/studio/${mine.studio}/library`)).toBe(403);
    expect(await status(`${mine.home}/lesson`)).toBe(403);
    expect(await status(`${mine.home}/access`)).toBe(403);
    const headers = { origin: address };
    const sets = await student.request.post(`${address}${mine.home}/lesson`, {
      headers,
      form: { act: "set" },
    });
    expect(sets.status()).toBe(403);
    // A piece of theirs they see and mark; what it is cut into, the teacher says.
    const piece = /pieces\/[0-9a-f-]{36}/.exec(
      await (await page.request.get(address + mine.home)).text(),
    );
    const onPiece = async (form: Record<string, string>) =>
      (
        await student.request.post(`${address}${mine.home}/${piece![0]}`, { headers, form })
      ).status();
    expect(await status(`${mine.home}/${piece![0]}`)).toBe(200);
    expect(await onPiece({ act: "mark", mark: "raw", fromBar: "1", toBar: "2" })).toBe(200);
    expect(await onPiece({ act: "stages", stages: "[]" })).toBe(403);
    expect(await status(`${mine.home}/${piece![0]}/edit`)).toBe(403);

    // A teacher of another room finds nothing of this one.
    const elsewhere = await browser.newContext(contextOptions);
    await new Teacher(await elsewhere.newPage(), address).opensTheWorkshop();
    expect(await status(mine.home, elsewhere)).toBe(404);
    expect(await status(`${mine.home}/today`, elsewhere)).toBe(404);
    await elsewhere.close();

    // A parent sees, and may change nothing.
    await page.getByLabel("Parent's name").fill("Hanne");
    await page.getByRole("button", { name: "Add, with a link" }).click();
    await expect(page.locator("output")).not.toHaveText(link);
    const parent = await browser.newContext(contextOptions);
    expect(await enters(parent.request, await page.locator("output").innerText(), address)).toBe(
      302,
    );
    expect(await status(`${mine.home}/week`, parent)).toBe(200);
    expect(await status(`${bens}/week`, parent)).toBe(404);
    const byHand = { id: crypto.randomUUID(), minutes: "10", daysAgo: "0", itemId: "" };
    const writes = await parent.request.post(`${address}${mine.home}/week`, {
      headers,
      form: byHand,
    });
    expect(writes.status()).toBe(403);
    await parent.close();

    // The link is lost: it ends, and whoever came in with it is out.
    await page.getByRole("button", { name: "Withdraw link" }).click();
    await expect(page.getByText("No link is out.")).toBeVisible();
    expect(await status(`${mine.home}/today`)).toBe(302);
    expect(await status(new URL(link).pathname)).toBe(404);
    expect(await enters(student.request, link, address)).toBe(401);

    // Signed out everywhere: the new one is out as well.
    const again = await linkFor(page, address, mine);
    expect(await enters(student.request, again, address)).toBe(302);
    expect(await status(`${mine.home}/today`)).toBe(200);
    await page.getByRole("button", { name: "Sign out on all devices" }).click();
    await expect(page.getByText("Signed out everywhere.")).toBeVisible();
    expect(await status(`${mine.home}/today`)).toBe(302);
    await student.close();
  },
);

test("signing in with a password; guessing it a thousand times is slowed down; a calendar can't be guessed", async ({
  page,
  server,
}) => {
  const { address } = server;
  const name = newName();
  const names = { room: "Weir Lane", teacher: "Odile", name: "Tomasz", instrument: "" };
  const room = { ...names, signIn: name, password: PASSWORD, timeZone: "Europe/London" };
  expect((await form(page, "/open", { ...room, password: "short" }, address)).status()).toBe(422);
  await new Teacher(page, address).sends("/open", room);
  // The same sign-in name a second time is refused at its field.
  expect(await (await form(page, "/open", room, address)).text()).toContain(
    "signs in with this name",
  );
  await page.goto(address);
  await page.getByRole("button", { name: /^Sign out/ }).click();
  await page.waitForURL(/\/sign-in/);
  await page.getByLabel("Name to sign in with").fill(name.toUpperCase());
  await page.getByLabel("Password").fill("wrong and long");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByText("Name and password don't go together.")).toBeVisible();
  await expect(page.getByLabel("Name to sign in with")).toHaveValue(name.toUpperCase());
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.waitForURL(/\/studio\//);

  const victim = newName();
  // As the page's script sends it: what is slowed down is the guessing, not the drawing of pages.
  const guess = (n: number) =>
    fetch(`${address}/sign-in.data`, {
      method: "POST",
      headers: { origin: address },
      body: new URLSearchParams({ way: "password", name: victim, password: `guess ${n}` }),
    });
  const statuses: number[] = [];
  for (let n = 0; n < 1000; n += 50) {
    const answers = await Promise.all(Array.from({ length: 50 }, (_, i) => guess(n + i)));
    statuses.push(...answers.map((answer) => answer.status));
  }
  expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(12);
  expect(statuses.filter((status) => status === 429).length).toBeGreaterThan(980);
  expect(await (await guess(1001)).text()).toContain("Too many tries.");

  const calendar = async (secret: string) =>
    (await page.request.get(`${address}/calendar/${secret}.ics`)).status();
  expect(await calendar("nobody")).toBe(404);
  for (let n = 0; n < 25; n++) await calendar(`nobody-${n}`);
  expect(await calendar("nobody")).toBe(429);
});

test("a lesson refuses what can't be, and two who set the same week lose nothing", async ({
  teacher,
  page,
  context,
  server,
}) => {
  const { address } = server;
  const { home, studio } = roomOf(await teacher.setsToday());
  const item = (change: object = {}) =>
    newItem(crypto.randomUUID(), { title: "Scales", ...change });
  const day = (ahead: number) =>
    new Date(Date.now() + ahead * 86_400_000).toISOString().slice(0, 10);
  const week = (change: object = {}, items: object[] = [item()]) => ({
    version: 0,
    after: null,
    from: day(0),
    until: day(7),
    text: { items, word: "" },
    decisions: {},
    ...change,
  });
  const sets = async (sent: object | string) => {
    const text = typeof sent === "string" ? sent : JSON.stringify(sent);
    const answer = await form(page, `${home}/lesson`, { act: "set", week: text }, address);
    return `${answer.status()} ${await answer.text()}`;
  };
  expect(await sets("{")).toMatch(/^422/);
  expect(await sets(week({ from: day(-2) }))).toMatch(/^422[^]*lies in the past/);
  expect(await sets(week({ until: day(0) }))).toMatch(/^422[^]*comes after this one/);
  expect(await sets(week({}, []))).toMatch(/^422[^]*at least one item/);
  expect(
    await sets(
      week(
        {},
        Array.from({ length: 200 }, () => item()),
      ),
    ),
  ).toMatch(/^422[^]*At most 60 items/);
  expect(await sets(week({}, [item({ minutes: 500 })]))).toMatch(/^422[^]*At most 120 minutes/);
  expect(await sets(week({}, [item({ passageId: UNKNOWN })]))).toMatch(
    /^422[^]*isn't this student's/,
  );

  const times = async (windows: object[], lesson: object | null = null) =>
    (
      await form(page, `${home}/times`, { times: JSON.stringify({ windows, lesson }) }, address)
    ).text();
  const window = { weekday: 1, from: "17:00", minutes: 30 };
  expect(await times([])).toContain("at least one day");
  expect(await times([window, { ...window, from: "17:20" }])).toContain("overlap");
  const concert = { name: "Lanterns", day: day(-1) };
  const late = await form(page, `/studio/${studio}?index`, concert, address);
  expect(await late.text()).toContain("That day is over");
  const block = {
    kind: "free",
    span: { minimum: 9, ideal: 5, maximum: 4 },
    priority: 3,
    always: false,
    text: "",
  };
  const shape = { act: "keep", name: "Odd", shape: JSON.stringify([block]) };
  expect(await (await form(page, `${home}/today/shapes`, shape, address)).text()).toContain(
    "The least number of minutes is above the most.",
  );

  // Two browsers on one week: the second is told, keeps its typing, and decides.
  const second = await context.newPage();
  for (const each of [page, second]) {
    await each.goto(`${address}${home}/lesson`);
    await each.waitForLoadState("networkidle");
    await each.getByRole("combobox", { name: "Add a passage" }).press("Enter");
    await each.getByRole("option").first().press("Enter");
  }
  await page.getByLabel("Message to the student").fill("From the first.");
  await page.getByRole("button", { name: "Keep as a draft" }).click();
  await expect(page.getByText("Saved. The student can't see it yet.")).toBeVisible();
  await second.getByLabel("Message to the student").fill("From the second.");
  await second.getByRole("button", { name: "Set the week" }).click();
  await expect(second.getByRole("alert")).toContainText("Somebody else has changed this week");
  await expect(second.getByLabel("Message to the student")).toHaveValue("From the second.");
  await second.getByRole("button", { name: "Look at theirs" }).click();
  await expect(second.getByLabel("Message to the student")).toHaveValue("From the first.");
  await second.getByRole("button", { name: "Set the week" }).click();
  await second.waitForURL(/\/weeks\//);
  await expect(second.getByText("From the first.")).toBeVisible();

  // The sheet as a file, and the week for calendar programs.
  const pdf = await second.request.get(`${second.url()}/sheet.pdf?paper=letter`);
  expect(pdf.headers()["content-type"]).toBe("application/pdf");
  expect((await pdf.body()).subarray(0, 5).toString()).toBe("%PDF-");
  await page.goto(`${address}${home}/access`);
  await page.getByRole("button", { name: "Make an address" }).click();
  const calendar = await (await fetch(await page.locator("output").innerText())).text();
  expect(calendar).toContain("BEGIN:VCALENDAR");
  expect(calendar).toContain("SUMMARY:Practice");
});
