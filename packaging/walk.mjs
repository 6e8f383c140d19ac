// Starts the jar as its users get it, with demo data, and asks it for all that its pages lead to, of addresses that differ by numbers alone a few;
// reads and stacks frames with its commands and brings places in. Fails where an answer or the log tells of a fault: a class that was left out
// of the jar and is missed shows here.
import { spawn } from "node:child_process";
import { mkdtempSync, rmSync, statSync, writeFileSync } from "node:fs";
import { request } from "node:https";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

const jar = process.argv[2];
const each = Number(process.argv[3] ?? 2);
const folder = mkdtempSync(join(tmpdir(), "half-dusk-walk"));
const options = ["-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx320m", "-Dspring.aot.enabled=true", "-jar", jar];
const phonePort = await new Promise((found) => {
  const free = createServer().listen(0, "127.0.0.1", () => {
    const { port } = free.address();
    free.close(() => found(port));
  });
});
const server = spawn("java", [...options, `--halfdusk.phone.port=${phonePort}`, "--spring.profiles.active=demo", "--server.port=0", `--halfdusk.data=${folder}`]);
let log = "";
const faults = [];
const listening = new Promise((found, failed) => {
  const heard = (chunk) => {
    log += chunk;
    const at = log.match(/Half Dusk is at (http:\S+)\//);
    if (at) found(at[1]);
  };
  server.stdout.on("data", heard);
  server.stderr.on("data", heard);
  server.on("exit", () => failed(new Error(`the jar did not start:\n${log}`)));
});

const cookies = new Map();
async function ask(address, init = {}) {
  const headers = { cookie: [...cookies].map(([k, v]) => `${k}=${v}`).join("; "), ...init.headers };
  const answer = await fetch(address, { redirect: "manual", ...init, headers });
  for (const c of answer.headers.getSetCookie()) cookies.set(...c.split(";")[0].split(/=(.*)/s));
  return answer;
}

async function pages(base) {
  const known = new Map();
  const due = [];
  const meet = (link, from) => {
    const url = new URL(link.replaceAll("&amp;", "&"), from);
    url.hash = "";
    if (url.origin !== base) return;
    const alike = url.pathname.replace(/\d[\d:.-]*/g, "#") + [...url.searchParams.keys()].sort();
    const met = known.get(alike) ?? new Set();
    if (met.size >= each || met.has(url.href)) return;
    known.set(alike, met.add(url.href));
    due.push(url.href);
  };
  for (const path of ["/nights", "/first", "/phone", "/api/v1/openapi.json"]) meet(path, base);
  let asked = 0;
  for (let url = due.shift(); url; url = due.shift()) {
    const answer = await ask(url);
    const body = Buffer.from(await answer.arrayBuffer());
    asked++;
    if (answer.status >= 400) faults.push(`${answer.status} ${url}`);
    if (answer.status >= 300 && answer.status < 400) meet(answer.headers.get("location"), url);
    if ((answer.headers.get("content-type") ?? "").startsWith("text/html"))
      for (const [, link] of body.toString().matchAll(/\s(?:href|src|hx-get|data-src|data-url)="([^"#][^"]*)"/g)) meet(link, url);
  }
  return asked;
}

// One file of each format, as other programs write them; what would be brought in is shown before it is.
const PLACES = {
  "a.gpx": '<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="35.9" lon="-3.1"><name>Walked to</name></wpt></gpx>',
  "a.kml":
    '<kml xmlns="http://www.opengis.net/kml/2.2"><Placemark><name>Walked to</name><Point><coordinates>-3.1,35.9</coordinates></Point></Placemark></kml>',
  "a.geojson": '{"type":"Feature","properties":{"name":"Walked to"},"geometry":{"type":"Point","coordinates":[-3.1,35.9]}}',
  "a.csv": "name,lat,lon\nWalked to,35.9,-3.1\n",
};
const token = async (address) => (await (await ask(address)).text()).match(/name="_csrf"[^>]*value="([^"]*)"/)[1];
/** Phones come in by a door of its own, with certificates that are made when it is opened. */
async function phone(base) {
  const body = new URLSearchParams({ _csrf: await token(`${base}/phone`), action: "on", password: "waning-gibbous" });
  const opened = await ask(`${base}/phone`, { method: "POST", body });
  if (opened.status !== 302) return faults.push(`${opened.status} opening the phones' door`);
  const status = await new Promise((found) =>
    request({ host: "127.0.0.1", port: phonePort, path: "/nights", rejectUnauthorized: false }, (r) => found(r.statusCode))
      .on("error", (e) => found(e.message)).end());
  if (status !== 401) faults.push(`${status} at the phones' door without a password; 401 is right`);
}

async function bringIn(base) {
  const address = `${base}/places/formats`;
  const csrf = await token(address);
  for (const [name, text] of Object.entries(PLACES)) {
    const body = new FormData();
    body.set("_csrf", csrf);
    body.set("file", new Blob([text]), name);
    const answer = await ask(address, { method: "POST", body });
    if (answer.status !== 200 || !(await answer.text()).includes("Walked to")) faults.push(`${answer.status} looking into ${name}`);
  }
}

function command(...args) {
  return new Promise((over) => {
    let said = "";
    let wrong = "";
    const run = spawn("java", [...options.slice(0, -2), "-jar", jar, ...args]);
    run.stdout.on("data", (d) => (said += d));
    run.stderr.on("data", (d) => (wrong += d));
    run.on("close", (code) => {
      if (code !== 0) faults.push(`${args[0]} ended with ${code}: ${wrong.slice(0, 300)}`);
      over(said);
    });
  });
}

/** A frame of stars as a plain TIFF of eight bits (TIFF 6.0, part 1), no two alike. */
function frame(number) {
  const [width, height] = [240, 160];
  const tags = [[256, width], [257, height], [258, 8], [259, 1], [262, 1], [273, 122], [277, 1], [278, height], [279, width * height]];
  const bytes = Buffer.alloc(122 + width * height, 12);
  bytes.write("II*\0\b\0\0\0", 0, "latin1");
  bytes.writeUInt16LE(tags.length, 8);
  tags.forEach(([tag, value], i) => {
    bytes.writeUInt16LE(tag, 10 + 12 * i);
    bytes.writeUInt16LE(4, 12 + 12 * i);
    bytes.writeUInt32LE(1, 14 + 12 * i);
    bytes.writeUInt32LE(value, 18 + 12 * i);
  });
  bytes.writeUInt32LE(0, 118);
  for (let n = 0; n < 60; n++) bytes[122 + ((n * 37 + 11) % height) * width + ((n * 101 + number) % width)] = 240;
  return bytes;
}

async function frames() {
  const taken = [0, 1].map((n) => join(folder, `frame-${n}.tif`));
  taken.forEach((file, n) => writeFileSync(file, frame(n)));
  const made = ["walk.tif", "walk.jpg"].map((name) => join(folder, name));
  for (const out of made) await command("stack", "--mode", "mean", "--align", "none", "--out", out, ...taken);
  const read = (await command("read", ...made)).trim().split("\n").map((line) => JSON.parse(line));
  if (read.length !== 2) faults.push(`${read.length} of 2 stacks can be read`);
}

try {
  const base = await listening;
  await phone(base);
  const commands = frames();
  const asked = await pages(base);
  await bringIn(base);
  await commands;
  server.removeAllListeners("exit");
  for (const line of log.split("\n").filter((l) => /SEVERE|WARNING|Exception|Error/.test(l)).slice(0, 20)) faults.push(`in the log: ${line}`);
  if (asked < 80) faults.push(`only ${asked} addresses were found`);
  console.log(`the jar, ${(statSync(jar).size / 1e6).toFixed(2)} MB: ${asked} addresses asked, ${Object.keys(PLACES).length} files of places, phones let in, frames read and stacked; ${faults.length} faults`);
} finally {
  server.removeAllListeners("exit");
  await new Promise((over) => server.once("exit", over).kill());
  rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
}
for (const f of faults) console.log(`FAILED: ${f}`);
process.exit(faults.length ? 1 : 0);
