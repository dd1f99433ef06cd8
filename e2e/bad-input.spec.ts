import { expect, test } from "./support/fixtures";

const UNKNOWN = "11111111-1111-4111-8111-111111111111";

test(
  "a refused form says why at its field and keeps what was typed",
  { tag: "@main" },
  async ({ teacher, page }) => {
    await teacher.comesToAFirstPiece();
    const long = "x".repeat(10_000);
    await teacher.addsAPiece({ Title: long, Metre: "3/5", "Number of bars": "0" });
    await expect(page.getByText("Keep the title under 200 characters.")).toBeVisible();
    await expect(page.getByText("“3/5” is no metre")).toBeVisible();
    await expect(page.getByText("A piece has at least 1 bar.")).toBeVisible();
    await expect(page.getByLabel("Title")).toHaveValue(long);
    await teacher.addsAPiece();
    await teacher.dragsOverBars(2, 3);
    await page.getByLabel("To bar").fill("99");
    await page.getByLabel("Listen for").fill("the left hand");
    await page.getByRole("button", { name: "Cut and set a ladder" }).click();
    await expect(page.getByText("The piece has 8 bars.")).toBeVisible();
    await expect(page.getByLabel("Listen for")).toHaveValue("the left hand");
  },
);

test("a piece can be changed, but not be cut off under a passage", async ({ teacher, page }) => {
  await teacher.comesToAFirstPiece();
  await page.goto(page.url().replace("/pieces/new", ""));
  await page.getByRole("button", { name: "Try with a demo piece" }).click();
  await teacher.dragsOverBars(19, 22);
  await teacher.cuts();
  await page.goBack();
  await page.getByRole("link", { name: "Edit the piece" }).click();
  await expect(page.getByLabel("Metre changes")).toHaveValue("17 2/4, 19 3/4");
  await page.getByLabel("Number of bars").fill("20");
  await page.getByLabel("Title").fill("The Ferry at High Water");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("A passage goes to bar 22")).toBeVisible();
  await expect(page.getByLabel("Title")).toHaveValue("The Ferry at High Water");
  await page.getByLabel("Number of bars").fill("30");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("heading", { name: "The Ferry at High Water" })).toBeVisible();
  await expect(page.getByText("30 bars")).toBeVisible();
});

test("impossible ladders are told at the field while they are drawn", async ({ teacher, page }) => {
  await teacher.opensTheWorkshop([2, 3]);
  await teacher.number("Target").fill("50");
  await expect(page.getByText("The target lies below the start")).toBeVisible();
  await expect(page.getByRole("button", { name: "Set this ladder" })).toBeDisabled();
  await teacher.number("Target").fill("401");
  await expect(page.getByText("401 bpm is outside 10–400 bpm.")).toBeVisible();
  await teacher.number("Target").fill("220");
  await teacher.number("Step").fill("0");
  await expect(page.getByText("0 bpm is outside 1–50 bpm.")).toBeVisible();
  await teacher.number("Step").fill("5");
  await teacher.unfolds("When to go up");
  await page.getByLabel("Gate", { exact: true }).press("Enter");
  await page.getByRole("option", { name: "clean plays of the last few" }).press("Enter");
  await teacher.number("Clean plays").fill("6");
  await teacher.number("Of the last").fill("5");
  await expect(page.getByText("There can't be more clean plays")).toBeVisible();
  await teacher.number("Clean plays").fill("4");
  await expect(page.getByRole("button", { name: "Set this ladder" })).toBeEnabled();
});

test("numbers that no school can follow are told at their field, and the drawing stays", async ({
  teacher,
  page,
}) => {
  await teacher.opensTheWorkshop();
  const drawing = page.getByRole("img", { name: /^A staircase of/ });
  const refuses = async (school: string, numbers: Record<string, string>, sentence: string) => {
    await teacher.chooses(school);
    for (const [label, value] of Object.entries(numbers)) await teacher.number(label).fill(value);
    await expect(page.getByText(sentence)).toBeVisible();
    await expect(page.getByRole("button", { name: "Set this ladder" })).toBeDisabled();
    await expect(drawing).toBeVisible();
  };
  await refuses("Forward and back", { Forward: "2", Back: "3" }, "2 forward and 3 back never");
  await refuses("Burst cycles", { "Fast is": "1" }, "the fast play isn't faster: above 1");
  await refuses("Woven chain", { "Longest chain": "1" }, "A chain has at least 2 links");
  await refuses("By the date", { "Practice days": "0" }, "Without a practice day nothing");
  await refuses("Overspeed finish", { Target: "400" }, "420 bpm; 400 is the fastest");
  await teacher.number("Target").fill("220");
  await teacher.chooses("Layers");
  for (let line = 4; line > 0; line--) {
    await page.getByRole("button", { name: `Take line ${line} out` }).click();
  }
  await expect(page.getByText("List at least one layer")).toBeVisible();
  await teacher.chooses("Woven chain");
  await page.getByLabel("Links of").press("Enter");
  await page.getByRole("option", { name: "beats" }).press("Enter");
  await teacher.number("Step").fill("1");
  await teacher.number("Start").fill("10");
  await teacher.number("Target").fill("400");
  await expect(drawing).toBeVisible();
  await teacher.chooses("Even steps");
  await expect(page.getByRole("button", { name: "Set this ladder" })).toBeEnabled();
});

test("HTML in every text is shown as it was typed", async ({ teacher, player, page }) => {
  const nasty = `<img src=x onerror="document.title='taken'">`;
  await teacher.opensARoom(nasty, nasty);
  await teacher.addsAPiece({ Title: nasty });
  await expect(page.getByRole("heading", { name: nasty })).toBeVisible();
  await teacher.dragsOverBars(2, 3);
  await page.getByLabel("Name", { exact: true }).fill(nasty);
  await page.getByLabel("Listen for").fill(nasty);
  await teacher.cuts();
  await teacher.setsIt();
  await expect(page.getByText(nasty).first()).toBeVisible();
  await player.goesToTheStand();
  await player.button("Note").click();
  await page.getByLabel("One line").fill(nasty);
  await page.keyboard.press("Enter");
  await player.button("It hurts: stop").click();
  await page.getByRole("link", { name: "To the summary" }).click();
  await expect(page.locator("q", { hasText: nasty })).toBeVisible();
  await expect(page).not.toHaveTitle("taken");
});

test("what isn't there, or is another studio's, is a 404 with a sentence", async ({
  teacher,
  page,
  server,
}) => {
  const ids = /studio\/([0-9a-f-]+)\/students\/([0-9a-f-]+)/;
  const first = ids.exec(await teacher.opensARoomAtOnce())!;
  const second = ids.exec(await teacher.opensARoomAtOnce())!;
  const addresses = [
    `/studio/${second[1]}/students/${first[2]}`,
    `/studio/${second[1]}/students/${first[2]}/today`,
    `/studio/${first[1]}/students/${UNKNOWN}`,
    `/studio/${first[1]}/passages/${UNKNOWN}/ladder`,
    `/studio/${first[1]}/sessions/${UNKNOWN}`,
    `/studio/${first[1]}/sessions/${UNKNOWN}/events`,
    `/studio/${UNKNOWN}`,
    "/studio/not-an-id",
    "/nowhere/at/all",
  ];
  for (const address of addresses) {
    const answer = await page.request.get(server.address + address);
    expect(answer.status(), address).toBe(404);
    expect(await answer.text()).not.toContain("    at ");
  }
  await page.goto(server.address + addresses[0]);
  await expect(page.getByText("This isn't in your room, or it was taken away.")).toBeVisible();
});

test("malformed, misplaced and foreign events are refused and nothing is written", async ({
  teacher,
  player,
  page,
  server,
}) => {
  await player.goesToTheStand(await teacher.setsToday());
  const url = page.url().replace(/stand$/, "events");
  const id = crypto.randomUUID();
  const event = { id, seq: 0, at: Date.now(), kind: "opened", payload: {} };
  const send = async (body: unknown, headers: Record<string, string> = {}) => {
    const text = typeof body === "string" ? body : JSON.stringify(body);
    const usual = { "Content-Type": "application/json", Origin: server.address };
    const all = { ...usual, ...headers };
    return (await page.request.post(url, { headers: all, data: Buffer.from(text) })).status();
  };
  expect(await send("{")).toBe(400);
  expect(await send({ events: [] })).toBe(400);
  expect(await send({ events: [{ ...event, id: "1" }] })).toBe(400);
  expect(await send({ events: [{ ...event, kind: "won" }] })).toBe(400);
  expect(await send({ events: [{ ...event, kind: "judged" }] })).toBe(400);
  expect(await send({ events: [{ ...event, at: 12 }] })).toBe(400);
  expect(await send({ events: [{ ...event, seq: 3 }] })).toBe(409);
  expect(await send({ events: [event] }, { Origin: "http://elsewhere.invalid" })).toBe(403);
  expect(await send({ events: [event, { ...event, seq: 1 }] })).toBe(409);
  const stored = async () =>
    ((await (await page.request.get(url)).json()) as { events: [] }).events.length;
  expect(await stored()).toBe(0);
  expect(await send({ events: [event] })).toBe(200);
  expect(await send({ events: [event] })).toBe(200);
  expect(await stored()).toBe(1);
});
