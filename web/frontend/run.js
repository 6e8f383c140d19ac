// The night counted down: shows, sounds and keeps what Java made in the bundle. No rules of the job live here. It runs on the Run page,
// on a phone without signal, and inside the single file.
"use strict";
// The clock to photograph: large, by the second, and how far this device is from the server.
(() => {
  const face = document.querySelector("[data-clock]");
  if (!face || face.dataset.counting) return;
  face.dataset.counting = "true";
  const shown = face.querySelector("[data-clock-face]"), apart = face.querySelector("[data-clock-apart]");
  let skew = 0;
  const two = (n, w = 2) => String(n).padStart(w, "0");
  const ask = async () => {
    try {
      const sent = Date.now();
      const answer = await (await fetch("/clock/now", { cache: "no-store" })).json();
      const back = Date.now();
      skew = answer.now - (sent + back) / 2;
      const s = Math.abs(skew / 1000).toFixed(1);
      apart.textContent = Math.abs(skew) > 86400000 ? "The server's clock is moved, as in the demo; the face shows it." : Math.abs(skew) < 250 ? "This device and the server agree." : "This device is " + s + " s " + (skew > 0 ? "behind" : "ahead of") + " the server; the face shows the server's time.";
    } catch {
      apart.textContent = "The server is not heard; the face shows this device's time.";
    }
  };
  const turn = () => {
    if (!face.isConnected) return;
    const d = new Date(Date.now() + skew);
    shown.textContent = two(d.getUTCHours()) + ":" + two(d.getUTCMinutes()) + ":" + two(d.getUTCSeconds()) + "." + Math.floor(d.getUTCMilliseconds() / 100);
    requestAnimationFrame(turn);
  };
  ask();
  turn();
})();
(() => {
  const root = document.querySelector("[data-run]");
  if (!root || root.dataset.counting) return;
  const me = String(Math.random());
  root.dataset.counting = me;
  const $ = (name) => root.querySelector('[data-run-' + name + ']');
  const alone = root.dataset.alone !== undefined;
  let bundle = JSON.parse(document.getElementById("run-bundle").textContent);
  const key = "half-dusk-run-" + bundle.shoot;

  // ---- What the device keeps: entries of its own that the server has not got yet, all that is known, and how it calls.
  const kept = (name, otherwise) => {
    try {
      return JSON.parse(localStorage.getItem(key + name)) ?? otherwise;
    } catch {
      return otherwise;
    }
  };
  const keep = (name, value) => {
    try {
      localStorage.setItem(key + name, JSON.stringify(value));
      return true;
    } catch {
      return false;
    }
  };
  const known = new Map(bundle.noted.map((n) => [n.id, n]));
  kept("-noted", []).forEach((n) => known.has(n.id) || known.set(n.id, n));
  let waiting = kept("-waiting", []).filter((n) => !bundle.noted.some((b) => b.id === n.id));
  let practice = null; // { real, shown, speed } while the clock is moved for a rehearsal
  const cues = Object.assign({ sound: true, buzz: true, voice: false, leads: [120, 30, 5] }, kept("-cues", {}));

  // ---- The clock: the device's own, or one that was moved and says so.
  // A kept page that is opened again later was made earlier: what it was apart then still holds.
  const fresh = bundle.now - Date.now();
  const apart = kept("-apart", fresh);
  const skew = !bundle.moved ? 0 : Math.abs(apart - fresh) < 3600000 ? Math.max(apart, fresh) : fresh;
  if (bundle.moved) keep("-apart", skew);
  if (root.dataset.rehearsal) practice = { real: Date.now(), shown: Number(root.dataset.rehearsal), speed: Number(root.dataset.speed), usual: Number(root.dataset.speed) || 1 };
  const now = () => (practice ? practice.shown + (Date.now() - practice.real) * practice.speed : Date.now() + skew);
  const zoned = new Intl.DateTimeFormat("en-GB", { timeZone: bundle.zone, hour: "2-digit", minute: "2-digit", second: "2-digit", hour12: bundle.twelveHours });
  const clock = (t) => zoned.format(new Date(t));
  const left = (ms) => {
    const s = Math.max(0, Math.ceil(ms / 1000));
    const two = (n) => String(n).padStart(2, "0");
    if (s >= 172800) return Math.floor(s / 86400) + " days";
    return s >= 3600 ? Math.floor(s / 3600) + ":" + two(Math.floor(s / 60) % 60) + ":" + two(s % 60) : Math.floor(s / 60) + ":" + two(s % 60);
  };

  // ---- What is done: the last word on each step counts.
  const state = (step) => {
    let done = "";
    for (const n of [...known.values()].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1))) {
      if (n.rig !== step.rig || n.step !== step.id) continue;
      if (n.kind === "DONE" || n.kind === "SKIPPED") done = n.kind;
      if (n.kind === "UNDONE") done = "";
    }
    return done;
  };
  const paused = () => {
    const last = [...known.values()].filter((n) => n.kind === "PAUSED" || n.kind === "RESUMED").sort((a, b) => a.at - b.at).pop();
    return last && last.kind === "PAUSED" ? last : null;
  };
  const note = (kind, step, text) => {
    const id = crypto.randomUUID ? crypto.randomUUID() : String(Date.now()) + "-" + Math.random().toString(36).slice(2, 12);
    const entry = { id, at: Math.round(now()), rig: step ? step.rig : Number(root.dataset.rig || 0), kind, step: step ? step.id : "", text: text || "" };
    known.set(id, entry);
    if (!practice) waiting.push(entry);
    store();
    show();
    if (!practice) send();
  };
  const store = () => {
    if (practice) return;
    const safe = keep("-noted", [...known.values()]) && keep("-waiting", waiting);
    if (!safe) say("This device keeps nothing: notes live as long as this page.");
  };

  // ---- To the server and back. What is sent twice is there once.
  let sending = false;
  const token = async () => {
    const page = await fetch(location.pathname, { headers: { Accept: "text/html" }, cache: "no-store" });
    const read = new DOMParser().parseFromString(await page.text(), "text/html");
    document.querySelector('meta[name="csrf"]').content = read.querySelector('meta[name="csrf"]').content;
  };
  const send = async (again = true) => {
    if (alone || sending) return;
    sending = true;
    try {
      const csrf = document.querySelector('meta[name="csrf"]').content;
      const sent = waiting.slice();
      const answer = await fetch("/shoots/" + bundle.shoot + "/run/entries", {
        method: "POST",
        headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": csrf },
        body: JSON.stringify(sent),
      });
      if (answer.status === 403 && again) {
        await token();
        sending = false;
        return send(false);
      }
      if (!answer.ok) throw new Error(String(answer.status));
      const merged = await answer.json();
      merged.noted.forEach((n) => known.set(n.id, n));
      waiting = waiting.filter((n) => !sent.includes(n));
      root.dataset.line = "on";
      store();
      show();
    } catch {
      root.dataset.line = "off";
      show();
    }
    sending = false;
  };

  // ---- Calls: a tone, a buzz, a voice, each lead once.
  const called = new Set();
  let audio = null;
  // A browser lets a page sound and shake only once it was touched.
  const touched = () => !navigator.userActivation || navigator.userActivation.hasBeenActive;
  const tone = (high) => {
    if (!cues.sound || !touched()) return;
    try {
      audio = audio || new AudioContext();
      const o = audio.createOscillator(), g = audio.createGain();
      o.frequency.value = high ? 1320 : 880;
      g.gain.setValueAtTime(0.2, audio.currentTime);
      g.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + (high ? 0.7 : 0.25));
      o.connect(g).connect(audio.destination);
      o.start();
      o.stop(audio.currentTime + 0.8);
    } catch {
      // No sound on this device; the other cues stay.
    }
  };
  const voice = (text) => {
    if (!cues.voice || !window.speechSynthesis) return;
    speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  };
  const call = (step, lead) => {
    tone(lead === 0);
    if (cues.buzz && navigator.vibrate && touched()) navigator.vibrate(lead === 0 ? [400, 100, 400] : 150);
    voice(lead === 0 ? step.says : step.says + " in " + (lead >= 60 ? lead / 60 + " minutes" : lead + " seconds"));
    root.dispatchEvent(new CustomEvent("run:call", { bubbles: true, detail: { step: step.id, rig: step.rig, lead, late: now() - (step.at - lead * 1000) } }));
  };
  const calls = (t) => {
    for (const step of bundle.steps) {
      if (state(step)) continue;
      for (const lead of [...cues.leads, 0]) {
        const due = step.at - lead * 1000;
        const id = step.rig + step.id + lead;
        // One that is long past when the page opens is not called any more.
        if (due > t || called.has(id)) continue;
        called.add(id);
        if (t - due < 2000 * (practice ? practice.speed : 1)) call(step, lead);
      }
    }
  };

  // ---- What is seen.
  const put = (el, text) => {
    if (el && el.textContent !== text) el.textContent = text;
  };
  const say = (text) => put($("said"), text);
  const next = (t) => bundle.steps.filter((s) => !state(s) && s.kind !== "OVER" && (s.at > t - 60000 || (s.kind !== "START" && s.until > t)));
  const running = (t) => {
    for (const s of bundle.shots) {
      const i = s.every ? Math.floor((t - s.first) / s.every) : -1;
      if (s.every && i >= 0 && i < s.count) {
        const opens = s.first + i * s.every;
        return { shots: s, number: i + 1, open: t < opens + s.length, until: t < opens + s.length ? opens + s.length : opens + s.every, from: opens };
      }
      for (let k = 0; !s.every && k < s.opens.length; k += 2) {
        if (t >= s.first + s.opens[k] && t < s.first + s.opens[k + 1]) return { shots: s, number: k / 2 + 1, open: true, until: s.first + s.opens[k + 1], from: s.first + s.opens[k] };
      }
    }
    return null;
  };
  const many = bundle.rigs.length > 1;
  const named = (step) => (many ? "Rig " + (step.rig + 1) + ": " : "") + step.what;
  function show() {
    const t = now();
    const ahead = next(t);
    const step = ahead[0];
    const frame = running(t);
    put($("clock"), clock(t));
    const stop = paused();
    if (step) {
      const due = step.at > t;
      put($("what"), named(step));
      put($("count"), due ? left(step.at - t) : step.until > t ? left(step.until - t) : "now");
      put($("until"), due ? "at " + clock(step.at) + ", " + step.detail : step.until > t ? "since " + clock(step.at) + ", until " + clock(step.until) : "was due at " + clock(step.at));
      $("count").dataset.long = $("count").textContent.length > 5;
      root.dataset.sun = step.sun ? "true" : "false";
    } else {
      const over = bundle.steps.filter((s) => s.kind === "OVER").every((s) => s.at <= t);
      put($("what"), bundle.steps.length === 0 ? "Nothing to count" : over ? "All is taken" : "Nothing more for the hand");
      put($("count"), bundle.steps.length && !over ? left(Math.max(...bundle.steps.map((s) => s.at)) - t) : "");
      put($("until"), bundle.steps.length === 0 ? "Lay a programme on Sequence first." : over ? "Cap on, heater off, look at the last frames." : "until the last frame is closed");
    }
    put($("now"), stop ? "Paused since " + clock(stop.at) : frame ? "Now" + (many ? ", rig " + (frame.shots.rig + 1) : "") + ": frame " + frame.number + " of " + frame.shots.count + (frame.open ? ", shutter open, closes in " : ", next in ") + left(frame.until - t) : "");
    const bar = $("bar");
    if (bar) bar.value = frame ? Math.min(1, (t - frame.from) / (frame.until - frame.from)) : 0;
    const rig = bundle.rigs.find((r) => step && r.rig === step.rig) || bundle.rigs[0];
    // What to have on the camera: the next step's as soon as one makes ready for it, until then what runs.
    const ofRig = bundle.steps.filter((s) => rig && s.rig === rig.rig && s.setting);
    const had = ofRig.filter((s) => s.at <= t).pop();
    const soon = step && step.setting && step.at - t < 120000 ? step : had || ofRig[0];
    put($("setting"), soon ? soon.setting : rig ? rig.setting : "");
    const level = rig && (rig.levels.filter((l) => l.at <= t).pop() || rig.levels[0]);
    put($("battery"), level ? level.battery : "");
    put($("card"), level ? level.card : "");
    const rows = $("next");
    const wanted = ahead.slice(1, 4).map((s) => clock(s.at) + "|" + named(s) + "|" + s.detail);
    if (rows && rows.dataset.shown !== wanted.join()) {
      rows.dataset.shown = wanted.join();
      rows.replaceChildren(...wanted.map((w) => {
        const li = document.createElement("li");
        const [at, what, detail] = w.split("|");
        const time = document.createElement("span"), name = document.createElement("b"), hint = document.createElement("span");
        time.textContent = at; name.textContent = what; hint.textContent = detail; hint.className = "hint";
        li.append(time, name, hint);
        return li;
      }));
    }
    put($("line"), practice ? "Rehearsal, " + practice.speed + "×: the time is moved, nothing is noted" : alone ? "Without a server, kept on this device" : root.dataset.line === "off" ? "Offline, kept on this device" + (waiting.length ? ", " + waiting.length + " to send" : "") : waiting.length ? "Sending" : "Kept here and on the server");
    root.querySelectorAll("[data-step]").forEach((row) => {
      const s = bundle.steps.find((x) => x.id === row.dataset.step && x.rig === Number(row.dataset.rig));
      if (s) row.dataset.state = state(s) || (step === s ? "next" : "");
    });
    put($("pause"), stop ? "Go on" : "Pause");
    const list = $("notes");
    const notes = [...known.values()].filter((n) => n.kind === "NOTE" || n.kind === "CHANGED").sort((a, b) => b.at - a.at);
    if (list && list.dataset.shown !== String(notes.length)) {
      list.dataset.shown = String(notes.length);
      list.replaceChildren(...notes.map((n) => {
        const li = document.createElement("li");
        li.textContent = clock(n.at) + "  " + n.text;
        return li;
      }));
    }
    const way = $("carried");
    if (way) {
      const mine = bundle.ways.filter((w) => !step || (w.rig === step.rig)).slice(0, 4);
      const text = mine.map((w) => w.minutes + " min lost: " + w.words.join("; or ")).join("\n");
      put(way, text);
    }
  }

  // ---- Hands.
  const wake = async () => {
    try {
      if (navigator.wakeLock && document.visibilityState === "visible") await navigator.wakeLock.request("screen");
    } catch {
      say("This device lets its screen go dark: set it to stay on.");
    }
  };
  root.addEventListener("click", (event) => {
    const act = event.target.closest("[data-act]");
    if (!act) return;
    event.preventDefault();
    // A browser lets sound begin at a touch alone, and making it ready takes a moment that a call has not.
    try {
      if (cues.sound) audio = audio || new AudioContext();
      if (audio && audio.state === "suspended") audio.resume();
    } catch {
      // No sound on this device; the other cues stay.
    }
    const row = act.closest("[data-step]");
    const step = row ? bundle.steps.find((s) => s.id === row.dataset.step && s.rig === Number(row.dataset.rig)) : next(now())[0];
    const kind = act.dataset.act;
    if (kind === "note") {
      const field = $("text");
      if (field.value.trim()) {
        note("NOTE", null, field.value.trim());
        field.value = "";
      } else field.focus();
    } else if (kind === "pause") note(paused() ? "RESUMED" : "PAUSED", null, "");
    else if (kind === "rehearse") {
      const first = bundle.steps[0];
      if (first) practice = { real: Date.now(), shown: first.at - 130000, speed: Number($("speed").value) };
      called.clear();
      root.scrollIntoView();
    } else if (kind === "speed") {
      const speed = Number(act.dataset.speed);
      practice = { real: Date.now(), shown: now(), speed: practice.speed ? speed : 0, usual: speed };
      again();
    } else if (kind === "hold") {
      practice = { real: Date.now(), shown: now(), speed: practice.speed ? 0 : practice.usual, usual: practice.usual };
      again();
    } else if (kind === "jump") jump(Number(act.dataset.to));
    else if (kind === "real") {
      practice = null;
      location.reload();
    } else if (step && practice && !row) {
      // Hands are practised against the clock: how far off they were is said.
      const apart = (now() - step.at) / 1000;
      note(kind === "skip" ? "SKIPPED" : "DONE", step, "");
      say(named(step) + (kind === "skip" ? ": skipped" : ": " + Math.abs(apart).toFixed(1) + " s " + (apart < 0 ? "before" : "after") + " its time"));
    } else if (step) note(row && state(step) ? "UNDONE" : kind === "skip" ? "SKIPPED" : "DONE", step, "");
    show();
  });
  // What goes wrong goes wrong now, by the clock that is shown.
  root.addEventListener("submit", (event) => {
    const from = event.target.elements.from;
    if (event.target.elements.way) note("CHANGED", null, event.target.textContent.trim());
    if (from && event.target.method === "get") from.value = new Date(now()).toISOString().replace(/\.\d+Z$/, "Z");
  }, true);
  // Another moment of the rehearsal: what was done after it is not done yet.
  const jump = (to) => {
    practice = { real: Date.now(), shown: to, speed: practice.speed, usual: practice.usual };
    for (const [id, n] of known) if (n.at >= to) known.delete(id);
    called.clear();
    again();
  };
  root.addEventListener("change", (event) => {
    if (event.target.dataset.jump !== undefined && event.target.value) {
      jump(Number(event.target.value));
      event.target.value = "";
    }
    const cue = event.target.dataset.cue;
    if (!cue) return;
    if (cue === "lead") cues.leads = [...root.querySelectorAll('[data-cue="lead"]:checked')].map((c) => Number(c.value));
    else cues[cue] = event.target.checked;
    keep("-cues", cues);
    if (cue === "sound" && cues.sound) tone(false);
    if (cue === "voice") voice("Half Dusk calls the steps");
  });
  root.querySelectorAll("[data-cue]").forEach((c) => {
    c.checked = c.dataset.cue === "lead" ? cues.leads.includes(Number(c.value)) : Boolean(cues[c.dataset.cue]);
  });
  document.addEventListener("visibilitychange", () => {
    wake();
    show();
    send();
  });
  window.addEventListener("online", () => send());

  // ---- Taken along: the worker keeps this page and what it needs.
  if (!alone && "serviceWorker" in navigator) {
    navigator.serviceWorker.register("/sw.js").then(async () => {
      const ready = await navigator.serviceWorker.ready;
      const box = $("along");
      if (!box) return;
      box.hidden = false;
      box.addEventListener("click", () => {
        const needs = [...document.querySelectorAll("script[src], link[href]")].map((e) => e.src || e.href).filter((u) => u.startsWith(location.origin));
        const steps = ["night", "frame", "expose", "sequence", "pack", "run"].map((s) => "/shoots/" + bundle.shoot + "/" + s);
        const heard = new MessageChannel();
        heard.port1.onmessage = (m) => say(m.data.kept ? "Taken along: " + m.data.kept + " pages and files are on this device." : "Not all could be taken along; try again with a signal.");
        ready.active.postMessage({ take: [...steps, location.pathname, ...needs] }, [heard.port2]);
      });
    }).catch(() => say("This browser installs nothing here; take the single file along instead."));
  }

  // ---- Beats on the second of the clock, so that cues are not late by what a timer drifts.
  let timer = 0;
  const beat = () => {
    // Another page is shown by now, or a new answer counts.
    if (!root.isConnected || root.dataset.counting !== me) return;
    const t = now();
    calls(t);
    show();
    root.dispatchEvent(new CustomEvent("run:beat", { detail: { now: t, speed: practice ? practice.speed : 1, usual: practice ? practice.usual : 1 } }));
    const speed = practice ? practice.speed : 1;
    if (!speed) return;
    // To the next whole second of the clock that is shown, from what that clock says now that all is drawn.
    const rest = (1000 - (now() % 1000)) / speed;
    timer = setTimeout(beat, Math.max(16, Math.min(1000, rest)));
  };
  const again = () => {
    clearTimeout(timer);
    beat();
  };
  root.addEventListener("run:again", again);
  wake();
  beat();
  if (waiting.length) send();
  const trying = setInterval(() => (root.isConnected && root.dataset.counting === me ? send() : clearInterval(trying)), 30000);
})();
