import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

// What sounds along is measured: in real time.
test.use({ rate: 1 });

/** The most that a bar of the demonstration may lie beside the click's, in seconds. */
const BESIDE = 0.01;
const RATE = 22_050;
const BAR_SECONDS = 1.25;
const BEFORE_SECONDS = 0.5;

/** A ping on each bar line, softer ones between. */
function demonstration(bars: number): Buffer {
  const samples = new Int16Array(RATE * (BEFORE_SECONDS + bars * BAR_SECONDS + 0.5));
  for (let beat = 0; beat < bars * 4; beat++) {
    const first = Math.round((BEFORE_SECONDS + (beat * BAR_SECONDS) / 4) * RATE);
    for (let n = 0; n < 0.12 * RATE; n++) {
      const level = (beat % 4 === 0 ? 0.8 : 0.25) * Math.exp(-n / (0.03 * RATE));
      samples[first + n] = 32_767 * level * Math.sin((2 * Math.PI * 523 * n) / RATE);
    }
  }
  const head = Buffer.alloc(44);
  head.write("RIFF", 0);
  head.writeUInt32LE(36 + samples.byteLength, 4);
  head.write("WAVEfmt ", 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(1, 22);
  head.writeUInt32LE(RATE, 24);
  head.writeUInt32LE(RATE * 2, 28);
  head.writeUInt16LE(2, 32);
  head.writeUInt16LE(16, 34);
  head.write("data", 36);
  head.writeUInt32LE(samples.byteLength, 40);
  return Buffer.concat([head, Buffer.from(samples.buffer)]);
}

interface Heard {
  /** When what sounds along begins, in seconds of the audio context. */
  readonly when: number;
  readonly offset: number;
  readonly samples: number[];
  readonly rate: number;
}
interface Sent {
  /** When its map begins, in seconds of the audio context. */
  readonly start: number;
  readonly markers: readonly { readonly name: string; readonly at: number }[];
}

test("a demonstration is brought, its bars marked, and it sounds along within 10 ms at each bar", async ({
  teacher,
  player,
  page,
}) => {
  await page.addInitScript(() => {
    const kept = { heard: [] as unknown[], sent: [] as unknown[] };
    Object.assign(window, { kept });
    const start = AudioBufferSourceNode.prototype.start;
    AudioBufferSourceNode.prototype.start = function (when = 0, offset = 0) {
      const { buffer } = this;
      if (buffer && buffer.duration > 1) {
        kept.heard.push({
          ...{ when, offset, rate: buffer.sampleRate },
          samples: [...buffer.getChannelData(0)],
        });
      }
      return start.call(this, when, offset);
    };
    const post = MessagePort.prototype.postMessage;
    MessagePort.prototype.postMessage = function (...sent: unknown[]) {
      const [message] = sent;
      if (typeof message === "object" && message !== null && "markers" in message) {
        kept.sent.push(structuredClone(message));
      }
      return post.apply(this, sent as never);
    };
  });
  await teacher.preparesToday({ start: 84, target: 100, clean: 3 });
  const home = page.url().replace(/\/today.*$/, "");
  await page.goto(home);
  await page.getByRole("link", { name: "Open the bars" }).first().click();
  await page.getByRole("link", { name: "Demonstrations" }).click();
  await ready(page);
  const file = page.getByLabel(/^A sound file/);
  await file.setInputFiles({
    name: "liar.mp3",
    mimeType: "audio/mpeg",
    buffer: Buffer.from("no sound at all, whatever it is called"),
  });
  await page.getByRole("button", { name: "Bring it" }).click();
  await expect(page.getByText(/^That is no sound that Fidus knows/)).toBeVisible();
  await file.setInputFiles({
    name: "As it goes.wav",
    mimeType: "audio/wav",
    buffer: demonstration(16),
  });
  await page.getByRole("button", { name: "Bring it" }).click();
  await expect(page.getByRole("heading", { name: "As it goes" })).toBeVisible();
  await expect(page.getByText(/^Its bars are not marked yet/)).toBeVisible();
  await page.getByRole("button", { name: "Another place" }).click();
  await page.getByLabel("begins at, s").fill(String(BEFORE_SECONDS));
  await page.getByRole("button", { name: "Another place" }).click();
  await page.getByLabel("Bar", { exact: true }).nth(1).fill("9");
  // The line behind the last of its eight bars.
  await page
    .getByLabel("begins at, s")
    .nth(1)
    .fill(String(BEFORE_SECONDS + 8 * BAR_SECONDS));
  await page.getByRole("button", { name: "Keep these bars" }).click();
  await expect(page.getByText("2 bar lines marked, 1.25 s to a bar.")).toBeVisible();

  await page.goto(`${home}/today`);
  await player.goesToTheStand();
  const along = page.getByRole("button", { name: "The teacher's playing along" });
  await along.click();
  await expect(page.getByText("plays along", { exact: true })).toBeVisible();
  await player.starts();
  await player.playsThrough();
  const { heard, sent } = await page.evaluate(
    () => (window as unknown as { kept: { heard: Heard[]; sent: Sent[] } }).kept,
  );
  const [sounded] = heard;
  const [{ start, markers }] = sent as [Sent];
  const moment = (name: string) => start + markers.find((marker) => marker.name === name)!.at;
  // Two bars in two, at 84.
  const bar = (2 * 60) / 84;
  const bars = Math.round((moment("play-ended") - moment("play-began")) / bar);
  expect(bars).toBe(2);
  // When its first sample would have been heard.
  const begins = sounded!.when - sounded!.offset;
  const loudest = sounded!.samples.reduce((most, each) => Math.max(most, Math.abs(each)), 0);
  for (let n = 0; n < bars; n++) {
    const at = moment("play-began") + n * bar;
    const from = Math.max(0, Math.round((at - begins - 0.1) * sounded!.rate));
    const onset = sounded!.samples
      .slice(from, from + 0.2 * sounded!.rate)
      .findIndex((each) => Math.abs(each) > 0.3 * loudest);
    expect(Math.abs(begins + (from + onset) / sounded!.rate - at)).toBeLessThan(BESIDE);
  }
  await along.click();
  await expect(page.getByText("plays along", { exact: true })).toBeHidden();
});
