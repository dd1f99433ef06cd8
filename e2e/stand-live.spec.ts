import { expect, test } from "./support/fixtures";

// What is pressed or seen within a beat: in real time.
test.use({ rate: 1 });

test("the metre, the pickup and the beats are shown as they are heard", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.comesToAFirstPiece();
  await teacher.addsAPiece({ Metre: "2+3/8", "Tempo at performance": "200" });
  await teacher.dragsOverBars(3, 4);
  await page.getByLabel("Pickup beats").fill("2");
  await teacher.cuts();
  await teacher.drawsTheLadder({ start: 120, target: 200 });
  await teacher.setsIt();
  await player.goesToTheStand();
  await player.starts();
  const middle = page.getByTestId("phase");
  await expect(middle).toHaveText("Count-in 1 of 2");
  await expect(middle).toHaveText("Count-in 2 of 2");
  await expect(middle).toHaveText("Pickup");
  await expect(middle).toHaveText("Bar 3");
  await expect(middle).toHaveText("Bar 4");
  await expect(middle).toHaveText("How was it?");
});

test("a tempo is tapped at the stand, and the click follows the player", async ({
  teacher,
  player,
  page,
}) => {
  await player.goesToTheStand(await teacher.setsToday());
  await player.button("Tap").click();
  await expect(page.getByRole("dialog")).toBeVisible();
  const pad = page.getByRole("button", { name: /Tap here|bpm/ }).first();
  await pad.focus();
  const session = await page.context().newCDPSession(page);
  const begun = Date.now() / 1000;
  for (let n = 0; n < 10; n++) {
    // One tap is missed; the time stamps are those of exactly 150 bpm.
    if (n === 4) continue;
    const timestamp = begun + (n * 60) / 150;
    const key = { key: "a", code: "KeyA", text: "a", timestamp };
    await session.send("Input.dispatchKeyEvent", { type: "keyDown", ...key });
    await session.send("Input.dispatchKeyEvent", { type: "keyUp", ...key });
  }
  await expect(page.getByTestId("tapped")).toHaveText("150 bpm");
  await expect(page.getByText("Very steady.")).toBeVisible();
  await expect(page.getByText("One was left out.")).toBeVisible();
  await page.getByRole("button", { name: "Start at 150 bpm" }).click();
  await player.seesTempo(150);
});
