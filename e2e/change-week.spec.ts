import { newItem } from "~/core/week";
import { axeOn } from "./support/axe";
import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

const day = (ahead: number) => new Date(Date.now() + ahead * 86_400_000).toISOString().slice(0, 10);

test(
  "a week that is on is changed with the keyboard, its lesson moved in two presses",
  { tag: "@main" },
  async ({ teacher, page, server }) => {
    const { address } = server;
    const home = (await teacher.setsToday()).replace(/\/today.*$/, "").replace(address, "");
    const item = (title: string) => newItem(crypto.randomUUID(), { title, minutes: 9 });
    const text = { items: [item("Scales"), item("Songs")], word: "" };
    const week = { version: 0, after: null, from: day(0), until: day(7), text, decisions: {} };
    await page.request.post(`${address}${home}/lesson`, {
      form: { act: "set", week: JSON.stringify(week) },
      headers: { origin: address },
    });

    await page.goto(`${address}${home}/week`);
    await ready(page);
    await page.getByRole("link", { name: "Change this week" }).press("Enter");
    await page.waitForURL(/\/week\/change$/);
    await expect(page.getByRole("button", { name: "Save changes" })).toBeDisabled();
    await page.getByLabel("Minutes").first().press("ControlOrMeta+a");
    await page.keyboard.type("4");
    await page.getByRole("button", { name: "Take Songs out" }).press("Enter");
    await expect(page.getByText("The week asks 28 min on 7 days.")).toBeVisible();
    expect((await axeOn(page).analyze()).violations).toEqual([]);
    await page.getByRole("button", { name: "Save changes" }).press("Enter");
    await page.waitForURL(/\/week$/);
    await expect(page.getByText("every day, 4 min")).toBeVisible();

    await page.getByRole("button", { name: "Move lesson" }).click();
    await page.getByRole("menuitem").nth(8).click();
    await expect(page.locator("main ol > li")).toHaveCount(9);

    await page.getByRole("button", { name: "Away or ill" }).click();
    await page.getByRole("button", { name: "Save" }).click();
    await expect(page.getByText("no time set")).toBeVisible();
  },
);
