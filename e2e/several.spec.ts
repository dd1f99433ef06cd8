import { expect } from "@playwright/test";
import { test } from "./support/demo-room";
import { ready } from "./support/ready";
import { comesIn } from "./support/views";

test("many are added from a list, given times at once, and their given weeks assigned in one press", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("link", { name: "Add many students" }).click();
  await ready(page);
  const list = page.getByRole("textbox", { name: "Students" });
  await list.fill("Nora Quayle, flute, Thu 15:30, Mon Wed 20, child\nInes Calloway, harp");
  await page.getByRole("button", { name: "Add students" }).click();
  await expect(page.getByText(/more than one student named Ines Calloway/)).toBeVisible();
  await expect(list).toHaveValue(/Nora Quayle/);
  await list.fill("Nora Quayle, flute, Thu 15:30, Mon Wed 20, child\nOwen Brack, flute");
  await page.getByRole("combobox", { name: "Codes work for" }).press("Enter");
  await page.getByRole("option", { name: "one week" }).press("Enter");
  await page.getByRole("button", { name: "Add students" }).click();
  await expect(page.getByText(/2 students added\..*Codes work for one week\./)).toBeVisible();

  // By the keyboard: two flutes of the list, found by their instrument.
  await page.goto(demo.address);
  await page.getByRole("link", { name: "Several students" }).press("Enter");
  await ready(page);
  await page.getByLabel("Search by name").fill("o");
  await page.getByRole("combobox", { name: "Instrument" }).press("Enter");
  await page.getByRole("option", { name: "flute" }).press("Enter");
  await page.getByLabel("Nora Quayle").press("Space");
  await page.getByLabel("Owen Brack").press("Space");
  await expect(page.getByText("2 students chosen")).toBeVisible();
  await page.getByRole("button", { name: "Save" }).press("Enter");
  await expect(page.getByText("Fill in what you want to change.")).toBeVisible();
  await page.getByLabel("Tuesday").press("Space");
  await page.getByLabel("Minutes a day").fill("25");
  await page.getByRole("button", { name: "Save" }).press("Enter");
  await expect(page.getByText("Saved for 2 students.")).toBeVisible();

  // What one has in the week is given to both, and assigned.
  await page.goto(demo.address);
  await page.getByRole("link", { name: "Bram Oyelaran", exact: true }).click();
  await page.getByRole("link", { name: "The week" }).click();
  await page.getByRole("link", { name: "The printed sheet" }).click();
  await ready(page);
  await page.getByText("Give it to others").click();
  const whom = page.getByRole("group", { name: "To whom" });
  await whom.getByLabel("Nora Quayle").check();
  await whom.getByLabel("Owen Brack").check();
  await page.getByRole("button", { name: "Give it", exact: true }).click();
  await expect(page.getByText("Given to 2 students.")).toBeVisible();
  await page.goto(demo.address);
  await page.getByRole("link", { name: "Several students" }).click();
  await ready(page);
  await page.getByRole("button", { name: "Assign weeks" }).click();
  await expect(page.getByText("2 weeks assigned.")).toBeVisible();
  await expect(page.getByText("No prepared weeks.")).toBeVisible();
  await page.goto(demo.address);
  await page.getByRole("link", { name: "Owen Brack", exact: true }).click();
  await page.getByRole("link", { name: "The week" }).click();
  await expect(page.getByRole("heading", { name: "The week of Owen Brack" })).toBeVisible();
  await expect(page.getByText(/Sluice Gate March/).first()).toBeVisible();
});

test("one's own codes are typed in one line with minutes, and read spelt out", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Bram Oyelaran");
  await page.getByRole("link", { name: "My week" }).first().click();
  await ready(page);
  await page.getByText("My codes").click();
  await page.getByLabel("One code per line").fill("s slow\nlt long tones");
  await page.getByRole("button", { name: "Save codes" }).click();
  const line = page.getByLabel("Note, or everything in one line");
  await line.fill("march 5-8 s lt 12");
  await expect(page.getByText("march 5-8, slow, long tones")).toBeVisible();
  await line.press("Enter");
  await expect(page.getByText("12 min written down.")).toBeVisible();
  await expect(line).toHaveValue("");
  await page.getByRole("link", { name: "Log" }).first().click();
  await expect(page.getByText("march 5-8, slow, long tones")).toBeVisible();
});
