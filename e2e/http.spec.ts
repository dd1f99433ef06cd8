import { expect, test } from "./support/fixtures";
import { newName, PASSWORD } from "./support/teacher";

test(
  "pages carry a policy that lets only their own scripts and styles run",
  { tag: "@main" },
  async ({ page, server }) => {
    const answer = await page.goto(`${server.address}/open`);
    const headers = answer!.headers();
    const policy = headers["content-security-policy"]!;
    const nonce = /script-src 'self' 'nonce-([^']+)'/.exec(policy)![1]!;
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toContain("unsafe-eval");
    expect(headers["x-content-type-options"]).toBe("nosniff");
    expect(headers["x-powered-by"]).toBeUndefined();
    const again = await page.request.get(`${server.address}/open`);
    expect(again.headers()["content-security-policy"]).not.toContain(nonce);
  },
);

test("nothing is asked of any other host", { tag: "@main" }, async ({ page, teacher, server }) => {
  const hosts = new Set<string>();
  page.on("request", (request) => hosts.add(new URL(request.url()).host));
  await teacher.opensARoom();
  await page.waitForLoadState("networkidle");
  expect([...hosts]).toEqual([new URL(server.address).host]);
});

test("what changes something comes from our own pages, and is not endless", async ({ server }) => {
  const url = `${server.address}/open`;
  const post = async (headers: Record<string, string>, body = "room=x") =>
    (await fetch(url, { method: "POST", headers, body })).status;
  const form = { "Content-Type": "application/x-www-form-urlencoded" };
  expect(await post(form)).toBe(403);
  expect(await post({ ...form, Origin: "http://elsewhere.invalid" })).toBe(403);
  expect(await post({ ...form, Origin: "null" })).toBe(403);
  expect(await post({ ...form, Origin: server.address })).toBe(422);
  expect(await post({ ...form, Origin: server.address }, "x".repeat(2_100_000))).toBe(413);
});

test("a form sent twice by a double press makes one room", async ({ page, server }) => {
  await page.goto(`${server.address}/open`);
  await page.getByLabel("Name of the room").fill("Pressed twice");
  await page.getByLabel("Your name").fill("Odile");
  await page.getByLabel("Student's name").fill("Tomasz");
  await page.getByLabel("Name to sign in with").fill(newName());
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Open the room" }).dblclick();
  // A second room would be refused: its sign-in name is taken.
  await page.waitForURL(/pieces\/new/);
  await page.goto(server.address);
  await expect(page.getByRole("link", { name: "Pressed twice" })).toHaveCount(1);
});

test("odd characters are neither an error nor lost words", async ({ teacher, page }) => {
  await teacher.opensARoom("Weir\u0000 Lane ♩ \u{1D15F} né", "Åse 'Öz\" \\ %");
  await page.getByRole("link", { name: "Åse 'Öz" }).click();
  await expect(page.getByRole("heading", { name: "Åse 'Öz\" \\ %" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Weir Lane ♩ \u{1D15F} né" })).toBeVisible();
});

test("a page that is sent in the visitor's language of dates", async ({
  browser,
  server,
  teacher,
}) => {
  await teacher.comesToAFirstPiece();
  const { origin, pathname } = new URL(teacher.page.url());
  const address = origin + pathname.replace("/pieces/new", "/today");
  expect(origin).toBe(server.address);
  const storageState = await teacher.page.context().storageState();
  const german = await (await browser.newContext({ locale: "de-DE", storageState })).newPage();
  await german.goto(address);
  const long = new Intl.DateTimeFormat("de-DE", { weekday: "long" }).format(new Date());
  await expect(german.locator("header p")).toContainText(long);
  await german.context().close();
});

test("what pages are made of comes packed, few files at a time, and is kept", async ({
  server,
}) => {
  const pageText = await (await fetch(`${server.address}/open`)).text();
  const files = [...new Set(pageText.match(/\/assets\/[\w.-]+\.(?:js|css)/g))];
  expect(files.length).toBeGreaterThan(3);
  expect(files.length).toBeLessThan(25);
  let seen = 0;
  const asked = (file: string, packed: string) =>
    fetch(server.address + file, { headers: { "Accept-Encoding": packed } });
  for (const file of files) {
    // Whoever can't unpack it is given the same as it is; the smallest are not worth packing.
    const plain = await asked(file, "identity");
    expect(plain.headers.get("content-encoding")).toBeNull();
    const text = await plain.text();
    const packed = await asked(file, "br");
    expect(packed.headers.get("cache-control")).toMatch(/immutable/);
    expect(await packed.text()).toBe(text);
    if (text.length < 2000) continue;
    expect([file, packed.headers.get("content-encoding")]).toEqual([file, "br"]);
    seen++;
  }
  expect(seen).toBeGreaterThan(3);
  expect((await asked("/assets/no-such-file.js", "br")).status).toBe(404);
});
