// kill -9 while it saves, while it brings 2,000 places in, and while it migrates an older file; then: is all that was answered there?
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, readFileSync, existsSync, mkdirSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const kills = Number(process.argv[2] ?? 200);
const app = join(root, "web/target/run");
if (!existsSync(join(app, "half-dusk.jar"))) {
  console.error("Build it first: HALFDUSK_PREPARE_ONLY=1 ./run");
  process.exit(2);
}
const sqlite = spawnSync("sqlite3", ["-version"]).status === 0;
if (!sqlite) console.log("sqlite3 is not installed: migrations and integrity by its own check are skipped");
const data = mkdtempSync(join(tmpdir(), "half-dusk-kills-"));
const port = 8600 + Math.floor(Math.random() * 300);
const base = "http://127.0.0.1:" + port;
const pause = (ms) => new Promise((r) => setTimeout(r, ms));

const start = (folder) =>
  spawn("java", ["-XX:SharedArchiveFile=" + join(app, "half-dusk.jsa"), "-Xshare:auto", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx320m",
    "-jar", join(app, "half-dusk.jar"), "--spring.profiles.active=demo", "--halfdusk.data=" + folder, "--server.port=" + port], { stdio: "ignore" });
const gone = (child) => new Promise((r) => (child.exitCode !== null || child.signalCode !== null ? r() : child.once("exit", r)));
const ready = async (child) => {
  for (let i = 0; i < 600; i++) {
    if (child.exitCode !== null) throw new Error("it did not start: exit code " + child.exitCode);
    try {
      return await session();
    } catch {
      await pause(50);
    }
  }
  throw new Error("it did not answer within 30 s");
};
const session = async () => {
  const r = await fetch(base + "/keys");
  const cookie = r.headers.getSetCookie().map((c) => c.split(";")[0]).join("; ");
  return { cookie, token: /name="csrf" content="([^"]+)"/.exec(await r.text())[1] };
};
const post = (s, path, form) =>
  fetch(base + path, { method: "POST", redirect: "manual", headers: { cookie: s.cookie, "content-type": "application/x-www-form-urlencoded" }, body: new URLSearchParams({ _csrf: s.token, ...form }) });
const backup = async () => (await fetch(base + "/backup.json")).json();
const integrity = (folder) =>
  !sqlite || spawnSync("sqlite3", [join(folder, "half-dusk.db"), "PRAGMA integrity_check"]).stdout.toString().trim() === "ok";

const shoots = [1, 2, 3, 4];
const said = new Map(shoots.map((s) => [s, 0]));
const sent = new Map(shoots.map((s) => [s, 0]));
const shown = new Map();
let stop = false;
const save = async (s, shoot) => {
  while (!stop) {
    const next = sent.get(shoot) + 1;
    sent.set(shoot, next);
    try {
      const r = await post(s, `/shoots/${shoot}/night`, { NOTES: "save " + next, "was.NOTES": shown.get(shoot) });
      if (r.status !== 302) {
        faults.push(`shoot ${shoot} was answered ${r.status}`);
        return;
      }
      said.set(shoot, next);
      shown.set(shoot, "save " + next);
    } catch {
      return; // killed in the middle of it
    }
  }
};
const faults = [];
let acknowledged = 0;
let lost = 0;
let imports = 0;
let halves = 0;
let migrations = 0;
const begun = Date.now();

for (let k = 1; k <= kills; k++) {
  const kind = sqlite && k % 8 === 0 ? "migration" : k % 8 === 4 ? "import" : "saves";
  if (kind === "migration") {
    // A file of an older version, killed while it is brought up to date, then opened again.
    const folder = join(data, "old" + k);
    mkdirSync(folder);
    const version = 1 + (k / 8) % 8;
    const sql = readFileSync(join(root, `store/src/test/resources/org/halfdusk/store/schema/${version}.sql`));
    spawnSync("sqlite3", [join(folder, "half-dusk.db")], { input: sql });
    const child = start(folder);
    await pause(600 + Math.random() * 2600);
    child.kill("SIGKILL");
    await gone(child);
    const again = start(folder);
    try {
      await ready(again);
      const b = await backup();
      if (!b.shoots.some((s) => s.it.title === "Core over the tower" && s.it.notes === "a note")) faults.push(`kill ${k}: the older file lost its shoot`);
    } catch (e) {
      faults.push(`kill ${k}: ${e.message}`);
    }
    again.kill("SIGKILL");
    await gone(again);
    if (!integrity(folder)) faults.push(`kill ${k}: integrity`);
    rmSync(folder, { recursive: true });
    migrations++;
    continue;
  }
  const child = start(data);
  const s = await ready(child);
  const b = await backup();
  for (const shoot of shoots) {
    const notes = b.shoots.find((x) => x.id === shoot)?.it.notes ?? "";
    const there = notes.startsWith("save ") ? Number(notes.slice(5)) : 0;
    if (there < said.get(shoot) || there > sent.get(shoot)) {
      lost++;
      faults.push(`kill ${k}: shoot ${shoot} has ${notes}, ${said.get(shoot)} was answered`);
    }
    said.set(shoot, there);
    sent.set(shoot, there);
    shown.set(shoot, notes);
  }
  const stones = b.places.filter((p) => p.it.name.startsWith("Stone ")).length;
  if (stones % 2000 !== 0) {
    halves++;
    faults.push(`kill ${k}: ${stones} places of imports of 2,000`);
  }
  stop = false;
  const before = [...said.values()].reduce((a, c) => a + c, 0);
  if (kind === "import") {
    imports++;
    const gpx = '<gpx version="1.1">' + Array.from({ length: 2000 }, (_, i) => `<wpt lat="${35 + (i % 90) / 100}" lon="${-3 - (k % 90) / 100}"><name>Stone ${k} ${i}</name></wpt>`).join("") + "</gpx>";
    const form = new FormData();
    form.set("_csrf", s.token);
    form.set("file", new Blob([gpx]), "stones.gpx");
    // Looked into first, then taken whole: the kill falls into either.
    fetch(base + "/places/formats", { method: "POST", headers: { cookie: s.cookie }, body: form })
      .then((r) => r.text())
      .then((page) => {
        const take = new URLSearchParams({ _csrf: s.token, ticket: page.match(/name="ticket" value="([^"]+)"/)[1] });
        for (let i = 0; i < 2000; i++) take.append("point", String(i));
        return fetch(base + "/places/formats/take", { method: "POST", headers: { cookie: s.cookie }, body: take });
      })
      .catch(() => {});
  }
  // The first answer of a start is slow; kills are to fall among many.
  await fetch(base + "/shoots/1/night");
  const savers = shoots.map((shoot) => save(s, shoot));
  await pause(50 + Math.random() * 2500);
  child.kill("SIGKILL");
  stop = true;
  await gone(child);
  await Promise.all(savers);
  acknowledged += [...said.values()].reduce((a, c) => a + c, 0) - before;
  if (!integrity(data)) faults.push(`kill ${k}: integrity`);
  if (k % 10 === 0) process.stderr.write(`${k} kills, ${acknowledged} saves, ${faults.length} faults\n`);
}
console.log(`kills ${kills} (${migrations} while migrating, ${imports} while bringing 2,000 places in), ${acknowledged} acknowledged saves, ${lost} lost, ${halves} half imports, ${faults.length} faults, ${Math.round((Date.now() - begun) / 1000)} s`);
faults.slice(0, 10).forEach((f) => console.log("  " + f));
rmSync(data, { recursive: true, force: true });
process.exit(faults.length ? 1 : 0);
