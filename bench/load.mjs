// Load on the running application: requests a second, times, failures, resident memory. Bounded in time, on loopback only.
import { readFileSync, readdirSync, readlinkSync } from "node:fs";
import http from "node:http";

const [address = "http://127.0.0.1:8427", seconds = "60", clients = "8"] = process.argv.slice(2);
const base = new URL(address);
if (!["127.0.0.1", "localhost", "[::1]"].includes(base.hostname)) {
  console.error("Only an address of this machine is loaded, not " + base.hostname + ".");
  process.exit(2);
}
const lasting = Math.min(600, Number(seconds));
const agent = new http.Agent({ keepAlive: true, maxSockets: Number(clients) });

const get = (path) =>
  new Promise((resolve, reject) => {
    const request = http.get({ host: base.hostname, port: base.port, path, agent, timeout: 70000 }, (response) => {
      const parts = [];
      response.on("data", (d) => parts.push(d));
      response.on("end", () => resolve({ status: response.statusCode, body: Buffer.concat(parts), type: response.headers["content-type"] || "" }));
      response.on("error", reject);
    });
    request.on("timeout", () => request.destroy(new Error("70 s")));
    request.on("error", reject);
  });

// Every page that links lead to, one of each kind.
const pages = async () => {
  const seen = new Set(["/nights", "/shoots", "/places", "/kit", "/map", "/settings", "/search?q=light"]);
  const kinds = new Set();
  const waiting = [...seen];
  const found = [];
  while (waiting.length && found.length < 150) {
    const path = waiting.shift();
    const r = await get(path);
    if (r.status !== 200 || !r.type.startsWith("text/html")) continue;
    found.push(path);
    for (const [, href] of r.body.toString().matchAll(/<a[^>]* href="(\/[^"#]*)/g)) {
      const plain = href.replaceAll("&amp;", "&");
      const kind = plain.replace(/\d{4}-\d\d-\d\d[^&]*/g, "D").replace(/(?<=[=/])-?\d+(\.\d+)?/g, (m, d, at) => (plain.slice(0, at) === "/shoots/" ? m : "N"));
      if (!seen.has(plain) && !kinds.has(kind)) {
        seen.add(plain);
        kinds.add(kind);
        waiting.push(plain);
      }
    }
  }
  return found;
};

// The process that listens on the port, by the kernel's own tables; nothing where they may not be read.
const listener = () => {
  try {
    const port = Number(base.port || 80).toString(16).toUpperCase().padStart(4, "0");
    const inodes = ["/proc/net/tcp", "/proc/net/tcp6"].flatMap((f) =>
      readFileSync(f, "utf8").split("\n").map((l) => l.trim().split(/\s+/)).filter((c) => c[1]?.endsWith(":" + port) && c[3] === "0A").map((c) => c[9]));
    for (const pid of readdirSync("/proc").filter((p) => /^\d+$/.test(p))) {
      try {
        for (const fd of readdirSync(`/proc/${pid}/fd`)) {
          if (inodes.some((i) => readlinkSync(`/proc/${pid}/fd/${fd}`) === `socket:[${i}]`)) return pid;
        }
      } catch { /* not ours to read */ }
    }
  } catch { /* no such tables here */ }
  return null;
};
const pid = listener();
const resident = () => (pid ? Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1] ?? 0) / 1024 : NaN);

const paths = await pages();
const took = [];
const byPath = new Map();
const bad = [];
const memory = [];
// Warm: each page a few times, not counted.
for (let i = 0; i < 3; i++) for (const p of paths) await get(p);
const end = Date.now() + lasting * 1000;
const watch = setInterval(() => memory.push(resident()), 1000);
await Promise.all(
  Array.from({ length: Number(clients) }, async (_, client) => {
    for (let k = client * 17; Date.now() < end; k++) {
      const path = paths[k % paths.length];
      const begun = performance.now();
      try {
        const r = await get(path);
        if (r.status !== 200) bad.push(path + " " + r.status);
      } catch (e) {
        bad.push(path + " " + e.message);
      }
      const ms = performance.now() - begun;
      took.push(ms);
      const kind = path.replace(/\?.*/, "").replace(/\d+/g, "N");
      byPath.set(kind, [...(byPath.get(kind) ?? []), ms]);
    }
  }),
);
clearInterval(watch);
took.sort((a, b) => a - b);
const at = (list, share) => list[Math.min(list.length - 1, Math.floor(list.length * share))];
const third = Math.floor(memory.length / 3);
const mean = (l) => l.reduce((a, b) => a + b, 0) / l.length;
console.log(`pages              ${paths.length}`);
console.log(`requests a second  ${(took.length / lasting).toFixed(1)}   (at least 60 wanted)`);
console.log(`median             ${at(took, 0.5).toFixed(0)} ms`);
console.log(`95 %               ${at(took, 0.95).toFixed(0)} ms   (300 allowed)`);
console.log(`slowest            ${took.at(-1).toFixed(0)} ms`);
console.log(`failed             ${bad.length} ${bad.slice(0, 3).join("; ")}`);
if (pid) console.log(`resident memory    ${mean(memory.slice(0, third)).toFixed(0)} MB in the first third, ${mean(memory.slice(-third)).toFixed(0)} MB in the last, ${Math.max(...memory).toFixed(0)} MB at most   (450 allowed)`);
const slow = [...byPath].map(([p, l]) => [p, mean(l), l.length]).sort((a, b) => b[1] * b[2] - a[1] * a[2]).slice(0, 12);
for (const [p, ms, n] of slow) console.log(`  ${p.padEnd(44)} ${ms.toFixed(0)} ms mean of ${n}`);
// Sixteen at once on the list of shoots.
const begun = performance.now();
const lists = await Promise.all(Array.from({ length: 16 }, () => get("/shoots")));
console.log(`16 × GET /shoots   ${(performance.now() - begun).toFixed(0)} ms, ${lists.filter((l) => l.status !== 200).length} failed   (2,000 ms allowed)`);
process.exit(bad.length ? 1 : 0);
