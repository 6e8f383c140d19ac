// Compiled against the client that is generated from the description, then run against the application: every operation is called
// once, and what comes back is used as its types say.
import { readFileSync } from "node:fs";
import { client } from "./client/client.gen.js";
import * as api from "./client/sdk.gen.js";

const [, , base, picture] = process.argv;
client.setConfig({ baseUrl: base + "/api/v1" });
const place = { lat: 35.952, lon: -3.048 };
const span = { from: "2027-06-01T00:00:00Z", to: "2027-08-30T00:00:00Z" };
const called: string[] = [];

async function good<T>(name: string, answer: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await answer;
  if (data === undefined) throw new Error(name + " answered " + response.status + " " + JSON.stringify(error));
  called.push(name);
  return data;
}
function holds(what: string, is: boolean) {
  if (!is) throw new Error("not so: " + what);
}

const sky = await good("sky", api.sky({ query: { ...place, at: "2027-06-06T01:00:00Z" } }));
holds("the core stands 25° up", Math.abs(sky.galacticCentre.altitude - 25) < 1);
const events = await good("skyEvents", api.skyEvents({ query: { ...place, ...span } }));
holds("events in order", events.events.length > 1000 && events.events[0].at < events.events[1].at);
const schools = await good("sharpness", api.sharpness({ query: { focalLength: 18, aperture: 2, pixelPitch: 5.1, crop: 1, declination: -29 } }));
holds("six schools", schools.schools.length === 6);
const exposure = await good("skyExposure", api.skyExposure({ query: { skyBrightness: 21.4, aperture: 2, seconds: 20, iso: 2500 } }));
holds("a histogram", exposure.histogramPosition > 0 && exposure.histogramPosition < 1);
for (const subject of ["MILKY_WAY", "STAR_TRAILS", "MOON", "LUNAR_ECLIPSE", "SOLAR_ECLIPSE", "FIREWORKS", "TOWN"] as const) {
  const nights = await good("nights", api.nights({ query: { ...place, from: "2027-06-04", to: "2027-06-06", subject } }));
  holds(subject + " of three nights", nights.nights.length === 3 && nights.subject === subject && nights.nights[0].score >= 0);
}
const lunar = await good("lunarEclipses", api.lunarEclipses({ query: { from: "2026-08-01T00:00:00Z", to: "2026-09-01T00:00:00Z" } }));
holds("the partial one of August 2026", lunar.eclipses[0].type === "PARTIAL");
const solar = await good("solarEclipses", api.solarEclipses({ query: { ...place, ...span } }));
holds("totality in August 2027", solar.eclipses[0].type === "TOTAL" && solar.eclipses[0].filterOff !== null);
const phases = await good("moonPhases", api.moonPhases({ query: span }));
holds("phases and apsides", phases.phases.length > 10 && phases.apsides.length > 4);
const declination = await good("declination", api.declination({ query: { ...place, at: "2027-06-06T01:00:00Z" } }));
holds("a declination", Math.abs(declination.declination) < 5 && declination.valid);
const brightness = await good("skyBrightness", api.skyBrightness({ query: { ...place, at: "2027-06-06T01:00:00Z", altitude: 45, azimuth: 180 } }));
holds("a dark sky", brightness.magnitude > 20);
const shoots = await good("shoots", api.shoots());
holds("the demo's shoots", shoots.shoots.length > 5 && shoots.shoots[0].place.zone.length > 0);
const id = 1;
const plan = await good("shootPlan", api.shootPlan({ path: { id } }));
holds("a setting with its reasons", plan.seconds > 0 && plan.reasons[0].because.length > 0);
const programme = await good("shootProgramme", api.shootProgramme({ path: { id } }));
holds("blocks with frames", programme.blocks.some((b) => b.frames.length > 0));
const rehearsal = await good("shootRehearsal", api.shootRehearsal({ path: { id }, query: { seed: 3 } }));
holds("what happened", rehearsal.events.length > 0);
const frame = new Blob([readFileSync(picture)], { type: "image/jpeg" });
const read = await good("readFrame", api.readFrame({ headers: { "X-Half-Dusk": "1" }, body: { frame } as never }));
holds("a size", read.size.width > 0);
const missing = await api.shootPlan({ path: { id: 99999 } });
holds("a problem document for what is not there", missing.response.status === 404 && missing.response.headers.get("content-type") === "application/problem+json");
const wrong = await api.sky({ query: { lat: 95, lon: 0, at: "2027-06-06T01:00:00Z" } });
holds("a problem document that names the parameter", wrong.response.status === 400 && JSON.stringify(wrong.error).includes('"lat"'));
const described = Object.keys(api);
const forgotten = described.filter((name) => !called.includes(name));
holds("every operation was called: " + forgotten, forgotten.length === 0);
console.log("called " + [...new Set(called)].length);
