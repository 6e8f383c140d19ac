#!/usr/bin/env node
// Start-up and page times, side by side in one run: the plain fat jar against what ./run starts. Needs a built jar.
// Prints one figure a line as `name: value unit`.
import { execFileSync, spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
execFileSync(join(root, "run"), { env: { ...process.env, HALFDUSK_PREPARE_ONLY: "1" }, stdio: "inherit" });
const target = join(root, "web/target");
const kinds = {
  plain: ["-jar", join(target, "half-dusk.jar")],
  run: [`-XX:SharedArchiveFile=${target}/run/half-dusk.jsa`, `@${join(root, "packaging/java.options")}`, "-jar", join(target, "run/half-dusk.jar")],
};
const median = (xs) => xs.slice().sort((a, b) => a - b)[Math.floor(xs.length / 2)];
const wait = (ms) => new Promise((r) => setTimeout(r, ms));

async function start(kind, port, data) {
  const t0 = performance.now();
  const child = spawn("java", [...kinds[kind], "--spring.profiles.active=demo", `--server.port=${port}`, `--halfdusk.data=${data}`], { stdio: "ignore" });
  for (;;) {
    try {
      const r = await fetch(`http://127.0.0.1:${port}/nights`);
      if (r.ok) { await r.text(); break; }
    } catch { await wait(25); }
    if (performance.now() - t0 > 120000) throw new Error("no answer within two minutes");
  }
  return { child, ms: performance.now() - t0 };
}
const stop = (child) => new Promise((r) => { child.once("exit", r); child.kill(); });

const times = { plain: [], run: [] };
let port = 18000 + (process.pid % 2000);
for (let round = 0; round < 3; round++) {
  for (const kind of ["plain", "run"]) {
    const data = mkdtempSync(join(tmpdir(), "half-dusk-bench-"));
    const { child, ms } = await start(kind, port, data);
    times[kind].push(ms);
    await stop(child);
    rmSync(data, { recursive: true, force: true });
    port++;
  }
}
console.log(`firstPagePlainJar: ${Math.round(median(times.plain))} ms`);
console.log(`firstPageRun: ${Math.round(median(times.run))} ms`);
console.log(`firstPageShare: ${(median(times.run) / median(times.plain)).toFixed(2)} of the plain jar`);

const data = mkdtempSync(join(tmpdir(), "half-dusk-bench-"));
const { child } = await start("run", port, data);
for (const [name, path] of [["pageNights", "/nights"], ["pageNight", "/shoots/1/night"], ["pageExpose", "/shoots/1/expose"], ["pageFrame", "/shoots/1/frame"], ["pageShoots", "/shoots"], ["pagePlaces", "/places"], ["pageKit", "/kit"]]) {
  const ms = [];
  for (let i = 0; i < 60; i++) {
    const t = performance.now();
    const r = await fetch(`http://127.0.0.1:${port}${path}`);
    await r.text();
    if (!r.ok) throw new Error(`${path} answered ${r.status}`);
    if (i >= 20) ms.push(performance.now() - t);
  }
  console.log(`${name}: ${median(ms).toFixed(1)} ms`);
}
// As Linux counts it; elsewhere it is left out.
for (const page of ["/shoots/2/expose", "/shoots/4/expose", "/shoots/5/expose", "/shoots/6/night", "/shoots/7/sequence", "/shoots/10/expose", "/map", "/log", "/settings", "/about"]) {
  await (await fetch(`http://127.0.0.1:${port}${page}`)).text();
}
if (existsSync(`/proc/${child.pid}/status`)) {
  console.log(`resident: ${Math.round(+readFileSync(`/proc/${child.pid}/status`, "utf8").match(/VmRSS:\s+(\d+)/)[1] / 1024)} MB`);
}
await stop(child);
rmSync(data, { recursive: true, force: true });
