// Builds what the pages need into the given folder: style sheet, htmx, our script, fonts.
// npm ci runs only when the lock file changed, Tailwind only when styles or templates changed.
import { createHash } from "node:crypto";
import { execFileSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";

const out = join(resolve(process.argv[2]), "assets");
const stamps = resolve(process.argv[2], "../../frontend");
mkdirSync(out, { recursive: true });
mkdirSync(stamps, { recursive: true });

const filesBelow = (dir) =>
  readdirSync(dir).sort().flatMap((n) => {
    const p = join(dir, n);
    return statSync(p).isDirectory() ? filesBelow(p) : [p];
  });
const hash = (files) => {
  const h = createHash("sha256");
  for (const f of files) h.update(f).update(readFileSync(f));
  return h.digest("hex");
};
const unlessDone = (name, files, wanted, work) => {
  const stamp = join(stamps, name);
  const now = hash(files);
  if (wanted.every(existsSync) && existsSync(stamp) && readFileSync(stamp, "utf8") === now) return;
  work();
  writeFileSync(stamp, now);
};
const run = (command, args) => execFileSync(command, args, { stdio: ["ignore", "inherit", "inherit"], shell: false });

unlessDone("npm", ["package-lock.json"], ["node_modules"], () =>
  run("npm", ["ci", "--ignore-scripts", "--no-audit", "--no-fund"]));

const templates = filesBelow("../src/main/resources/templates");
unlessDone("css", ["app.css", "package-lock.json", ...templates], [join(out, "app.css")], () =>
  run("node_modules/.bin/tailwindcss", ["-i", "app.css", "-o", join(out, "app.css"), "--minify"]));

for (const script of ["first.js", "app.js", "frame.js", "run.js", "rehearse.js", "practise.js", "run.css", "sw.js", "card.css"]) cpSync(script, join(out, script));
cpSync("node_modules/htmx.org/dist/htmx.min.js", join(out, "htmx.js"));
for (const font of ["DejaVuSans.ttf", "DejaVuSans-Bold.ttf"]) cpSync(`node_modules/dejavu-fonts-ttf/ttf/${font}`, join(out, font));
for (const subset of ["latin", "latin-ext"]) {
  const font = `atkinson-hyperlegible-next-${subset}-wght-normal.woff2`;
  cpSync(`node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/${font}`, join(out, font));
}
