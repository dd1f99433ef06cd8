import { expect, test as base } from "@playwright/test";
import { Days } from "./support/days";
import { Player } from "./support/player";
import { throwAwayDirectory } from "./support/server";
import { newName, PASSWORD, Teacher } from "./support/teacher";
import { ready } from "./support/ready";

const SCHOOLS = ["Even steps","Percent steps","Shrinking steps","Metronome marks","Forward and back","Overspeed finish","Comfort span","Burst cycles","Slow and fast","Woven chain","Joining","By the date","Rhythm ladder","Withdraw the click","Layers","Consolidate"];
base.setTimeout(600_000);
base("sixteen", async ({ page, context }) => {
  const { directory } = await throwAwayDirectory();
  const days = await Days.begin(directory);
  await days.welcome(context);
  const teacher = new Teacher(page, days.address);
  const player = new Player(page);
  const names = { room: "Weir Lane", teacher: "Odile", name: "Tomasz", instrument: "" };
  const piece = await teacher.sends("/open", { ...names, signIn: newName(), password: PASSWORD, timeZone: "Europe/London" });
  const bars = await teacher.sends(piece, { title: "The Ferry at Low Water", origin: "", kind: "piece", bars: "48", metre: "2/4", pickupBeats: "0", changes: "", markUnit: "quarter", markBpm: "220" });
  for (const [i, school] of SCHOOLS.entries()) {
    const cut = { act: "cut", fromBar: `${3 * i + 1}`, toBar: `${3 * i + 3}`, name: "", focus: "", pickupBeats: "0", endBeats: "0" };
    const workshop = await teacher.sends(bars, cut);
    await page.goto(`${days.address}${workshop}`);
    await ready(page);
    await teacher.chooses(school);
    await teacher.fills({ Start: school === "Burst cycles" ? 90 : 200 });
    if (school !== "Comfort span") await page.getByRole("spinbutton", { name: /^Target/ }).first().fill("230");
    await teacher.setsTheGate(1);
    await teacher.startsEachDay("where it ended");
    await teacher.setsIt();
  }
  const today = page.url();
  const tell = async () => {
    const t = async (id: string) => { const s = page.getByTestId(id); return (await s.count()) > 0 ? await s.innerText() : ""; };
    return [await t("task"), await t("tempo"), await t("links"), await page.locator("p", { hasText: /^Rung/ }).first().innerText()].filter(Boolean).join(", ");
  };
  for (let day = 0; day < 3; day++) {
    if (day > 0) { await days.goesTo(day, [page]); await page.goto(today); }
    await player.goesToTheStand();
    await player.starts();
    for (const school of SCHOOLS) {
      const seen: string[] = [];
      for (let n = 0; n < 3; n++) {
        seen.push(await tell());
        await player.playsClean();
        await page.waitForTimeout(60);
      }
      seen.push("-> " + await tell());
      console.log(`day ${day} ${school}: ${seen.join(" | ")}`);
      const top = page.getByRole("heading", { name: "The target is reached." });
      if (await top.isVisible()) { await page.keyboard.press("F1"); }
      else await page.getByRole("button", { name: /^Next/ }).first().click().catch(() => undefined);
      await page.waitForTimeout(200);
      if (await page.getByRole("button", { name: /^(Start|Go on)$/ }).isVisible()) await player.starts();
    }
    await expect(page.getByText("All kept")).toBeVisible();
    await page.goto(today.replace(/today$/, "log"));
  }
  await days.end();
});
