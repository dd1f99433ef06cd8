import { chromium } from "@playwright/test";
const A = process.env.ADDR ?? "http://127.0.0.1:4191";
const [, , who, path, out, size = "1280x800", full = "", act = ""] = process.argv;
const [width, height] = size.split("x").map(Number);
const b = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--headless=new", "--disable-gpu"],
});
const c = await b.newContext({
  viewport: { width, height },
  locale: "en-GB",
  userAgent:
    "Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/156.0.0.0 Safari/537.36",
});
const p = await c.newPage();
p.on(
  "console",
  (m) => ["error", "warning"].includes(m.type()) && console.log("CONSOLE", m.text().slice(0, 300)),
);
p.on("pageerror", (e) => console.log("PAGEERROR", e.message.slice(0, 300)));
if (who !== "-") {
  await p.goto(A + "/sign-in");
  await p.waitForLoadState("networkidle");
  await p.getByRole("button", { name: new RegExp(who) }).click();
  await p.waitForURL(/studio/);
}
if (path.startsWith("/")) await p.goto(A + path);
else if (path !== "-")
  for (const step of path.split(">")) {
    await p.getByRole("link", { name: step }).first().click();
    await p.waitForLoadState("networkidle");
    await p.waitForTimeout(300);
  }
await p.waitForLoadState("networkidle");
if (act) await new Function("p", `return (async()=>{${act}})()`)(p);
await p.waitForTimeout(400);
await p.screenshot({ path: out, fullPage: full === "full" });
console.log(p.url());
await b.close();
