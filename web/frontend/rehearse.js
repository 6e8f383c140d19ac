// A rehearsal as it goes: of what Java has computed for the whole night it shows what has happened by the moved clock.
"use strict";
(() => {
  const root = document.querySelector("[data-rehearsal]");
  if (!root || root.dataset.rehearsing) return;
  root.dataset.rehearsing = "true";
  const WIDTH = 860;
  const looks = JSON.parse(document.getElementById("rehearsal-looks").textContent);
  const bundle = JSON.parse(document.getElementById("run-bundle").textContent);
  const lanes = [...root.querySelectorAll("[data-lane]")];
  const jump = root.querySelector('[data-act="jump"]');
  const from = Number(jump.dataset.to);
  const to = Number(document.querySelector("[data-ends]").dataset.ends);
  const found = [...root.querySelectorAll(".rehearsal-found li")];
  const timed = [...root.querySelectorAll("[data-at]")];
  const happened = root.querySelector("[data-happened]");
  if (happened) happened.append(...[...happened.children].reverse());

  // What the rehearsal before had found, and how many there were, this device knows.
  const key = "half-dusk-rehearsed-" + bundle.shoot;
  let before = { number: 0, found: [] };
  try {
    before = JSON.parse(sessionStorage.getItem(key)) || before;
  } catch {
    // Nothing is known of those before.
  }
  const number = before.number + 1;
  root.ownerDocument.querySelector("[data-rehearsal-number]").textContent = " " + number;
  found.forEach((f) => (f.querySelector("[data-still]").hidden = !before.found.includes(f.dataset.key)));
  try {
    sessionStorage.setItem(key, JSON.stringify({ number, found: found.map((f) => f.dataset.key) }));
  } catch {
    // Then the next one knows nothing of this.
  }

  const put = (el, text) => {
    if (el.textContent !== text) el.textContent = text;
  };
  root.addEventListener("run:beat", (event) => {
    const { now, speed, usual } = event.detail;
    const share = Math.max(0, Math.min(1, (now - from) / (to - from)));
    timed.forEach((e) => e.classList.toggle("ahead", Number(e.dataset.at) > now));
    lanes.forEach((lane, i) => {
      lane.querySelector("[data-played]").setAttribute("width", (share * WIDTH).toFixed(1));
      const head = lane.querySelector("[data-head]");
      head.setAttribute("x1", (share * WIDTH).toFixed(1));
      head.setAttribute("x2", (share * WIDTH).toFixed(1));
      const mine = looks[i];
      let low = 0, high = mine.length - 1;
      while (low < high) {
        const mid = (low + high + 1) >> 1;
        if (mine[mid].at <= now) low = mid;
        else high = mid - 1;
      }
      lane.querySelectorAll("[data-look]").forEach((e) => {
        put(e, mine[low][e.dataset.look]);
        if (e.parentElement.dataset.amiss !== undefined) e.parentElement.dataset.amiss = String(mine[low].amiss.includes(e.dataset.look));
      });
    });
    const known = found.filter((f) => Number(f.dataset.at) <= now).length;
    put(root.querySelector("[data-found-answer]"), known === 0 ? (now >= to ? "Nothing to mend" : "Nothing yet") : known + (known === 1 ? " thing" : " things") + " to mend");
    root.querySelector("[data-found-fired]").hidden = now < to;
    put(root.querySelector("[data-hold]"), speed ? "Hold" : now <= from ? "Begin" : "Go on");
    root.querySelectorAll('[data-act="speed"]').forEach((b) => b.setAttribute("aria-pressed", String(Number(b.dataset.speed) === usual)));
    const strike = root.querySelector("[data-strike]");
    strike.elements.from.value = new Date(Math.min(now, to)).toISOString().replace(/\.\d+Z$/, "Z");
    strike.elements.speed.value = String(speed);
    // Over: it stands.
    if (now >= to && speed) root.querySelector("[data-hold]").click();
  });
  root.dispatchEvent(new Event("run:again"));
})();
