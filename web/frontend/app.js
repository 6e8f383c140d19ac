// Makes the pages quick; all of them work without it. No rules of the job live here.
"use strict";

// Every change carries the token of the page; forms have it in a field, other requests get it here.
document.addEventListener("htmx:config:request", (event) => {
  const meta = document.querySelector('meta[name="csrf"]');
  if (meta) event.detail.ctx.request.headers["X-XSRF-TOKEN"] = meta.content;
});

// Changes go one after another: a form that is sent while an answer is still under way waits for it, with what it held when it
// was sent. What the answer has changed on the page since is what this form has "seen", or it would clash with itself.
document.addEventListener("submit", (event) => {
  if (event.target.method === "post") event.target.setAttribute("hx-sync", "body:queue all");
}, true);
document.addEventListener("htmx:before:request", (event) => {
  const request = event.detail.ctx.request;
  if (!(request.body instanceof URLSearchParams)) return;
  for (const name of [...request.body.keys()].filter((k) => k.startsWith("was."))) {
    const now = document.querySelector('form[method="post"] input[type="hidden"][name="' + CSS.escape(name) + '"]');
    if (now && now.closest("form").getAttribute("action") === request.form?.getAttribute("action")) request.body.set(name, now.value);
  }
});

// Forms that save by themselves do so when a field has changed. Enter in a changed field is a change and a sending at
// once: the form has gone by then, and goes once.
let gone = null;
document.addEventListener("change", (event) => {
  const form = event.target.closest("form[data-autosave]");
  if (!form || !form.checkValidity()) return;
  form.requestSubmit();
  if (!event.isTrusted) return;
  gone = form;
  setTimeout(() => (gone = null));
});
document.addEventListener("submit", (event) => {
  if (event.target !== gone) return;
  event.preventDefault();
  event.stopImmediatePropagation();
}, true);

// What draws the frame is long, and asked for only where there is one.
const withFrame = () => {
  const own = document.querySelector("script[data-drawer]");
  if (!own || !document.querySelector("canvas[data-frame]") || document.querySelector("script[data-drawing]")) return;
  const script = document.createElement("script");
  script.src = own.dataset.drawer;
  script.dataset.drawing = "true";
  document.head.append(script);
};
document.addEventListener("DOMContentLoaded", withFrame);
document.addEventListener("htmx:after:swap", withFrame);

// So is what counts the night down; each answer with a run begins to count anew.
const withRun = () => {
  const own = document.querySelector("script[data-runner]");
  if (!own || !document.querySelector("[data-run]:not([data-counting]), [data-clock]:not([data-counting])")) return;
  for (const source of [own.dataset.runner, ...(document.querySelector("[data-rehearsal]") ? [own.dataset.rehearser] : [])]) {
    const script = document.createElement("script");
    script.src = source;
    document.head.append(script);
  }
};
document.addEventListener("DOMContentLoaded", withRun);
document.addEventListener("htmx:after:swap", withRun);

const typing = (element) => element.closest("input, textarea, select, [contenteditable]") !== null;
const go = (href) => {
  const link = document.createElement("a");
  link.href = href;
  link.hidden = true;
  document.body.append(link);
  if (window.htmx) window.htmx.process(link);
  link.click();
  link.remove();
};

// The night strip: drag or arrow keys move the playhead, letting go shows that moment.
const strip = {
  of: () => document.querySelector("[data-strip]"),
  at: (el) => Date.parse(el.dataset.at),
  place(el, time) {
    const from = Date.parse(el.dataset.from);
    const to = Date.parse(el.dataset.to);
    const inside = Math.min(to, Math.max(from, Math.round(time / 60000) * 60000));
    const share = (inside - from) / (to - from), percent = share * 100 + "%";
    el.querySelectorAll("[data-head]").forEach((h) => {
      for (const a of h.dataset.head.split(" ")) h.setAttribute(a, percent);
    });
    const twelve = el.dataset.hours === "12";
    const form = { hour: twelve ? "numeric" : "2-digit", minute: "2-digit", hour12: twelve, timeZone: el.dataset.zone };
    const clock = new Intl.DateTimeFormat(twelve ? "en-US" : "en-GB", form);
    // An hour that clocks show twice is told by its offset.
    const twice = [-3600000, 3600000].some((off) => clock.format(inside + off) === clock.format(inside));
    const text = clock.format(inside).toLowerCase() + (twice ? " " + new Intl.DateTimeFormat("en-GB", { timeZone: el.dataset.zone, timeZoneName: "shortOffset" })
      .formatToParts(inside).find((part) => part.type === "timeZoneName").value.replace("GMT", "UTC").replace("-", "\u2212") : "");
    const word = el.querySelector("[data-head-text]");
    word.textContent = text;
    const width = text.length > 8 ? 104 : twelve ? 64 : 48;
    // Towards the strip's ends the box leans inwards, as it is drawn at first.
    const near = Math.min(0.5, Math.min(share, 1 - share) / 0.13 / 2);
    const left = -width * (share < 0.5 ? near : 1 - near);
    const box = el.querySelector("[data-head-box]");
    box.setAttribute("x", String(left));
    box.setAttribute("width", String(width));
    word.setAttribute("x", String(left + width / 2));
    el.setAttribute("aria-valuenow", String(Math.round((inside - from) / 60000)));
    el.setAttribute("aria-valuetext", text);
    el.dataset.at = new Date(inside).toISOString();
    document.dispatchEvent(new CustomEvent("playhead", { detail: inside }));
  },
  show(el) {
    const map = document.querySelector("[data-map-box]:not([data-map-pick]) [data-map]");
    if (map && el.dataset.ask) {
      const m = chart.numbers(map);
      const ask = new URLSearchParams(el.dataset.ask);
      for (const [name, value] of [["lat", m.lat], ["lon", m.lon], ["zoom", m.zoom]]) ask.set(name, value);
      go(location.pathname + "?" + ask + "&at=" + el.dataset.at);
    } else go(location.pathname + "?at=" + el.dataset.at);
  },
};
// The carpet: a column a night; what a night is stands in the table of all nights, which the panel repeats.
const carpet = {
  of: () => document.querySelector("[data-carpet]"),
  rows: () => document.querySelectorAll("#year tbody tr"),
  at: (el) => Number(el.getAttribute("aria-valuenow")),
  show(el, index) {
    const rows = carpet.rows();
    const i = Math.max(0, Math.min(rows.length - 1, index));
    const row = rows[i];
    const percent = (x) => (x / rows.length) * 100 + "%";
    const now = el.querySelector("[data-carpet-now]");
    now.setAttribute("x", percent(i));
    now.setAttribute("visibility", "visible");
    const label = el.querySelector("[data-carpet-label]");
    label.setAttribute("x", percent(i + 0.5));
    label.setAttribute("visibility", "visible");
    label.querySelector("text").textContent = row.cells[0].textContent;
    el.setAttribute("aria-valuenow", String(i));
    el.setAttribute("aria-valuetext", Array.from(row.cells, (c) => c.textContent).join(", "));
    const panel = document.querySelector("[data-carpet-panel]");
    panel.querySelector("[data-panel-title]").textContent = row.cells[0].textContent;
    const heads = document.querySelectorAll("#year thead th");
    const list = panel.querySelector("[data-panel-list]");
    list.replaceChildren();
    for (let c = 1; c < row.cells.length; c++) {
      if (!row.cells[c].textContent) continue;
      const dt = document.createElement("dt");
      dt.textContent = heads[c].textContent;
      const dd = document.createElement("dd");
      dd.textContent = row.cells[c].textContent;
      list.append(dt, dd);
    }
    const plan = panel.querySelector("[data-panel-plan]");
    plan.hidden = false;
    plan.querySelector("[name=night]").value = new URL(row.querySelector("a").href).pathname.split("/").pop();
  },
  open(el) {
    go(carpet.rows()[carpet.at(el)].querySelector("a").getAttribute("href"));
  },
  index(el, event) {
    const box = el.getBoundingClientRect();
    return Math.floor(((event.clientX - box.left) / box.width) * carpet.rows().length);
  },
  next(el) {
    const rows = Array.from(carpet.rows());
    const i = rows.findIndex((r, k) => k > carpet.at(el) && r.dataset.good);
    if (i >= 0) carpet.show(el, i);
  },
};
// On a small screen the carpet scrolls: it begins where nights are ranked.
const unroll = () => {
  const el = carpet.of();
  const box = el && el.parentElement;
  if (box && box.scrollLeft === 0 && box.scrollWidth > box.clientWidth)
    box.scrollLeft = (Number(el.dataset.begin) / (Number(el.getAttribute("aria-valuemax")) + 1)) * box.scrollWidth - 20;
};
document.addEventListener("DOMContentLoaded", unroll);
document.addEventListener("htmx:after:swap", unroll);
document.addEventListener("pointermove", (event) => {
  const el = event.target.closest && event.target.closest("[data-carpet]");
  if (el) carpet.show(el, carpet.index(el, event));
});
document.addEventListener("click", (event) => {
  const el = event.target.closest("[data-carpet]");
  if (!el) return;
  carpet.show(el, carpet.index(el, event));
  carpet.open(el);
});

let dragging = null;
let waiting = 0;
document.addEventListener("pointerdown", (event) => {
  const el = event.target.closest("[data-strip]");
  if (!el || event.button !== 0) return;
  dragging = el;
  move(event);
});
const move = (event) => {
  const box = dragging.getBoundingClientRect();
  const from = Date.parse(dragging.dataset.from);
  const to = Date.parse(dragging.dataset.to);
  strip.place(dragging, from + ((event.clientX - box.left) / box.width) * (to - from));
};
document.addEventListener("pointermove", (event) => dragging && move(event));
document.addEventListener("pointerup", () => {
  if (!dragging) return;
  const el = dragging;
  dragging = null;
  strip.show(el);
});

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
  if (document.documentElement.dataset.keys === "off") return;
  const year = document.activeElement && document.activeElement.closest("[data-carpet]");
  if (year && ["ArrowLeft", "ArrowRight", "Enter", "Home", "End"].includes(event.key)) {
    event.preventDefault();
    if (event.key === "Enter") carpet.open(year);
    else if (event.key === "Home") carpet.show(year, 0);
    else if (event.key === "End") carpet.show(year, carpet.rows().length - 1);
    else carpet.show(year, carpet.at(year) + (event.shiftKey ? 7 : 1) * (event.key === "ArrowLeft" ? -1 : 1));
    return;
  }
  const el = strip.of();
  if (el && (event.key === "ArrowLeft" || event.key === "ArrowRight")) {
    event.preventDefault();
    const minutes = (event.shiftKey ? 1 : 5) * (event.key === "ArrowLeft" ? -1 : 1);
    strip.place(el, strip.at(el) + minutes * 60000);
    clearTimeout(waiting);
    waiting = setTimeout(() => strip.show(el), 250);
  } else if (event.key === "n") {
    if (carpet.of()) carpet.next(carpet.of());
    else {
      // Another night changes the shoot: nothing is saved by one key without asking.
      const night = document.querySelector("[data-next-good]");
      if (night && window.confirm("Move this shoot to the " + night.textContent.trim().toLowerCase() + "? Undo takes it back.")) night.click();
    }
  } else if (event.key === "?") {
    go("/keys");
  }
});

document.addEventListener("click", (event) => {
  const copy = event.target.closest("[data-copy]");
  if (!copy) return;
  const done = () => {
    copy.textContent = "Copied";
    setTimeout(() => (copy.textContent = "Copy"), 1500);
  };
  navigator.clipboard?.writeText(copy.dataset.copy).then(done, () => {});
});

// The map: the server draws the sheet; here it is only moved until a new one has come. Mercator both ways for the pointer.
const chart = {
  drag: null,
  middle: 620,
  numbers: (el) => ({ lat: Number(el.dataset.lat), lon: Number(el.dataset.lon), zoom: Number(el.dataset.zoom), scale: Number(el.dataset.scale) }),
  unit(el, event) {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(el.getScreenCTM().inverse());
    return { x: p.x, y: p.y };
  },
  north: (lat) => 0.5 - Math.asinh(Math.tan((lat * Math.PI) / 180)) / (2 * Math.PI),
  south: (y) => (Math.atan(Math.sinh(Math.PI * (1 - 2 * y))) * 180) / Math.PI,
  place(el, x, y) {
    const m = chart.numbers(el);
    const lon = m.lon + ((x - chart.middle) / m.scale) * 360;
    return { lat: chart.south(chart.north(m.lat) + (y - 260) / m.scale), lon: ((((lon + 180) % 360) + 360) % 360) - 180 };
  },
  async show(el, lat, lon, zoom) {
    const box = el.closest("[data-map-box]");
    const url = "/map/sheet?lat=" + lat.toFixed(6) + "&lon=" + lon.toFixed(6) + "&zoom=" + Math.max(1, Math.min(17, zoom)) + (box.dataset.rest || "");
    const answer = await fetch(url);
    if (!answer.ok) return;
    const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector("[data-map]");
    const focused = document.activeElement === el;
    el.replaceWith(fresh);
    if (focused) fresh.focus();
    chart.pin(fresh);
  },
  // The ring at the position that the form holds.
  pin(el) {
    const pick = el.closest("[data-map-pick]");
    const lat = document.getElementById("latitude");
    if (!pick || !lat) return;
    const at = { lat: Number(lat.value), lon: Number(document.getElementById("longitude").value) };
    if (lat.value.trim() === "" || Number.isNaN(at.lat + at.lon)) return;
    chart.ring(el, at);
  },
  ring(el, at) {
    const m = chart.numbers(el);
    const x = chart.middle + ((at.lon - m.lon) / 360) * m.scale;
    const y = 260 + (chart.north(at.lat) - chart.north(m.lat)) * m.scale;
    const pin = el.querySelector("[data-map-pin]");
    pin.setAttribute("transform", "translate(" + x + " " + y + ")");
    pin.setAttribute("visibility", "visible");
  },
  choose(el, at) {
    const lat = at.lat.toFixed(5);
    const lon = at.lon.toFixed(5);
    if (el.closest("[data-map-pick]")) {
      document.getElementById("latitude").value = lat;
      document.getElementById("longitude").value = lon;
      chart.pin(el);
      return;
    }
    const link = document.querySelector("[data-map-new]");
    if (!link) return;
    link.href = "/places/new?latitude=" + lat + "&longitude=" + lon;
    link.textContent = "New place at " + lat + ", " + lon;
    document.querySelector("[data-map-plan]").href = "/first?where=" + lat + "%2C+" + lon;
    document.querySelector("[data-map-chosen]").hidden = false;
    chart.ring(el, at);
  },
};
// Two fingers: how far they have come apart decides the zoom when they are lifted; meanwhile the drawing stretches.
const pinch = {
  fingers: new Map(),
  el: null,
  from: 0,
  by: 1,
  apart: () => {
    const [a, b] = [...pinch.fingers.values()];
    return Math.hypot(a.x - b.x, a.y - b.y);
  },
  begin(el) {
    chart.drag = null;
    pinch.el = el;
    pinch.from = pinch.apart();
    pinch.by = 1;
  },
  move() {
    pinch.by = pinch.apart() / Math.max(1, pinch.from);
    const layer = pinch.el.querySelector("[data-map-layer]");
    layer.setAttribute("transform", "translate(" + chart.middle * (1 - pinch.by) + " " + 260 * (1 - pinch.by) + ") scale(" + pinch.by + ")");
  },
  end() {
    const el = pinch.el;
    pinch.el = null;
    const m = chart.numbers(el);
    const steps = Math.round(Math.log2(pinch.by));
    if (steps === 0) el.querySelector("[data-map-layer]").removeAttribute("transform");
    else chart.show(el, m.lat, m.lon, m.zoom + steps);
  },
};
document.addEventListener("pointerdown", (event) => {
  const el = event.target.closest && event.target.closest("[data-map]");
  if (!el || event.button !== 0) return;
  pinch.fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
  if (pinch.fingers.size === 2) return pinch.begin(el);
  const onPin = event.target.closest("[data-map-pin]") !== null;
  chart.drag = { el, from: chart.unit(el, event), moved: false, onPin };
  if (!event.target.closest("a")) event.preventDefault();
  el.focus({ preventScroll: true });
});
document.addEventListener("pointermove", (event) => {
  if (pinch.fingers.has(event.pointerId)) pinch.fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
  if (pinch.el) return pinch.move();
  const d = chart.drag;
  if (!d) return;
  const now = chart.unit(d.el, event);
  if (Math.hypot(now.x - d.from.x, now.y - d.from.y) > 4) d.moved = true;
  if (!d.moved) return;
  if (d.onPin) chart.choose(d.el, chart.place(d.el, now.x, now.y));
  else d.el.querySelector("[data-map-layer]").setAttribute("transform", "translate(" + (now.x - d.from.x) + " " + (now.y - d.from.y) + ")");
});
document.addEventListener("pointercancel", (event) => {
  pinch.fingers.delete(event.pointerId);
  if (pinch.el) pinch.end();
});
document.addEventListener("pointerup", (event) => {
  pinch.fingers.delete(event.pointerId);
  if (pinch.el) return pinch.end();
  const d = chart.drag;
  chart.drag = null;
  if (!d) return;
  const now = chart.unit(d.el, event);
  if (!d.moved) {
    if (!event.target.closest("[data-map-stand]")) chart.choose(d.el, chart.place(d.el, now.x, now.y));
  } else if (!d.onPin) {
    const centre = chart.place(d.el, chart.middle - (now.x - d.from.x), 260 - (now.y - d.from.y));
    chart.show(d.el, centre.lat, centre.lon, chart.numbers(d.el).zoom);
    document.addEventListener("click", (e) => e.target.closest("[data-map-stand]") && e.preventDefault(), { capture: true, once: true });
  }
});
let zooming = 0;
document.addEventListener("wheel", (event) => {
  const el = event.target.closest && event.target.closest("[data-map]");
  if (!el) return;
  event.preventDefault();
  const step = event.deltaY < 0 ? 1 : -1;
  if (zooming) return;
  zooming = setTimeout(() => (zooming = 0), 180);
  const m = chart.numbers(el);
  const p = chart.unit(el, event);
  const under = chart.place(el, p.x, p.y);
  const part = step > 0 ? 0.5 : -1;
  const y = chart.north(m.lat) + (chart.north(under.lat) - chart.north(m.lat)) * part;
  chart.show(el, chart.south(y), m.lon + (under.lon - m.lon) * part, m.zoom + step);
}, { passive: false });
document.addEventListener("keydown", (event) => {
  const el = event.target.closest && event.target.closest("[data-map]");
  if (!el) return;
  const m = chart.numbers(el);
  const to = { ArrowLeft: [-215, 0], ArrowRight: [215, 0], ArrowUp: [0, -130], ArrowDown: [0, 130] }[event.key];
  if (to) {
    const c = chart.place(el, chart.middle + to[0], 260 + to[1]);
    chart.show(el, c.lat, c.lon, m.zoom);
  } else if (event.key === "+" || event.key === "-") {
    chart.show(el, m.lat, m.lon, m.zoom + (event.key === "+" ? 1 : -1));
  } else if (event.key === "Enter") {
    chart.choose(el, { lat: m.lat, lon: m.lon });
  } else return;
  event.preventDefault();
  event.stopPropagation();
}, true);
const pinAll = () => document.querySelectorAll("[data-map-pick] [data-map]").forEach(chart.pin);
document.addEventListener("DOMContentLoaded", pinAll);
document.addEventListener("htmx:after:swap", pinAll);
document.addEventListener("input", (event) => {
  if (event.target.id === "latitude" || event.target.id === "longitude") pinAll();
});

// The skyline: drawn over the strip, kept as pairs in its text field, two degrees apart where it was drawn.
const ridge = {
  points(el) {
    const text = document.querySelector(el.dataset.skyline).value;
    return text.split("\n").map((l) => l.trim().split(/[\s,;]+/).map(Number)).filter((p) => p.length === 2 && !p.some(Number.isNaN));
  },
  write(el, points) {
    points.sort((a, b) => a[0] - b[0]);
    document.querySelector(el.dataset.skyline).value = points.map((p) => p[0] + " " + p[1]).join("\n");
    const top = Number(el.dataset.top);
    const y = (a) => Math.max(0, Math.min(120, ((top - a) / (top - Number(el.dataset.bottom))) * 120));
    if (points.length === 0) points = [[0, 0]];
    const first = points[0];
    const last = points[points.length - 1];
    const span = first[0] + 360 - last[0];
    const seam = span === 0 ? first[1] : last[1] + ((first[1] - last[1]) * (360 - last[0])) / span;
    const path = [[0, seam], ...points, [360, seam]].map((p) => "L" + 2 * p[0] + " " + y(p[1]).toFixed(1)).join("");
    el.querySelector("[data-skyline-path]").setAttribute("d", "M0 120" + path + "L720 120Z");
  },
  last: null,
  draw(el, event) {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(el.getScreenCTM().inverse());
    const top = Number(el.dataset.top);
    const azimuth = Math.max(0, Math.min(358, 2 * Math.round(p.x / 4)));
    const altitude = Math.max(-5, Math.min(top, Math.round((top - (p.y / 120) * (top - Number(el.dataset.bottom))) * 10) / 10));
    const from = ridge.last || [azimuth, altitude];
    const low = Math.min(from[0], azimuth);
    const high = Math.max(from[0], azimuth);
    const kept = ridge.points(el).filter((q) => q[0] < low || q[0] > high);
    for (let a = low; a <= high; a += 2) {
      const share = from[0] === azimuth ? 1 : (a - from[0]) / (azimuth - from[0]);
      kept.push([a, Math.round((from[1] + (altitude - from[1]) * share) * 10) / 10]);
    }
    ridge.last = [azimuth, altitude];
    ridge.write(el, kept);
  },
};
document.addEventListener("pointerdown", (event) => {
  const el = event.target.closest && event.target.closest("[data-skyline]");
  if (!el) return;
  event.preventDefault();
  el.setPointerCapture(event.pointerId);
  ridge.draw(el, event);
});
document.addEventListener("pointermove", (event) => {
  const el = event.target.closest && event.target.closest("[data-skyline]");
  if (el && ridge.last) ridge.draw(el, event);
});
document.addEventListener("pointerup", () => (ridge.last = null));

// Blocks on the timeline: dragging one moves its start, dragging its right edge asks for so many minutes; its form does the rest.
const lane = {
  drag: null,
  unit(svg, event) {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    return p.x;
  },
  perUnit: (svg) =>
    (Date.parse(svg.dataset.to) - Date.parse(svg.dataset.from)) / (Number(svg.dataset.right) - Number(svg.dataset.left)),
  form: (group) => document.querySelector('[data-block-form="' + group.dataset.block + '"]'),
  /** Whole minutes; the server keeps it inside the night. */
  move(group, by) {
    const form = lane.form(group);
    form.elements.start.value = new Date(Math.round((Date.parse(group.dataset.start) + by) / 60000) * 60000).toISOString();
    form.requestSubmit();
  },
  lengthen(group, by) {
    const form = lane.form(group);
    const start = Date.parse(group.dataset.start);
    form.elements.by.value = "minutes";
    form.elements.amount.value = Math.max(0.1, (Date.parse(group.dataset.end) - start + by) / 60000).toFixed(2);
    form.requestSubmit();
  },
};
// Where the lanes are wider than the screen, they begin at the first block.
const toBlocks = () =>
  document.querySelectorAll("[data-timeline]").forEach((svg) => {
    const box = svg.parentElement;
    const bar = svg.querySelector(".timeline-bar");
    const x = bar ? bar.getBoundingClientRect().left - box.getBoundingClientRect().left : 0;
    if (x > 0.7 * box.clientWidth && !box.scrollLeft) box.scrollLeft = x - box.clientWidth / 3;
    near.labels(svg);
  });
document.addEventListener("DOMContentLoaded", toBlocks);
document.addEventListener("htmx:after:swap", toBlocks);
document.addEventListener("keydown", (event) => {
  const group = event.target.closest && event.target.closest("[data-timeline] [data-block]");
  if (!group || event.altKey || event.ctrlKey || event.metaKey) return;
  const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (way) {
    event.preventDefault();
    event.stopPropagation();
    if (event.shiftKey) lane.lengthen(group, way * 60000);
    else lane.move(group, way * 60000);
  } else if (event.key === "Enter" || event.key === " ") {
    event.preventDefault();
    const piece = lane.form(group).closest("details");
    piece.open = true;
    piece.scrollIntoView({ block: "nearest" });
    lane.form(group).elements.start.focus();
  }
}, true);
document.addEventListener("pointerdown", (event) => {
  const group = event.target.closest && event.target.closest("[data-timeline] [data-block]");
  if (!group || event.button !== 0) return;
  event.preventDefault();
  const svg = group.closest("svg");
  const rect = group.querySelector("rect");
  const x = lane.unit(svg, event);
  const right = Number(rect.getAttribute("x")) + Number(rect.getAttribute("width"));
  const resize = right - x < 9 && Number(rect.getAttribute("width")) > 14;
  lane.drag = { group, svg, rect, from: x, x: Number(rect.getAttribute("x")), width: Number(rect.getAttribute("width")), resize, moved: 0 };
});
document.addEventListener("pointermove", (event) => {
  const d = lane.drag;
  if (!d) return;
  d.moved = lane.unit(d.svg, event) - d.from;
  if (d.resize) d.rect.setAttribute("width", Math.max(4, d.width + d.moved));
  else d.rect.setAttribute("x", d.x + d.moved);
});
document.addEventListener("pointerup", () => {
  const d = lane.drag;
  lane.drag = null;
  if (!d || Math.abs(d.moved) < 2) return;
  const by = d.moved * lane.perUnit(d.svg);
  if (d.resize) lane.lengthen(d.group, by);
  else lane.move(d.group, by);
});

// The lanes nearer or farther: times move apart, words keep their size. What the server drew is kept as it was, so that a new answer
// begins afresh.
const near = {
  times: 1,
  most: 16,
  drawn: new WeakMap(),
  of: () => document.querySelector("[data-timeline]"),
  kept(el, names) {
    if (!near.drawn.has(el)) near.drawn.set(el, Object.fromEntries(names.map((n) => [n, el.getAttribute(n)])));
    return near.drawn.get(el);
  },
  show(svg) {
    const z = near.times;
    const whole = near.kept(svg, ["viewBox", "data-right", "width"]);
    const left = Number(svg.dataset.left);
    const [, , width, height] = whole.viewBox.split(" ").map(Number);
    const right = Number(whole["data-right"]);
    const x = (v) => left + (v - left) * z;
    const wide = width + (right - left) * (z - 1);
    svg.setAttribute("viewBox", "0 0 " + wide + " " + height);
    svg.setAttribute("width", (100 * wide) / width + "%");
    svg.dataset.right = x(right);
    svg.querySelectorAll("rect, text, line, path").forEach((el) => {
      if (el.closest("defs")) return;
      const was = near.kept(el, ["x", "x1", "x2", "width", "visibility"]);
      if (el.tagName === "path") {
        el.setAttribute("transform", z === 1 ? "" : "translate(" + left + ") scale(" + z + " 1) translate(" + -left + ")");
        return;
      }
      for (const name of ["x", "x1", "x2"]) {
        if (was[name] !== null && Number(was[name]) >= left) el.setAttribute(name, x(Number(was[name])));
      }
      // What is a moment stays as thin as it is.
      const step = el.classList.contains("lane-drop") || (el.parentElement.dataset.start && el.parentElement.dataset.start === el.parentElement.dataset.end);
      if (was.width !== null) el.setAttribute("width", Number(was.width) * (step ? 1 : z));
      if (el.dataset.level) el.setAttribute("visibility", Number(el.dataset.level) > z ? "hidden" : "visible");
      if (el.dataset.need) {
        const bar = near.kept(el.parentElement.querySelector("rect"), ["x", "x1", "x2", "width", "visibility"]);
        el.setAttribute("visibility", Number(bar.width) * z > Number(el.dataset.need) ? "visible" : "hidden");
      }
    });
  },
  /** Keeps the moment under a point of the screen where it is. */
  to(svg, times, clientX) {
    const box = svg.parentElement;
    const before = near.times;
    near.times = Math.min(near.most, Math.max(1, times));
    if (near.times === before) return;
    const rect = svg.getBoundingClientRect();
    const share = (clientX - rect.left) / rect.width;
    near.show(svg);
    const after = svg.getBoundingClientRect();
    box.scrollLeft += after.left + share * after.width - clientX;
    near.labels(svg);
  },
  /** The lanes' names stay where they can be read, and the night's strip frames what the lanes show. */
  labels(svg) {
    const box = svg.parentElement;
    const unit = svg.viewBox.baseVal.width / svg.getBoundingClientRect().width;
    svg.style.setProperty("--lane-shift", box.scrollLeft * unit + "px");
    const strip = document.querySelector("[data-strip]");
    const marks = strip && strip.querySelectorAll("[data-within] rect");
    if (!marks || marks.length < 3) return;
    const first = Date.parse(strip.dataset.from);
    const share = (x) => {
      const at = Date.parse(svg.dataset.from) + (x - svg.dataset.left) * lane.perUnit(svg);
      return Math.min(100, Math.max(0, (100 * (at - first)) / (Date.parse(strip.dataset.to) - first)));
    };
    const from = share(Number(svg.dataset.left) + box.scrollLeft * unit);
    const to = share(Math.min(Number(svg.dataset.right), (box.scrollLeft + box.clientWidth) * unit));
    [[0, from], [to, 100], [from, to]].forEach(([a, b], i) => {
      marks[i].setAttribute("x", a + "%");
      marks[i].setAttribute("width", Math.max(0, b - a) + "%");
    });
  },
};
document.addEventListener("wheel", (event) => {
  const svg = event.target.closest && event.target.closest("[data-timeline]");
  if (!svg || !(event.ctrlKey || event.metaKey)) return;
  event.preventDefault();
  near.to(svg, near.times * Math.exp(-event.deltaY / 300), event.clientX);
}, { passive: false });
document.addEventListener("click", (event) => {
  const button = event.target.closest && event.target.closest("[data-zoom]");
  const svg = near.of();
  if (!button || !svg) return;
  const box = svg.parentElement.getBoundingClientRect();
  near.to(svg, near.times * (button.dataset.zoom === "1" ? 2 : 0.5), box.left + box.width / 2);
});
document.addEventListener("keydown", (event) => {
  const box = event.target.closest && event.target.closest(".lanes");
  if (!box || event.altKey || event.ctrlKey || event.metaKey || typing(event.target)) return;
  const times = { "+": near.times * 2, "=": near.times * 2, "-": near.times / 2, 0: 1 }[event.key];
  if (!times) return;
  event.preventDefault();
  const around = event.target.closest("[data-block]") || box;
  const rect = around.getBoundingClientRect();
  near.to(near.of(), times, rect.left + rect.width / 2);
});
document.addEventListener("scroll", (event) => {
  if (event.target.classList && event.target.classList.contains("lanes")) near.labels(near.of());
}, true);
document.addEventListener("htmx:after:swap", () => {
  near.drawn = new WeakMap();
  const svg = near.of();
  if (svg && near.times > 1) {
    near.show(svg);
    near.labels(svg);
  }
});

// A frame that is chosen in the table is the one that its form changes.
document.addEventListener("click", (event) => {
  const row = event.target.closest && event.target.closest("tr[data-opens]");
  const form = row && row.closest("details") && row.closest("details").querySelector("[data-row-form]");
  if (!form) return;
  form.closest("details").open = true;
  form.elements.was.value = row.dataset.opens;
});

// A ruler's handle goes along with the slider over it; letting go asks what follows.
document.addEventListener("input", (event) => {
  const slider = event.target.closest && event.target.closest(".scale input[type='range']");
  if (!slider) return;
  const label = slider.dataset.labels.split("|")[Number(slider.value)] || "";
  const handle = slider.closest(".scale").querySelector(".scale-handle");
  handle.setAttribute("x", (100 * slider.value) / slider.max + "%");
  handle.querySelector("text").textContent = label;
  slider.setAttribute("aria-valuetext", label);
});

// The first question: another rig is looked at as soon as it is chosen, where there is a place already.
document.addEventListener("change", (event) => {
  const form = event.target.closest && event.target.closest("form[data-first]");
  if (form && event.target.name === "rig" && form.elements.where.value.trim()) form.requestSubmit();
});

// Pictures that are dropped or chosen on Review go one by one, two at a time, so that each is kept as soon as it is read.
const bringing = { waiting: [], busy: 0, read: 0, known: 0, of: 0, refused: [], stopped: false };
const bringIn = {
  form: () => document.querySelector("form[data-drop]"),
  say() {
    const el = document.querySelector("[data-drop-said]");
    if (!el) return;
    const b = bringing;
    const done = b.read + b.known + b.refused.length;
    el.textContent = `${done} of ${b.of} gone through: ${b.read} read${b.known ? `, ${b.known} there already` : ""}${b.refused.length ? `, ${b.refused.length} refused` : ""}.`;
    if (b.refused.length) el.textContent += " " + b.refused.join(" ");
    if (done < b.of && !b.stopped) {
      const stop = document.createElement("button");
      stop.type = "button";
      stop.className = "pill";
      stop.textContent = "Stop";
      stop.addEventListener("click", () => {
        b.stopped = true;
        b.of -= b.waiting.length;
        b.waiting = [];
        bringIn.say();
      });
      el.append(" ", stop);
    }
  },
  async one(action, file) {
    const body = new FormData();
    const token = bringIn.form()?.elements._csrf;
    if (token) body.append("_csrf", token.value);
    body.append("frames", file);
    body.append("script", "yes");
    const b = bringing;
    try {
      const answer = await fetch(action, { method: "POST", body, headers: { Accept: "application/json" } });
      if (!answer.ok) throw new Error(answer.status === 413 ? "is too large; up to 200 MB are allowed" : "was not taken");
      for (const sent of await answer.json()) {
        if (sent.refused) b.refused.push(sent.refused);
        else if (sent.known) b.known += 1;
        else b.read += 1;
      }
    } catch (e) {
      b.refused.push(`“${file.name}” ${e instanceof TypeError ? "did not reach Half Dusk" : e.message}.`);
    }
  },
  async worker(action) {
    bringing.busy += 1;
    while (bringing.waiting.length) {
      await bringIn.one(action, bringing.waiting.shift());
      bringIn.say();
    }
    bringing.busy -= 1;
    if (bringing.busy === 0 && bringing.read > 0 && bringing.refused.length === 0) location.reload();
  },
  begin(files) {
    const form = bringIn.form();
    if (!form || !files.length) return;
    if (bringing.busy === 0) Object.assign(bringing, { read: 0, known: 0, of: 0, refused: [], stopped: false });
    bringing.waiting.push(...files);
    bringing.of += files.length;
    bringIn.say();
    for (let i = bringing.busy; i < Math.min(2, bringing.of); i += 1) bringIn.worker(form.action);
  },
};
document.addEventListener("submit", (event) => {
  if (!event.target.matches("form[data-drop]")) return;
  const files = [...event.target.elements.frames.files];
  if (!files.length) return;
  event.preventDefault();
  event.target.reset();
  bringIn.begin(files);
});
for (const kind of ["dragover", "drop", "dragleave"]) {
  document.addEventListener(kind, (event) => {
    const form = bringIn.form();
    if (!form || !event.dataTransfer || ![...event.dataTransfer.types].includes("Files")) return;
    event.preventDefault();
    document.body.toggleAttribute("data-dropping", kind === "dragover");
    if (kind === "drop") bringIn.begin([...event.dataTransfer.files]);
  });
}
