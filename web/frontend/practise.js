// Plays a show for practice: sparks come from the server as figures, and only where they are is counted here, by the one formula
// that the server has too. What a frame is like, and what is said of it, comes from the server.
"use strict";

(() => {
  const root = document.querySelector("[data-practice]");
  if (!root || root.dataset.playing) return;
  root.dataset.playing = "true";
  const show = JSON.parse(document.getElementById("practice-show").textContent);
  const { view, figures } = show;
  const canvas = root.querySelector("[data-sky]");
  const pen = canvas.getContext("2d");
  const one = (name) => root.querySelector("[data-" + name + "]");
  const field = document.documentElement.dataset.theme === "field";
  const CHUNK = 60, LONGEST = 60, BAR = 6, AFTER = 3;

  // Where a spark is, metres over the launching ground: braked, falling, carried by the wind.
  const place = (s, i, t) => {
    const u = t - s[i], tau = s[i + 8];
    const way = tau * (1 - Math.exp(-u / tau)), carried = u - way;
    return [
      s[i + 2] + s[i + 5] * way + show.wind[0] * carried,
      s[i + 3] + s[i + 6] * way + (show.wind[1] - show.gravity * tau) * carried,
      s[i + 4] + s[i + 7] * way + show.wind[2] * carried,
    ];
  };
  const dot = (v, x, y, z) => v.x * x + v.y * y + v.z * z;
  // Where that falls in the picture, in its units; nothing behind the camera.
  const seen = ([x, up, z]) => {
    const y = up + view.above, away = z + view.metres;
    const length = Math.hypot(x, y, away);
    const ahead = dot(view.ahead, x, y, away) / length;
    if (ahead < 0.1) return null;
    const right = dot(view.right, x, y, away) / length, above = dot(view.up, x, y, away) / length;
    const sin = Math.hypot(right, above), angle = Math.atan2(sin, ahead);
    const stretch = sin === 0 ? 1 : (view.equisolid ? 2 * Math.sin(angle / 2) : Math.tan(angle)) / sin;
    const mm = view.focal * stretch * view.perMm;
    return [view.width / 2 + mm * right, view.height / 2 - mm * above];
  };
  window.halfDuskShow = { place, seen };

  // Sparks, a minute at a time.
  const chunks = new Map();
  const wanted = (n) => {
    if (chunks.has(n) || n < 0 || n * CHUNK > show.seconds + CHUNK) return;
    chunks.set(n, new Float32Array(0));
    fetch(root.dataset.address + "/sparks" + root.dataset.query + "&from=" + n * CHUNK + "&to=" + (n + 1) * CHUNK)
      .then((r) => (r.ok ? r.arrayBuffer() : Promise.reject(new Error(String(r.status)))))
      .then((b) => chunks.set(n, new Float32Array(b)))
      .catch(() => { chunks.delete(n); one("said").textContent = "The show cannot be fetched; is Half Dusk still running?"; });
  };

  let now = 0, last = 0, playing = false, opened = null, alive = [], read = new Map(), flash = 0;
  const calm = one("calm");
  const still = window.matchMedia("(prefers-reduced-motion: reduce)");
  const settle = () => { if (still.matches) { calm.checked = true; one("calm-said").hidden = false; } };
  settle();
  still.addEventListener("change", settle);
  const pace = () => (calm.checked ? 0.5 : 1);

  const jump = (t) => { now = t; alive = []; read = new Map(); opened = null; begun(); };
  // What is alive at a time, of each chunk from where it was read to.
  const gather = () => {
    const n = Math.floor(now / CHUNK);
    wanted(n); wanted(n + 1);
    for (const c of [n - 1, n]) {
      wanted(c);
      const s = chunks.get(c);
      if (!s || !s.length) continue;
      let i = read.get(c) || 0;
      for (; i < s.length && s[i] <= now; i += figures) if (s[i + 1] + s[i + 11] > now) alive.push([s, i]);
      read.set(c, i);
    }
    alive = alive.filter(([s, i]) => s[i + 1] + s[i + 11] * AFTER > now);
  };

  const size = () => {
    const box = canvas.getBoundingClientRect(), dots = Math.min(2, window.devicePixelRatio || 1);
    canvas.width = Math.round(box.width * dots);
    canvas.height = Math.round(box.height * dots);
    const k = canvas.width / view.width;
    pen.setTransform(k, 0, 0, k, 0, 0);
  };
  new ResizeObserver(size).observe(canvas);

  const draw = () => {
    pen.clearRect(0, 0, view.width, view.height);
    const grey = field ? "120,0,0" : "120,126,140";
    for (const p of show.smoke) {
      const age = now - p.born;
      if (age < 0 || age > 60) continue;
      const sigma = p.sigma + show.spreading * age, depth = p.depth * (p.sigma / sigma) ** 2;
      if (depth < 0.02) continue;
      const at = seen([p.from.x + show.wind[0] * age, p.from.y + show.wind[1] * age, p.from.z + show.wind[2] * age]);
      const edge = at && seen([p.from.x + show.wind[0] * age + 2 * sigma, p.from.y + show.wind[1] * age, p.from.z + show.wind[2] * age]);
      if (!edge) continue;
      const r = Math.abs(edge[0] - at[0]), cloud = pen.createRadialGradient(at[0], at[1], 0, at[0], at[1], r);
      cloud.addColorStop(0, `rgba(${grey},${Math.min(0.5, depth * 0.5)})`);
      cloud.addColorStop(1, `rgba(${grey},0)`);
      pen.fillStyle = cloud;
      pen.fillRect(at[0] - r, at[1] - r, 2 * r, 2 * r);
    }
    pen.globalCompositeOperation = "lighter";
    pen.lineCap = "round";
    let bright = 0;
    for (const [s, i] of alive) {
      const end = Math.min(now, s[i + 1]), begin = Math.max(s[i], end - Math.max(0.09, s[i + 11]));
      const age = (end - s[i]) / (s[i + 1] - s[i]);
      const light = s[i + 9] * (1 - Math.min(1, age) ** s[i + 10]) * (now > s[i + 1] ? Math.exp((s[i + 1] - now) / s[i + 11]) : 1);
      if (light <= 0) continue;
      const a = seen(place(s, i, begin)), b = seen(place(s, i, end));
      if (!a || !b) continue;
      const shown = Math.min(1, Math.sqrt(light / 700));
      if (light > 50000) { bright = Math.max(bright, shown); if (calm.checked) continue; }
      const of = (c) => Math.round(255 * Math.min(1, s[i + 12 + c] * (light > 50000 ? 2 : 1)));
      pen.strokeStyle = field
        ? `rgba(${Math.round(0.3 * of(0) + 0.59 * of(1) + 0.11 * of(2))},0,0,${shown})`
        : `rgba(${of(0)},${of(1)},${of(2)},${shown})`;
      pen.lineWidth = light > 50000 ? 14 : 0.9 + 1.3 * shown;
      pen.beginPath();
      pen.moveTo(a[0], a[1]);
      pen.lineTo(b[0], b[1] + 0.01);
      pen.stroke();
    }
    pen.globalCompositeOperation = "source-over";
    flash = calm.checked ? 0 : Math.max(bright * 0.22, flash * 0.7);
    if (flash > 0.02) {
      pen.fillStyle = field ? `rgba(160,0,0,${flash})` : `rgba(255,250,240,${flash})`;
      pen.fillRect(0, 0, view.width, view.height);
    }
  };

  // Bangs.
  let audio = null, heard = 0;
  const bang = (loud, low) => {
    if (!audio || !show.sound) return;
    const t = audio.currentTime, gain = audio.createGain(), noise = audio.createBufferSource(), filter = audio.createBiquadFilter();
    const buffer = audio.createBuffer(1, audio.sampleRate * 0.8, audio.sampleRate), data = buffer.getChannelData(0);
    for (let i = 0; i < data.length; i++) data[i] = (Math.random() * 2 - 1) * Math.exp(-i / (data.length * 0.16));
    noise.buffer = buffer;
    filter.type = "lowpass";
    filter.frequency.value = low ? 140 : 900;
    gain.gain.setValueAtTime(Math.min(0.9, 0.15 + 0.7 * loud), t);
    noise.connect(filter).connect(gain).connect(audio.destination);
    noise.start(t);
  };
  const sounds = (from, to) => {
    for (const c of show.shells) {
      if (c.heardLaunch > from && c.heardLaunch <= to) bang(0.3, true);
      if (c.opens && c.heardBreak > from && c.heardBreak <= to) bang(c.loud, false);
    }
  };

  // Words about what is in the air: of its last shell.
  let told = -1;
  const tell = () => {
    let n = -1;
    while (n + 1 < show.shells.length && show.shells[n + 1].launched <= now) n++;
    if (n === told) return;
    told = n;
    one("shell").textContent = n < 0 ? "" : "shell " + (n + 1) + " of " + show.shells.length + ", " + show.shells[n].words;
  };

  const bar = one("bar"), x = (s) => Math.min(860, (860 * s) / BAR);
  one("bar-planned").setAttribute("x1", x(show.planned));
  one("bar-planned").setAttribute("x2", x(show.planned));
  one("bar-words").setAttribute("x", Math.max(60, Math.min(800, x(show.planned))));
  one("bar-words").textContent = "planned " + show.planned + " s";
  const shown = (open, to) => {
    const held = Math.max(0, to - open);
    one("bar-open").setAttribute("width", x(held));
    const shell = show.shells.find((c) => c.opens && c.breaks >= open && c.breaks <= to);
    const line = one("bar-break");
    line.setAttribute("visibility", shell ? "visible" : "hidden");
    if (shell) for (const end of ["x1", "x2"]) line.setAttribute(end, x(shell.breaks - open));
    one("open-text").textContent = "Open " + held.toFixed(1) + " s";
  };
  const begun = () => {
    one("open-text").textContent = playing ? "Hold space" : "Begin";
    one("open-hint").textContent = "or press here; let go when the stars fade";
    one("open").dataset.state = "";
  };

  // The hand.
  const hold = () => {
    if (!playing || opened !== null) return;
    opened = now + show.release;
    one("open").dataset.state = "open";
    one("open-hint").textContent = "let go when the stars fade";
  };
  const release = () => {
    if (opened === null) return;
    const open = opened, close = now + show.release;
    opened = null;
    one("open").dataset.state = "";
    if (close - open < 0.05) return begun();
    shown(open, close);
    const form = new URLSearchParams(new URL(root.dataset.address + root.dataset.query, location.href).search);
    form.set("open", open.toFixed(2));
    form.set("close", close.toFixed(2));
    form.set("_csrf", document.querySelector('meta[name="csrf"]').content);
    fetch(root.dataset.address + "/frames", { method: "POST", body: form })
      .then((r) => (r.ok ? r.text() : Promise.reject(new Error(String(r.status)))))
      .then((text) => {
        const page = new DOMParser().parseFromString(text, "text/html");
        for (const id of ["practice-frames", "practice-hand"]) document.getElementById(id).replaceWith(document.adoptNode(page.getElementById(id)));
        one("said").textContent = "";
      })
      .catch(() => { one("said").textContent = "The frame was not kept: no answer from Half Dusk."; });
  };

  const frame = (time) => {
    const step = Math.min(0.1, (time - last) / 1000);
    last = time;
    if (playing) {
      const was = now;
      now += step * pace();
      if (now > show.seconds + 15) { stop(); one("said").textContent = "The show is over."; }
      gather();
      sounds(was, now);
      tell();
      if (opened !== null) {
        shown(opened, Math.max(opened, now));
        if (now - opened > LONGEST) release();
      }
      draw();
    }
    if (playing && root.isConnected) requestAnimationFrame(frame);
  };
  const play = () => {
    if (playing) return;
    if (!audio && window.AudioContext) audio = new AudioContext();
    audio?.resume();
    playing = true;
    last = performance.now();
    root.querySelector("[data-act=play]").textContent = "Pause";
    begun();
    requestAnimationFrame(frame);
  };
  const stop = () => {
    release();
    playing = false;
    root.querySelector("[data-act=play]").textContent = "Go on";
  };

  root.addEventListener("click", (event) => {
    const act = event.target.closest("[data-act]")?.dataset.act;
    if (act === "play") { if (playing) stop(); else play(); canvas.focus({ preventScroll: true }); }
    if (act === "again") { jump(0); play(); canvas.focus({ preventScroll: true }); }
  });
  one("goto").addEventListener("change", (event) => {
    jump({ body: show.body, finale: show.finale }[event.target.value] || 0);
    play();
    canvas.focus({ preventScroll: true });
  });
  const typing = (e) => e.target.closest("input, textarea, select, summary, a, button");
  document.addEventListener("keydown", (event) => {
    if (event.code !== "Space" || typing(event) || !root.isConnected) return;
    event.preventDefault();
    if (!event.repeat) { if (playing) hold(); else play(); }
  });
  document.addEventListener("keyup", (event) => {
    if (event.code === "Space" && opened !== null) { event.preventDefault(); release(); }
  });
  canvas.addEventListener("pointerdown", (event) => { event.preventDefault(); canvas.focus({ preventScroll: true }); canvas.setPointerCapture(event.pointerId); if (playing) hold(); else play(); });
  canvas.addEventListener("pointerup", release);
  canvas.addEventListener("pointercancel", release);
  canvas.addEventListener("contextmenu", (event) => event.preventDefault());
  document.addEventListener("visibilitychange", () => { if (document.hidden && playing) stop(); });
  size();
  wanted(0);
  begun();
  root.dataset.ready = "true";
})();
