// Median time until a page has loaded, and script time per move of the playhead and over the carpet; no request may go out.
import { chromium } from "playwright-core";

const address = process.argv[2];
const flags = ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync"];
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: flags });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];

async function ready(name, path) {
  const times = [];
  for (let i = 0; i < 25; i++) {
    await page.goto(address + path, { waitUntil: "load" });
    times.push(await page.evaluate(() => performance.getEntriesByType("navigation")[0].loadEventEnd));
  }
  times.splice(0, 5);
  times.sort((a, b) => a - b);
  console.log(`${name}: ${at(times, 0.5).toFixed(0)} ms`);
}

async function moves(name, path, selector, press) {
  await page.goto(address + path, { waitUntil: "load" });
  let requests = 0;
  page.on("request", (r) => requests += r.url().includes("/assets/") ? 0 : 1);
  const times = await page.evaluate(
    ([selector, press]) => {
      const el = document.querySelector(selector);
      const box = el.getBoundingClientRect();
      const fire = (type, share) => {
        const event = new PointerEvent(type, { bubbles: true, button: 0, clientX: box.left + share * box.width, clientY: box.top + box.height / 2 });
        const begin = performance.now();
        el.dispatchEvent(event);
        // Reading a size makes the browser lay the page out now, so that this is counted too.
        el.getBoundingClientRect();
        return performance.now() - begin;
      };
      if (press) fire("pointerdown", 0.1);
      return Array.from({ length: 300 }, (_, i) => fire("pointermove", 0.1 + (0.8 * i) / 300));
    },
    [selector, press],
  );
  times.sort((a, b) => a - b);
  console.log(`${name}: median ${at(times, 0.5).toFixed(2)} ms, 95 % ${at(times, 0.95).toFixed(2)} ms, ${requests} requests`);
}

// The frame while it is dragged: the script's own time to draw each move, and with the canvas made to finish what it was told.
async function frame(name, path) {
  await page.goto(address + path, { waitUntil: "load" });
  await page.waitForSelector("canvas[data-drawn]");
  let requests = 0;
  page.on("request", (r) => requests += r.url().includes("/assets/") ? 0 : 1);
  const times = await page.evaluate(async () => {
    const el = document.querySelector("canvas[data-frame]");
    const box = el.getBoundingClientRect();
    const fire = (type, x, y) => el.dispatchEvent(new PointerEvent(type, { bubbles: true, button: 0, pointerId: 1, clientX: box.left + x, clientY: box.top + y }));
    el.setPointerCapture = () => {};
    const next = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    fire("pointerdown", 200, 200);
    const script = [], whole = [];
    for (let i = 0; i < 150; i++) {
      fire("pointermove", 200 + 200 * Math.sin(i / 20), 200 + 60 * Math.sin(i / 13));
      await next();
      const begin = performance.now();
      el.getContext("2d").getImageData(0, 0, 1, 1);
      script.push(Number(el.dataset.milliseconds));
      whole.push(Number(el.dataset.milliseconds) + performance.now() - begin);
    }
    return { script: script.sort((a, b) => a - b), whole: whole.sort((a, b) => a - b) };
  });
  for (const part of ["script", "whole"])
    console.log(`${name}, ${part}: median ${at(times[part], 0.5).toFixed(2)} ms, 95 % ${at(times[part], 0.95).toFixed(2)} ms, ${requests} requests`);
}

await ready("nightsReady", "/nights");
await ready("nightStepReady", "/shoots/1/night");
await moves("playheadMove", "/shoots/1/night", "[data-strip]", true);
await moves("carpetMove", "/nights", "[data-carpet]", false);
await ready("sequenceReady", "/shoots/7/sequence");
await moves("blockDrag", "/shoots/6/sequence", "[data-timeline] [data-block] rect", true);
await ready("frameReady", "/shoots/1/frame");
await frame("frameDrag", "/shoots/1/frame");
await browser.close();
