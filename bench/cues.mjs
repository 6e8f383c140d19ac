// A rehearsal of the demo's eclipse from five minutes before totality on: each call says how late it was by the clock it goes by.
import { chromium } from "playwright-core";

const [address, minutes] = process.argv.slice(2);
const flags = ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync"];
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: flags });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(address + "/shoots/7/run/rehearsal?from=2027-08-02T08:43:00Z", { waitUntil: "load" });
await page.waitForSelector("[data-counting]");
await page.evaluate(() => {
  window.heard = [];
  document.addEventListener("run:call", (e) => window.heard.push(e.detail.late));
});
await page.locator("[data-hold]").click();
await page.waitForTimeout(Number(minutes) * 60000);
const late = (await page.evaluate(() => window.heard)).sort((a, b) => a - b);
await browser.close();
console.log(`${late.length} calls in ${minutes} min: median ${late[late.length >> 1].toFixed(1)} ms late, latest ${late[late.length - 1].toFixed(1)} ms`);
