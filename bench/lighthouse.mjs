// Performance, accessibility and good practice of the main pages as a slowed-down phone meets them, by lighthouse.
import lighthouse from "lighthouse";
import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const [address, shoot, place] = process.argv.slice(2);
const pages = [
  "/nights", `/shoots/${shoot}/night`, `/shoots/${shoot}/frame`, `/shoots/${shoot}/expose`, `/shoots/${shoot}/sequence`, `/places/${place}`,
];
const port = 9200 + (process.pid % 700);
const browser = spawn("chromium", ["--headless", "--no-sandbox", "--disable-gpu", `--remote-debugging-port=${port}`, `--user-data-dir=${mkdtempSync(join(tmpdir(), "lh-"))}`, "about:blank"], { stdio: "ignore" });
for (let i = 0; i < 50; i++) {
  try {
    await fetch(`http://127.0.0.1:${port}/json/version`);
    break;
  } catch {
    await new Promise((r) => setTimeout(r, 200));
  }
}
let short = 0;
console.log("page performance accessibility practice shift blocked_ms paint_ms");
for (const page of pages) {
  const { lhr } = await lighthouse(address + page, { port, onlyCategories: ["performance", "accessibility", "best-practices"], logLevel: "error" });
  const of = (c) => Math.round(100 * lhr.categories[c].score);
  const value = (a) => lhr.audits[a].numericValue;
  const row = [page, of("performance"), of("accessibility"), of("best-practices"), value("cumulative-layout-shift").toFixed(3), Math.round(value("total-blocking-time")), Math.round(value("largest-contentful-paint"))];
  const ok = row[1] >= 90 && row[2] === 100 && row[3] === 100 && Number(row[4]) <= 0.05 && row[5] <= 200;
  if (!ok) {
    short++;
    for (const a of Object.values(lhr.audits)) if (a.score !== null && a.score < 0.9 && a.scoreDisplayMode !== "informative") console.error("  " + page + ": " + a.id + " " + (a.displayValue || ""));
  }
  console.log(row.join(" ") + (ok ? "" : " SHORT"));
}
browser.kill();
process.exit(short ? 1 : 0);
