// Makes the pages quick; all of them work without it. No rules of the job live here.
"use strict";

document.documentElement.classList.add("scripted");

// Every change carries the token of the page; forms have it in a field, other requests get it here.
document.addEventListener("htmx:config:request", (event) => {
  const meta = document.querySelector('meta[name="csrf"]');
  if (meta) event.detail.ctx.request.headers["X-XSRF-TOKEN"] = meta.content;
});

// Forms that save by themselves do so when a field has changed.
document.addEventListener("change", (event) => {
  const form = event.target.closest("form[data-autosave]");
  if (form && form.checkValidity()) form.requestSubmit();
});

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
    const percent = ((inside - from) / (to - from)) * 100 + "%";
    el.querySelectorAll("[data-head]").forEach((h) => {
      for (const a of h.dataset.head.split(" ")) h.setAttribute(a, percent);
    });
    const text = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit", timeZone: el.dataset.zone })
      .format(inside);
    el.querySelector("[data-head-text]").textContent = text;
    el.setAttribute("aria-valuenow", String(Math.round((inside - from) / 60000)));
    el.setAttribute("aria-valuetext", text);
    el.dataset.at = new Date(inside).toISOString();
  },
  show(el) {
    go(location.pathname + "?at=" + el.dataset.at);
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
    else document.querySelector("[data-next-good]")?.click();
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
