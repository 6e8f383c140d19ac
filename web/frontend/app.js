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
  const el = strip.of();
  if (el && (event.key === "ArrowLeft" || event.key === "ArrowRight")) {
    event.preventDefault();
    const minutes = (event.shiftKey ? 1 : 5) * (event.key === "ArrowLeft" ? -1 : 1);
    strip.place(el, strip.at(el) + minutes * 60000);
    clearTimeout(waiting);
    waiting = setTimeout(() => strip.show(el), 250);
  } else if (event.key === "n") {
    document.querySelector("[data-next-good]")?.click();
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
