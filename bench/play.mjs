// Measures each frame of a practice show from outside: every callback of requestAnimationFrame is timed.
import { chromium } from "playwright-core";

const [address, seconds] = [process.argv[2], Number(process.argv[3])];
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM || "/usr/bin/chromium", args: ["--no-sandbox"] });
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await page.addInitScript(() => {
  window.spent = [];
  const real = window.requestAnimationFrame.bind(window);
  window.requestAnimationFrame = (work) => real((time) => {
    const begun = performance.now();
    work(time);
    window.spent.push([time, performance.now() - begun]);
  });
});
const middle = (all, share) => all.slice().sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(all.length * share))];
for (const part of ["body", "finale"]) {
  await page.goto(address + "/shoots/2/practice?show=5");
  await page.waitForSelector("[data-ready]");
  await page.selectOption("[data-goto]", part);
  await page.waitForTimeout(3000);
  await page.evaluate(() => { window.spent = []; });
  await page.waitForTimeout(seconds * 1000);
  const spent = await page.evaluate(() => window.spent);
  const work = spent.map((s) => s[1]), gaps = spent.slice(1).map((s, i) => s[0] - spent[i][0]);
  console.log(`${part}: script ${middle(work, 0.5).toFixed(1)} ms a frame in the middle, ${middle(work, 0.95).toFixed(1)} ms for 95 of 100, ` +
    `${(1000 / middle(gaps, 0.5)).toFixed(0)} frames a second in the middle, ${spent.length} frames`);
}
await browser.close();
