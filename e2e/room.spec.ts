import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";
import { newName, PASSWORD } from "./support/teacher";

test("a room is taken along, read into an empty one, and goes on there; a student is deleted", async ({
  teacher,
  player,
  page,
  server,
}, info) => {
  await player.goesToTheStand(await teacher.setsToday({ clean: 3 }));
  await player.starts();
  await player.playsClean(3);
  await expect(page.getByText("All kept")).toBeVisible();
  await page.goto(server.address);
  const week = page.url();
  await expect(page.getByText(/^Today: The Ferry/)).toBeVisible();

  await page.getByRole("link", { name: "Room", exact: true }).click();
  await expect(page.getByText("Only an empty room can be filled from a file.")).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Take the room along" }).click(),
  ]);
  const zip = info.outputPath("room.zip");
  await file.saveAs(zip);

  await page.goto(`${server.address}/open`);
  await page.getByLabel("Name of the room").fill("Kiln Yard");
  await page.getByLabel("Your name").fill("Odile");
  await page.getByLabel("Name to sign in with").fill(newName());
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Open the room" }).click();
  await page.waitForURL(/studio\/[0-9a-f-]{36}$/);
  expect(page.url()).not.toBe(week);
  await page.getByRole("link", { name: "Room", exact: true }).click();
  await ready(page);
  const choose = page.getByLabel("File of the room (.zip)");
  await choose.setInputFiles({ name: "room.zip", mimeType: "", buffer: Buffer.from("no zip") });
  await page.getByRole("button", { name: "Bring it in" }).click();
  await expect(page.getByRole("alert")).toHaveText("This is no zip, or it breaks off.");
  await choose.setInputFiles(zip);
  await page.getByRole("button", { name: "Bring it in" }).click();
  await expect(page.getByText("Weir Lane is here.")).toBeVisible();
  await page.getByRole("link", { name: "To the week" }).click();
  await expect(page.getByRole("link", { name: "Weir Lane" })).toBeVisible();
  await expect(page.getByText(/^Today: The Ferry/)).toBeVisible();

  await page.getByRole("link", { name: "Tomasz", exact: true }).click();
  await page.getByRole("link", { name: "Take along or delete" }).click();
  const [plays] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: /^Plays/ }).click(),
  ]);
  expect(plays.suggestedFilename()).toBe("plays.csv");
  await expect(page.getByText(/1 passage .* 1 session with 3 plays/)).toBeVisible();
  const name = page.getByLabel("Type “Tomasz” to say that you mean it");
  await name.fill("Tom");
  await page.getByRole("button", { name: "Delete for good" }).click();
  await expect(page.getByText("This is not the name.")).toBeVisible();
  await name.fill("Tomasz");
  await page.getByRole("button", { name: "Delete for good" }).click();
  await page.waitForURL(/studio\/[0-9a-f-]{36}$/);
  await expect(page.getByText("Tomasz")).toHaveCount(0);
});

test(
  "students and pieces come in from tables of any make, looked at first",
  { tag: "@main" },
  async ({ teacher, page, server }) => {
    const { pathname } = new URL(await teacher.opensARoomAtOnce(), server.address);
    await page.goto(`${server.address}${pathname.split("/students/")[0]}/table`);
    await ready(page);
    const choose = (text: string, encoding: BufferEncoding = "utf8") =>
      page
        .getByLabel("CSV file")
        .setInputFiles({ name: "t.csv", mimeType: "", buffer: Buffer.from(text, encoding) });
    await choose("Name;Instrument\nAda Brückner;Harfe\n;viola\n", "latin1");
    await expect(page.getByRole("cell", { name: "Ada Brückner" })).toBeVisible();
    await expect(page.getByRole("cell", { name: "Give the student's name." })).toBeVisible();
    await page.getByRole("button", { name: "Bring in 1 row" }).click();
    await expect(page.getByText("1 row is in.")).toBeVisible();

    await choose('Work,Who,Measures,Speed\nReed Song,ada brückner,24,"66,5"\nWeir,Nobody,8,80\n');
    await page.getByLabel("Student", { exact: true }).click();
    await page.getByRole("option", { name: "2: Who" }).press("Enter");
    await expect(page.getByRole("cell", { name: "Nobody here is called “Nobody”." })).toBeVisible();
    await page.getByRole("button", { name: "Bring in 1 row" }).click();
    await expect(page.getByText("1 row is in.")).toBeVisible();
    await page.goto(server.address);
    await page.getByRole("link", { name: "Ada Brückner" }).click();
    await expect(page.getByRole("heading", { name: "Reed Song" })).toBeVisible();
    await expect(page.getByText("66.5")).toBeVisible();
  },
);
