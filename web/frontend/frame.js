// The frame on a canvas: turns, interpolates and projects what the server computed for the night. No astronomy of its own.
"use strict";
(() => {
  const RAD = Math.PI / 180;
  const clamp = (v, least, most) => Math.max(least, Math.min(most, v));

  // ---- Directions on a picture and back; the same mathematics as the core's Projection, tested against the same table.
  const direction = (azimuth, altitude) => {
    const flat = Math.cos(altitude * RAD);
    return [flat * Math.cos(azimuth * RAD), flat * Math.sin(azimuth * RAD), Math.sin(altitude * RAD)];
  };
  const eyeOf = (azimuth, altitude, focal, fish) => {
    const sinA = Math.sin(azimuth * RAD), cosA = Math.cos(azimuth * RAD), sinH = Math.sin(altitude * RAD), cosH = Math.cos(altitude * RAD);
    return {
      azimuth, altitude, focal, fish,
      ax: cosH * cosA, ay: cosH * sinA, az: sinH, rx: -sinA, ry: cosA, ux: -sinH * cosA, uy: -sinH * sinA, uz: cosH,
    };
  };
  const spot = { x: 0, y: 0 };
  // Into spot, mm; false where it is not drawn.
  const project = (e, x, y, z) => {
    const ahead = x * e.ax + y * e.ay + z * e.az;
    if (ahead < (e.fish ? -0.17 : 0.1)) return false;
    const right = x * e.rx + y * e.ry;
    const up = x * e.ux + y * e.uy + z * e.uz;
    let k;
    if (e.fish) k = e.focal * Math.sqrt(2 / (1 + Math.min(1, ahead))); // 2 sin(θ/2) / sin θ
    else k = e.focal / ahead;
    spot.x = k * right;
    spot.y = k * up;
    return true;
  };
  const unproject = (e, x, y) => {
    const r = Math.hypot(x, y) / e.focal;
    if (r === 0) return [e.ax, e.ay, e.az];
    const angle = e.fish ? 2 * Math.asin(Math.min(1, r / 2)) : Math.atan(r);
    const s = Math.sin(angle) / (r * e.focal), c = Math.cos(angle);
    return [c * e.ax + s * (x * e.rx + y * e.ux), c * e.ay + s * (x * e.ry + y * e.uy), c * e.az + s * y * e.uz];
  };
  const wrapped = (degrees) => ((degrees % 360) + 360) % 360;
  const shortWay = (degrees) => wrapped(degrees + 180) - 180;
  // Rounded, and never 360.
  const rounded = (azimuth, steps) => wrapped(Math.round(steps * azimuth) / steps);
  const azimuthOf = (v) => wrapped(Math.atan2(v[1], v[0]) / RAD);
  const altitudeOf = (v) => Math.asin(clamp(v[2], -1, 1)) / RAD;

  // ---- The sheet of a night, made ready for drawing once.
  // Loops: what the language offers for it takes ten times as long, which a phone feels.
  const bytes = (text) => {
    const raw = atob(text), out = new Uint8Array(raw.length);
    for (let i = 0; i < raw.length; i++) out[i] = raw.charCodeAt(i);
    return out;
  };
  const millionths = (list) => {
    const out = new Float64Array(list.length);
    for (let i = 0; i < list.length; i++) out[i] = list[i] / 1e6;
    return out;
  };
  const ready = (s) => {
    const warmth = new Float32Array(360 * 81);
    for (let b = 0; b < 81; b++)
      for (let l = 0; l < 360; l++) {
        const from = Math.min(l, 360 - l) / 30, off = (b - 40) / 13;
        warmth[b * 360 + l] = Math.exp(-from * from - off * off);
      }
    return {
      ...s,
      turns: millionths(s.turns), stars: millionths(s.stars), lift: millionths(s.air.lift), galactic: millionths(s.galactic),
      core: millionths(s.core), pole: millionths(s.pole), bandBytes: bytes(s.band), parts: bytes(s.light.parts), warmth,
      figures: s.figures.map((f) => ({ name: f.name, lines: f.lines.map(millionths) })),
      bodies: s.bodies.map((b) => ({ ...b, directions: millionths(b.directions) })),
    };
  };
  const sheets = new Map();
  const sheetOf = async (url) => {
    if (!sheets.has(url)) {
      const answer = await fetch(url);
      if (!answer.ok) throw new Error("the sky of this night could not be computed");
      sheets.clear();
      const sheet = await answer.json();
      await new Promise((go) => setTimeout(go));
      sheets.set(url, ready(sheet));
      await new Promise((go) => setTimeout(go));
    }
    return sheets.get(url);
  };

  // ---- One moment of it.
  const matrix = new Float64Array(9);
  const turned = [0, 0, 0];
  const moment = (s, at) => {
    const n = clamp((at - s.from) / 60000 / s.stepMinutes, 0, s.turns.length / 9 - 1.001);
    const i = Math.floor(n), f = n - i;
    for (let k = 0; k < 9; k++) matrix[k] = s.turns[9 * i + k] * (1 - f) + s.turns[9 * i + 9 + k] * f;
    return { i, f };
  };
  const between = (list, step, m) => list[m.i * step] * (1 - m.f) + list[(m.i + 1) * step] * m.f;
  const bodyAt = (b, m) => {
    for (let k = 0; k < 3; k++) turned[k] = b.directions[3 * m.i + k] * (1 - m.f) + b.directions[3 * m.i + 3 + k] * m.f;
    return turned;
  };
  // Lifted by refraction, in place.
  const lifted = (s, v) => {
    const n = clamp((v[2] + 0.05) / 0.0025, 0, s.lift.length - 1.001);
    const i = Math.floor(n);
    const z = v[2] < -0.05 ? v[2] : s.lift[i] + (s.lift[i + 1] - s.lift[i]) * (n - i);
    const flat = v[0] * v[0] + v[1] * v[1];
    const k = flat === 0 ? 1 : Math.sqrt(Math.max(0, 1 - z * z) / flat);
    v[0] *= k;
    v[1] *= k;
    v[2] = z;
    return v;
  };
  const starAt = (list, k) => {
    const x = list[k], y = list[k + 1], z = list[k + 2];
    turned[0] = matrix[0] * x + matrix[1] * y + matrix[2] * z;
    turned[1] = matrix[3] * x + matrix[4] * y + matrix[5] * z;
    turned[2] = matrix[6] * x + matrix[7] * y + matrix[8] * z;
    return turned;
  };

  // ---- Colours.
  const field = () => document.documentElement.dataset.theme === "field";
  const tint = (r, g, b, a = 1) => {
    if (field()) {
      r = 0.55 * (0.3 * r + 0.59 * g + 0.11 * b);
      g = b = 0;
    }
    return "rgba(" + Math.round(r) + "," + Math.round(g) + "," + Math.round(b) + "," + a + ")";
  };
  const TEXT = [236, 230, 218], QUIET = [154, 160, 171], EMBER = [240, 163, 94], COPPER = [207, 139, 91], INK = [12, 15, 22];
  const STARS = [[169, 196, 255], [232, 236, 246], [243, 221, 184], [240, 192, 144]];
  const starClass = (bv) => (bv < 5 ? 0 : bv < 60 ? 1 : bv < 110 ? 2 : 3);
  // The design's scale of the sky by the sun's altitude.
  const SUN = [[-18, 15, 18, 32], [-12, 42, 46, 80], [-8, 86, 72, 106], [-4, 178, 110, 96], [0, 233, 178, 122], [10, 134, 168, 192]];
  const bySun = (altitude) => {
    if (altitude <= SUN[0][0]) return SUN[0].slice(1);
    for (let i = 1; i < SUN.length; i++)
      if (altitude <= SUN[i][0]) {
        const f = (altitude - SUN[i - 1][0]) / (SUN[i][0] - SUN[i - 1][0]);
        return [1, 2, 3].map((k) => SUN[i - 1][k] + f * (SUN[i][k] - SUN[i - 1][k]));
      }
    return SUN[SUN.length - 1].slice(1);
  };
  // How bright a sky of so many mag/arcsec² is drawn: a print that keeps the darkest just above black.
  const TONE = [[22.2, 0.13], [21.5, 0.19], [21, 0.26], [20, 0.4], [19, 0.54], [17, 0.74], [14, 0.92], [10, 1]];
  const tone = (m) => {
    if (m >= TONE[0][0]) return TONE[0][1];
    for (let i = 1; i < TONE.length; i++)
      if (m >= TONE[i][0]) return TONE[i][1] + ((m - TONE[i][0]) / (TONE[i - 1][0] - TONE[i][0])) * (TONE[i - 1][1] - TONE[i][1]);
    return 1;
  };
  const tones = Float32Array.from({ length: 2501 }, (_, i) => tone(i / 100));

  // Brightness and colour of the sky at one moment over the grid: r, g, b, mag for each node.
  const skyGrid = (s, at) => {
    const light = s.light, altitudes = light.altitudes, columns = 360 / light.azimuthStep, size = altitudes.length * columns;
    const n = clamp((at - s.from) / 60000 / light.stepMinutes, 0, light.sun.length - 1.001);
    const i = Math.floor(n), f = n - i;
    const sun = bySun((light.sun[i] * (1 - f) + light.sun[i + 1] * f) / 100);
    const grid = new Float32Array(4 * size);
    for (let k = 0; k < size; k++) {
      const a = i * size + k, b = a + size;
      const mag = (light.brightness[a] * (1 - f) + light.brightness[b] * f) / 100;
      const part = (p) => (s.parts[3 * a + p] * (1 - f) + s.parts[3 * b + p] * f) / 255;
      // A town's colour tells only where its light leads.
      const towns = part(0), town = towns * towns, twilight = part(1), moon = part(2), natural = Math.max(0, 1 - town - twilight - moon);
      const t = tones[clamp(Math.round(mag * 100), 0, 2500)];
      const mix = (own, glow, night, slate) => t * (natural * own + town * glow + moon * slate) + twilight * (night * Math.max(t, 0.55));
      grid[4 * k] = mix(70, 214, sun[0], 112);
      grid[4 * k + 1] = mix(88, 146, sun[1], 130);
      grid[4 * k + 2] = mix(150, 88, sun[2], 160);
      grid[4 * k + 3] = mag;
    }
    return { grid, columns, step: light.azimuthStep, altitudes };
  };
  const look = [0, 0, 0, 0];
  const skyAt = (g, azimuth, altitude) => {
    const a = azimuth / g.step, c0 = Math.floor(a) % g.columns, c1 = (c0 + 1) % g.columns, fa = a - Math.floor(a);
    const h = altitude < 0 ? 0 : altitude;
    let row = 0;
    while (row < g.altitudes.length - 2 && g.altitudes[row + 1] <= h) row++;
    const fh = clamp((h - g.altitudes[row]) / (g.altitudes[row + 1] - g.altitudes[row]), 0, 1);
    const p = 4 * (row * g.columns + c0), q = 4 * (row * g.columns + c1), up = 4 * g.columns;
    for (let k = 0; k < 4; k++)
      look[k] =
        (g.grid[p + k] * (1 - fa) + g.grid[q + k] * fa) * (1 - fh) + (g.grid[p + up + k] * (1 - fa) + g.grid[q + up + k] * fa) * fh;
    return look;
  };

  // ---- The canvas.
  const picture = (el) => {
    const d = el.dataset;
    const number = (name) => Number(d[name]);
    return {
      frame: {
        azimuth: number("azimuth"), altitude: number("altitude"), roll: number("roll"), focal: number("focal"),
        fish: d.fish === "true", width: number("width"), height: number("height"), factor: number("factor"),
        shortest: number("shortest"), longest: number("longest"),
      },
      tiles: (d.tiles || "").split(" ").filter(Boolean).map((t) => t.split(",").map(Number)),
      at: Date.parse(d.at),
      trails: { exposure: number("exposure"), interval: number("interval"), minutes: Number(el.closest("figure").querySelector("[data-frame-minutes]").value) },
      shown: shownOf(el),
    };
  };
  const shownOf = (el) => {
    const shown = {};
    el.closest("figure").querySelectorAll("[data-frame-show]").forEach((b) => (shown[b.dataset.frameShow] = b.getAttribute("aria-pressed") === "true"));
    return shown;
  };
  const reach = (frame) => {
    const c = Math.abs(Math.cos(frame.roll * RAD)), s = Math.abs(Math.sin(frame.roll * RAD));
    return { x: (frame.width * c + frame.height * s) / 2, y: (frame.width * s + frame.height * c) / 2 };
  };
  const middle = (p) => {
    if (p.tiles.length === 0) return p.frame.azimuth;
    let x = 0, y = 0;
    for (const [azimuth] of p.tiles) {
      x += Math.cos(azimuth * RAD);
      y += Math.sin(azimuth * RAD);
    }
    return Math.atan2(y, x) / RAD;
  };
  // How the picture is looked at: through the frame's own lens with some sky about it, or as a whole.
  const eyeFor = (p, w, h, around) => {
    const f = p.frame;
    if (p.shown.overview) {
      return { ...eyeOf(p.turn ?? middle(p), 42, 1, true), perMm: Math.min(w / 2.9, h / 1.95), mid: h * 0.56 };
    }
    const r = reach(f);
    return { ...eyeOf(f.azimuth, f.altitude, f.focal, f.fish), perMm: Math.min(w / 2 / (r.x * around), h / 2 / (r.y * around)), mid: h / 2 };
  };

  let raster = null;
  // Row by row, so that who draws it can stop between two rows and let the page answer.
  const fillSky = function* (s, e, grid, w, h, cell) {
    const cols = Math.ceil(w / cell), rows = Math.ceil(h / cell);
    if (!raster || raster.canvas.width !== cols || raster.canvas.height !== rows) {
      const canvas = document.createElement("canvas");
      canvas.width = cols;
      canvas.height = rows;
      raster = { canvas, ctx: canvas.getContext("2d"), image: null, mags: null };
      raster.image = raster.ctx.createImageData(cols, rows);
      raster.mags = new Float32Array(cols * rows);
    }
    const out = raster.image.data, red = field(), each = s.skyline.length / 360;
    // From north, east, up to the galaxy's axes.
    const m = matrix, g = s.galactic, t = new Float64Array(9);
    for (let r = 0; r < 3; r++)
      for (let c = 0; c < 3; c++) t[3 * r + c] = g[3 * r] * m[3 * c] + g[3 * r + 1] * m[3 * c + 1] + g[3 * r + 2] * m[3 * c + 2];
    let k = 0;
    for (let j = 0; j < rows; j++) {
      yield;
      for (let i = 0; i < cols; i++, k++) {
        const v = unproject(e, ((i + 0.5) * cell - w / 2) / e.perMm, (e.mid - (j + 0.5) * cell) / e.perMm);
        let azimuth = Math.atan2(v[1], v[0]) / RAD;
        if (azimuth < 0) azimuth += 360;
        const altitude = altitudeOf(v);
        const o = 4 * k;
        out[o + 3] = 255;
        const hill = azimuth * each, hi = Math.floor(hill);
        const low = s.skyline[hi % s.skyline.length], high = s.skyline[(hi + 1) % s.skyline.length];
        if (altitude < low + (high - low) * (hill - hi)) {
          out[o] = 6;
          out[o + 1] = red ? 0 : 8;
          out[o + 2] = red ? 0 : 12;
          raster.mags[k] = 0;
          continue;
        }
        skyAt(grid, azimuth, altitude);
        let r = look[0], gr = look[1], b = look[2];
        raster.mags[k] = look[3];
        if (look[3] > 17) {
          const x = t[0] * v[0] + t[1] * v[1] + t[2] * v[2], y = t[3] * v[0] + t[4] * v[1] + t[5] * v[2], z = t[6] * v[0] + t[7] * v[1] + t[8] * v[2];
          let l = Math.atan2(y, x) / RAD;
          if (l < 0) l += 360;
          const lat = clamp(Math.asin(clamp(z, -1, 1)) / RAD + 40, 0, 79.999), row = Math.floor(lat), up = lat - row, c0 = Math.floor(l) % 360, on = l - Math.floor(l), c1 = (c0 + 1) % 360;
          const q = row * 360, B = s.bandBytes;
          const level = (B[q + c0] * (1 - on) + B[q + c1] * on) * (1 - up) + (B[q + 360 + c0] * (1 - on) + B[q + 360 + c1] * on) * up;
          const air = s.air.extinction[clamp(Math.floor((v[2] + 0.05) / 0.0025), 0, s.air.extinction.length - 1)] / 100;
          const n = clamp((20 + level / 50 + air - look[3] + 5) * 10, 0, 119.99), ni = Math.floor(n);
          const a = 0.92 * (s.opacity[ni] + (s.opacity[ni + 1] - s.opacity[ni]) * (n - ni)) / 100;
          if (a > 0) {
            const warm = s.warmth[q + c0];
            r += a * (150 + 75 * warm);
            gr += a * (160 - 10 * warm);
            b += a * (190 - 95 * warm);
          }
        }
        if (red) {
          out[o] = 0.55 * (0.3 * r + 0.59 * gr + 0.11 * b);
          out[o + 1] = out[o + 2] = 0;
        } else {
          out[o] = r;
          out[o + 1] = gr;
          out[o + 2] = b;
        }
      }
    }
  };
  const drawSky = (ctx, cell) => {
    const { width: cols, height: rows } = raster.canvas;
    raster.ctx.putImageData(raster.image, 0, 0);
    ctx.imageSmoothingEnabled = true;
    ctx.imageSmoothingQuality = "medium";
    ctx.drawImage(raster.canvas, 0, 0, cols * cell, rows * cell);
    return { cols, cell };
  };

  const drawStars = function* (ctx, s, e, w, h, sky, scale) {
    const halfW = w / 2 / e.perMm, top = e.mid / e.perMm, bottom = (e.mid - h) / e.perMm;
    const buckets = new Map();
    for (let i = 0, k = 0; i < s.magnitudes.length; i++, k += 3) {
      if (i % 512 === 511) yield;
      const v = starAt(s.stars, k);
      if (v[2] < -0.012) continue;
      if (v[0] * e.ax + v[1] * e.ay + v[2] * e.az < (e.fish ? -0.17 : 0.1)) continue;
      lifted(s, v);
      if (!project(e, v[0], v[1], v[2])) continue;
      if (spot.x < -halfW || spot.x > halfW || spot.y > top || spot.y < bottom) continue;
      const x = w / 2 + spot.x * e.perMm, y = e.mid - spot.y * e.perMm;
      const mag = raster.mags[Math.floor(y / sky.cell) * sky.cols + Math.floor(x / sky.cell)];
      const seen = s.magnitudes[i] + s.air.extinction[Math.floor((v[2] + 0.05) / 0.0025)];
      const limit = s.faintest[clamp(Math.round((mag - 2) * 4), 0, s.faintest.length - 1)] + 20;
      if (mag === 0 || seen > limit) continue;
      const over = (limit - seen) / 100;
      const size = Math.min(3, Math.round(over * 1.2) / 2.4);
      const strong = Math.min(5, 1 + Math.floor(over));
      const key = starClass(s.colours[i]) * 100 + strong * 10 + Math.round(size * 2.4);
      let list = buckets.get(key);
      if (!list) buckets.set(key, (list = []));
      list.push(x, y);
    }
    for (const [key, list] of buckets) {
      yield;
      const c = STARS[Math.floor(key / 100)], strong = Math.floor((key % 100) / 10), r = (0.55 + (key % 10) * 0.34) * scale;
      ctx.fillStyle = tint(c[0], c[1], c[2], 0.25 + 0.15 * strong);
      if (r < 1.1) {
        for (let n = 0; n < list.length; n += 2) ctx.fillRect(list[n] - r, list[n + 1] - r, 2 * r, 2 * r);
      } else {
        ctx.beginPath();
        for (let n = 0; n < list.length; n += 2) {
          ctx.moveTo(list[n] + r, list[n + 1]);
          ctx.arc(list[n], list[n + 1], r, 0, 7);
        }
        ctx.fill();
      }
    }
  };

  // A line of directions in the equator of date, drawn where it is over the horizon.
  const path = (ctx, s, e, w, points, count, direct) => {
    let drawing = false;
    for (let i = 0; i < count; i++) {
      const v = points(i);
      const seen = v[2] > -0.012 && (direct || lifted(s, v)) && project(e, v[0], v[1], v[2]) && Math.abs(spot.x * e.perMm) < 4 * w && Math.abs(spot.y * e.perMm) < 4 * w;
      if (seen) {
        const x = w / 2 + spot.x * e.perMm, y = e.mid - spot.y * e.perMm;
        if (drawing) ctx.lineTo(x, y);
        else ctx.moveTo(x, y);
      }
      drawing = seen;
    }
  };
  const screen = (e, w, v) => (project(e, v[0], v[1], v[2]) ? { x: w / 2 + spot.x * e.perMm, y: e.mid - spot.y * e.perMm } : null);
  const inside = (p, w, h, margin = 0) => p && p.x > -margin && p.x < w + margin && p.y > -margin && p.y < h + margin;
  // Where words stand in the picture that is being drawn, so that those that can give way do.
  let worded = [];
  const halfOf = (ctx, text, size) => {
    ctx.font = size + 'px "Atkinson Hyperlegible Next", sans-serif';
    return ctx.measureText(text).width / 2 + 4;
  };
  const label = (ctx, text, x, y, colour, align = "left", size = 12) => {
    const half = halfOf(ctx, text, size);
    worded.push({ x: x + (align === "left" ? half : align === "right" ? -half : 0), y, half });
    ctx.textAlign = align;
    ctx.lineWidth = 3;
    ctx.lineJoin = "round";
    ctx.strokeStyle = tint(INK[0], INK[1], INK[2], 0.75);
    ctx.strokeText(text, x, y);
    ctx.fillStyle = tint(...colour);
    ctx.fillText(text, x, y);
  };

  const drawLines = (ctx, s, e, p, w, h) => {
    const circle = (i) => {
      const a = (i / 180) * 2 * Math.PI;
      starCircle[0] = Math.cos(a);
      starCircle[1] = Math.sin(a);
      return starAt(starCircle, 0);
    };
    const starCircle = [0, 0, 0];
    if (p.shown.equator) {
      ctx.beginPath();
      path(ctx, s, e, w, circle, 181);
      ctx.setLineDash([2, 5]);
      ctx.strokeStyle = tint(...QUIET, 0.8);
      ctx.lineWidth = 1.2;
      ctx.stroke();
      ctx.setLineDash([]);
      for (let i = 0; i < 180; i += 3) {
        const q = screen(e, w, lifted(s, circle(i)));
        if (inside(q, w, h, -60)) {
          label(ctx, "celestial equator", q.x + 6, q.y - 6, QUIET);
          break;
        }
      }
    }
    if (p.shown.figures) {
      ctx.strokeStyle = tint(...QUIET, 0.45);
      ctx.lineWidth = 1;
      ctx.beginPath();
      for (const f of s.figures) for (const l of f.lines) path(ctx, s, e, w, (i) => starAt(l, 3 * i), l.length / 3);
      ctx.stroke();
      for (const f of s.figures) {
        const sum = [0, 0, 0];
        for (const l of f.lines) for (let i = 0; i < l.length; i++) sum[i % 3] += l[i];
        const size = Math.hypot(...sum);
        const v = starAt(sum.map((x) => x / size), 0);
        const q = v[2] > 0.05 && screen(e, w, v);
        if (inside(q, w, h, -16) && e.focal * e.perMm * RAD > 2.2) label(ctx, f.name, q.x, q.y, QUIET, "center", 11);
      }
    }
  };

  const drawWays = (ctx, s, e, p, w, h, m, scale) => {
    const nodes = s.turns.length / 9;
    const bodies = s.bodies.filter((b) => b.followed);
    const at = (b, i) => {
      if (b) for (let k = 0; k < 3; k++) turned[k] = b.directions[3 * i + k];
      else {
        for (let k = 0; k < 9; k++) matrix[k] = s.turns[9 * i + k];
        starAt(s.core, 0);
      }
      return turned;
    };
    const way = (b, colour) => {
      ctx.beginPath();
      path(ctx, s, e, w, (i) => at(b, i), nodes);
      ctx.strokeStyle = tint(...colour, 0.85);
      ctx.lineWidth = 1.4;
      ctx.setLineDash([1.5, 5]);
      ctx.stroke();
      ctx.setLineDash([]);
      let last = null;
      for (let i = 0; i < nodes; i++) {
        if (!s.clocks[i].includes(":00") && !/^\d+ /.test(s.clocks[i])) continue;
        const v = at(b, i);
        if (v[2] < 0) continue;
        const q = screen(e, w, lifted(s, v));
        if (!inside(q, w, h, -8) || (last && Math.hypot(q.x - last.x, q.y - last.y) < 46 * scale)) continue;
        last = q;
        ctx.fillStyle = tint(...colour);
        ctx.beginPath();
        ctx.arc(q.x, q.y, 3, 0, 7);
        ctx.fill();
        label(ctx, s.clocks[i], q.x + 6, q.y - 8, TEXT, "left", 12 * scale);
      }
    };
    if (bodies.length === 0) way(null, COPPER);
    for (const b of bodies) way(b, EMBER);
    moment(s, p.at);
  };

  const drawMoon = (ctx, s, e, b, m, q, w) => {
    const radius = Math.max(2.2, (e.fish ? 2 * e.focal * Math.sin((b.disc.diameter * RAD) / 4) : e.focal * Math.tan((b.disc.diameter * RAD) / 2)) * e.perMm);
    const v = Array.from(turned);
    // Which way the zenith is on the picture at this place.
    const azimuth = azimuthOf(v), higher = screen(e, w, direction(azimuth, Math.min(89.9, altitudeOf(v) + 0.3)));
    const zenith = higher ? Math.atan2(higher.y - q.y, higher.x - q.x) : -Math.PI / 2;
    const turn = (list) => zenith - ((list[m.i] / 10) * RAD);
    ctx.save();
    ctx.translate(q.x, q.y);
    ctx.beginPath();
    ctx.arc(0, 0, radius, 0, 7);
    // Nothing is darker than the sky before it, but for the Moon before the Sun.
    const sun = lifted(s, Array.from(bodyAt(s.bodies.find((o) => o.kind === "sun"), m)));
    const covering = v[0] * sun[0] + v[1] * sun[1] + v[2] * sun[2] > Math.cos(0.6 * RAD);
    const mag = raster.mags[Math.floor(clamp(q.y, 0, 1e4) / lastSky.cell) * lastSky.cols + Math.floor(clamp(q.x, 0, 1e4) / lastSky.cell)] || 0;
    ctx.fillStyle = covering ? tint(14, 16, 22) : tint(46, 52, 66, clamp((mag - 15) / 4, 0, 1));
    ctx.fill();
    if (covering) {
      ctx.restore();
      return;
    }
    const lit = b.disc.lit[m.i] / 1000;
    ctx.save();
    ctx.rotate(turn(b.disc.limb));
    ctx.beginPath();
    ctx.arc(0, 0, radius, -Math.PI / 2, Math.PI / 2);
    ctx.ellipse(0, 0, radius * Math.abs(2 * lit - 1), radius, 0, Math.PI / 2, -Math.PI / 2, lit < 0.5);
    ctx.fillStyle = tint(236, 238, 232);
    ctx.fill();
    ctx.clip();
    if (radius > 7) {
      ctx.rotate(-turn(b.disc.limb) + turn(b.disc.axis) + Math.PI / 2);
      ctx.fillStyle = tint(150, 154, 158, 0.55);
      for (let i = 0; i < b.disc.maria.length; i += 4) {
        const [x, y, along, across] = b.disc.maria.slice(i, i + 4).map((n) => (n / 1000) * radius);
        ctx.beginPath();
        ctx.ellipse(x, -y, along, across, Math.atan2(-y, x), 0, 7);
        ctx.fill();
      }
    }
    ctx.restore();
    if (b.disc.shadow.length > 0) {
      const [right, up, umbra, penumbra] = [0, 1, 2, 3].map((k) => ((b.disc.shadow[4 * m.i + k] * (1 - m.f) + b.disc.shadow[4 * m.i + 4 + k] * m.f) / 100) * radius);
      ctx.rotate(zenith + Math.PI / 2);
      ctx.beginPath();
      ctx.arc(0, 0, radius + 0.5, 0, 7);
      ctx.clip();
      for (const [size, colour] of [[penumbra, tint(20, 18, 16, 0.25)], [umbra, tint(92, 30, 16, 0.88)]]) {
        ctx.beginPath();
        ctx.arc(right, -up, size, 0, 7);
        ctx.fillStyle = colour;
        ctx.fill();
      }
    }
    ctx.restore();
  };

  // Whether the Moon hides all of the Sun.
  const covered = (s, sun, v, m) => {
    const moon = s.bodies.find((o) => o.kind === "moon"), u = lifted(s, Array.from(bodyAt(moon, m)));
    const apart = Math.acos(clamp(v[0] * u[0] + v[1] * u[1] + v[2] * u[2], -1, 1)) / RAD;
    return apart < (moon.disc.diameter - sun.disc.diameter) / 2;
  };
  const drawCorona = (ctx, profile, q, disc) => {
    const last = profile[profile.length - 2] / 100, glow = ctx.createRadialGradient(q.x, q.y, disc, q.x, q.y, disc * last);
    for (let i = 0; i < profile.length; i += 2) glow.addColorStop((profile[i] / 100 - 1) / (last - 1), tint(226, 232, 244, profile[i + 1] / 100));
    ctx.fillStyle = glow;
    ctx.beginPath();
    ctx.arc(q.x, q.y, disc * last, 0, 7);
    ctx.fill();
  };

  const drawBodies = (ctx, s, e, p, w, h, m, scale) => {
    for (const b of s.bodies) {
      const v = lifted(s, Array.from(bodyAt(b, m)));
      if (v[2] < -0.006) continue;
      const q = screen(e, w, v);
      if (!inside(q, w, h, 40)) continue;
      if (b.kind === "moon") drawMoon(ctx, s, e, b, m, q, w);
      else if (b.kind === "sun") {
        const disc = Math.max(3, e.focal * ((b.disc.diameter * RAD) / 2) * e.perMm);
        if (b.disc.corona.length > 0 && covered(s, b, v, m)) {
          drawCorona(ctx, b.disc.corona, q, disc);
          continue;
        }
        ctx.fillStyle = tint(255, 236, 190);
        ctx.beginPath();
        ctx.arc(q.x, q.y, disc, 0, 7);
        ctx.fill();
      } else {
        const mag = raster.mags[Math.floor(q.y / lastSky.cell) * lastSky.cols + Math.floor(q.x / lastSky.cell)];
        if (!mag || b.magnitude > s.faintest[clamp(Math.round((mag - 2) * 4), 0, s.faintest.length - 1)] / 100) continue;
        ctx.fillStyle = tint(255, 238, 205);
        ctx.beginPath();
        ctx.arc(q.x, q.y, clamp(2.6 - 0.35 * b.magnitude, 1.6, 4) * scale, 0, 7);
        ctx.fill();
        if (p.shown.names) label(ctx, b.name, q.x + 8, q.y + 4, QUIET, "left", 12 * scale);
      }
    }
    const mark = (v, text, colour) => {
      const q = v[2] > -0.006 && screen(e, w, v);
      if (!inside(q, w, h)) return;
      ctx.strokeStyle = tint(...colour);
      ctx.lineWidth = 2;
      ctx.beginPath();
      ctx.arc(q.x, q.y, 8 * scale, 0, 7);
      ctx.stroke();
      label(ctx, text, q.x + 13 * scale, q.y + 4, colour, "left", 12 * scale);
    };
    if (p.shown.names) {
      if (!s.bodies.some((b) => b.followed)) mark(lifted(s, starAt(s.core, 0)), "core", EMBER);
      mark(lifted(s, Array.from(s.pole)), "pole", QUIET);
    }
  };

  const drawTrails = (ctx, s, e, p, w, h, quick) => {
    const t = p.trails;
    const start = p.at;
    const frames = Math.max(1, Math.floor((t.minutes * 60 - t.exposure) / t.interval + 1));
    const length = ((frames - 1) * t.interval + t.exposure) * 1000;
    const steps = clamp(Math.ceil(length / 300000), 1, quick ? 12 : 48);
    const matrices = [];
    for (let i = 0; i <= steps; i++) {
      moment(s, start + (length * i) / steps);
      matrices.push(Float64Array.from(matrix));
    }
    const limit = quick ? 450 : 650;
    for (let i = 0, k = 0; i < s.magnitudes.length && s.magnitudes[i] <= limit; i++, k += 3) {
      const pts = [];
      let long = 0;
      for (const mm of matrices) {
        matrix.set(mm);
        const v = starAt(s.stars, k);
        if (v[2] < 0 || !project(e, ...lifted(s, v))) {
          pts.push(null);
          continue;
        }
        const q = { x: w / 2 + spot.x * e.perMm, y: e.mid - spot.y * e.perMm };
        const before = pts[pts.length - 1];
        if (before) long += Math.hypot(q.x - before.x, q.y - before.y);
        pts.push(q);
      }
      if (!pts.some((q) => inside(q, w, h, 10))) continue;
      // What the sky drowns draws no trail: asked where the star stands in the middle of the time, if that is in the picture.
      const half = pts[pts.length >> 1];
      if (inside(half, w, h)) {
        const mag = raster.mags[Math.floor(half.y / lastSky.cell) * lastSky.cols + Math.floor(half.x / lastSky.cell)];
        if (mag && s.magnitudes[i] > s.faintest[clamp(Math.round((mag - 2) * 4), 0, s.faintest.length - 1)] + 40) continue;
      }
      const c = STARS[starClass(s.colours[i])], strong = clamp((650 - s.magnitudes[i]) / 600, 0.12, 1);
      ctx.strokeStyle = tint(c[0], c[1], c[2], 0.15 + 0.8 * strong);
      ctx.lineWidth = 0.6 + 1.3 * strong;
      // Real gaps: dashes as long as a frame, gaps as long as the shutter is shut, in time along the way.
      const each = (long / length) * 1000, gap = each * (t.interval - t.exposure);
      ctx.setLineDash(gap > 0.25 ? [each * t.exposure, gap] : []);
      ctx.beginPath();
      let drawing = false;
      for (const q of pts) {
        if (q && drawing) ctx.lineTo(q.x, q.y);
        else if (q) ctx.moveTo(q.x, q.y);
        drawing = q !== null;
      }
      ctx.stroke();
    }
    ctx.setLineDash([]);
    moment(s, p.at);
  };

  // The frame's edge, or a tile's: points along it, seen through an eye.
  const edge = (e, w, frame) => {
    const own = eyeOf(frame.azimuth, frame.altitude, frame.focal, frame.fish);
    const c = Math.cos(frame.roll * RAD), sn = Math.sin(frame.roll * RAD), hw = frame.width / 2, hh = frame.height / 2;
    const corners = [[-hw, hh], [hw, hh], [hw, -hh], [-hw, -hh]].map(([x, y]) => [x * c - y * sn, x * sn + y * c]);
    const points = [];
    for (let i = 0; i < 4; i++)
      for (let k = 0; k < 10; k++) {
        const a = corners[i], b = corners[(i + 1) % 4];
        points.push(screen(e, w, unproject(own, a[0] + ((b[0] - a[0]) * k) / 10, a[1] + ((b[1] - a[1]) * k) / 10)));
      }
    return points;
  };
  // The same where the picture is the lens's own.
  const box = (e, w, frame) => {
    const c = Math.cos(frame.roll * RAD), s = Math.sin(frame.roll * RAD), hw = frame.width / 2, hh = frame.height / 2;
    return [[-hw, hh], [hw, hh], [hw, -hh], [-hw, -hh]].map(([x, y]) => ({ x: w / 2 + (x * c - y * s) * e.perMm, y: e.mid - (x * s + y * c) * e.perMm }));
  };
  const outline = (ctx, points) => {
    points.forEach((q, i) => (i === 0 ? ctx.moveTo(q.x, q.y) : ctx.lineTo(q.x, q.y)));
    ctx.closePath();
  };

  // Towns' names over the ground that hides their feet; where one would stand on other words it steps up.
  const drawGlows = (ctx, s, e, w, h, scale) => {
    const size = 12 * scale;
    for (const d of s.domes) {
      const q = screen(e, w, direction(d.azimuth, Math.min(d.height, 7)));
      if (!inside(q, w, h, -30)) continue;
      const text = d.name + " glow", half = halfOf(ctx, text, size);
      let y = q.y;
      while (worded.some((o) => Math.abs(o.x - q.x) < o.half + half && Math.abs(o.y - y) < size * 1.2)) y -= size * 1.25;
      label(ctx, text, q.x, y, EMBER, "center", size);
    }
  };

  const drawGround = (ctx, s, e, p, w, h, scale) => {
    ctx.fillStyle = tint(5, 7, 11);
    if (!e.fish) {
      const each = s.skyline.length / 360, from = Math.round(e.azimuth * each), span = Math.round(82 * each);
      ctx.beginPath();
      let first = null, last = null;
      for (let k = -span; k <= span; k++) {
        const i = (((from + k) % s.skyline.length) + s.skyline.length) % s.skyline.length;
        const q = screen(e, w, direction(i / each, s.skyline[i]));
        if (!q) continue;
        const x = clamp(q.x, -3 * w, 4 * w), y = clamp(q.y, -3 * h, 4 * h);
        if (first === null) ctx.moveTo(x, y);
        else ctx.lineTo(x, y);
        first ??= { x, y };
        last = { x, y };
      }
      if (first) {
        ctx.lineTo(last.x, 4 * h);
        ctx.lineTo(first.x, 4 * h);
        ctx.closePath();
        ctx.fill();
      }
    }
    for (const t of s.things) {
      const pts = [];
      for (let i = 0; i < t.outline.length; i += 2) pts.push(screen(e, w, direction(t.outline[i], clamp(t.outline[i + 1], -89, 89))));
      if (pts.some((q) => !q)) continue;
      ctx.fillStyle = tint(3, 4, 7);
      ctx.beginPath();
      outline(ctx, pts);
      ctx.fill();
      ctx.strokeStyle = tint(...QUIET, 0.25);
      ctx.lineWidth = 0.8;
      ctx.stroke();
      const top = screen(e, w, direction(t.azimuth, clamp(t.top, -89, 89)));
      if (p.shown.names && inside(top, w, h)) label(ctx, t.name, pts[3].x + 7, Math.min(h - 6, pts[3].y - 8), QUIET);
    }
    if (p.shown.names) drawGlows(ctx, s, e, w, h, scale);
  };

  // Altitudes beside the frame, azimuths along the horizon, or along the lower edge where that is outside.
  const drawRulers = (ctx, s, e, p, w, h, scale) => {
    const narrow = (h / e.perMm / e.focal / RAD) < 22;
    const step = narrow ? 2 : 10;
    const left = p.shown.overview ? w * 0.04 : Math.max(34, w / 2 - reach(p.frame).x * e.perMm - 6);
    ctx.strokeStyle = tint(...QUIET, 0.16);
    ctx.lineWidth = 1;
    const far = Math.min(82, (w / e.perMm / e.focal / RAD) * 0.8 + 10);
    for (let a = 0; a < 90; a += step) {
      ctx.beginPath();
      const range = e.fish ? 180 : far;
      path(ctx, s, e, w, (i) => direction(e.azimuth - range + (i * range) / 40, a), 81, true);
      ctx.stroke();
    }
    const rowAltitude = (y) => altitudeOf(unproject(e, (left - w / 2) / e.perMm, (e.mid - y) / e.perMm));
    if (!e.fish) {
      let before = rowAltitude(0);
      for (let y = 4; y < h; y += 4) {
        const now = rowAltitude(y);
        const a = Math.floor(before / step) * step;
        if (a > now && a <= before && before <= 88) {
          const at = y - 4 * ((a - now) / (before - now || 1));
          label(ctx, a + "°", left - 2, at + 4, QUIET, "right", 12 * scale);
          ctx.strokeStyle = tint(...QUIET, 0.7);
          ctx.beginPath();
          ctx.moveTo(left, at);
          ctx.lineTo(left + 6, at);
          ctx.stroke();
        }
        before = now;
      }
    }
    const horizon = screen(e, w, direction(e.azimuth, 0));
    const names = { 0: "N ", 90: "E ", 180: "S ", 270: "W " };
    let last = -100;
    const azimuth = (a, x, y) => {
      if (x < 20 || x > w - 20 || Math.abs(x - last) < 44 * scale) return false;
      last = x;
      label(ctx, (names[a] || "") + a + "°", x, y, QUIET, "center", 12 * scale);
      return true;
    };
    if (horizon && horizon.y < h - 26 && horizon.y > 0) {
      // Not on the frame's own edge.
      const foot = e.mid + reach(p.frame).y * e.perMm;
      for (let turn = -180; turn < 180; turn++) {
        const a = wrapped(Math.round(e.azimuth) + turn);
        const q = a % step === 0 && screen(e, w, direction(a, 0));
        if (!q || (p.shown.overview && q.y > h - 4)) continue;
        if (!azimuth(a, q.x, !p.shown.overview && Math.abs(q.y + 14 - foot) < 11 ? foot + 16 : q.y + 18)) continue;
        ctx.strokeStyle = tint(...QUIET, 0.7);
        ctx.beginPath();
        ctx.moveTo(q.x, q.y);
        ctx.lineTo(q.x, q.y + 5);
        ctx.stroke();
      }
      return;
    }
    // Where the lines of azimuth leave the picture at its foot. Near the zenith they turn by more than a step in a few pixels, and none is told.
    const footAzimuth = (x) => azimuthOf(unproject(e, (x - w / 2) / e.perMm, (e.mid - (h - 12)) / e.perMm));
    let before = footAzimuth(0);
    for (let x = 4; x < w; x += 4) {
      const now = footAzimuth(x), turn = shortWay(now - before);
      const a = (turn > 0 ? Math.ceil(before / step) : Math.floor(before / step)) * step, part = (a - before) / turn;
      if (Math.abs(turn) < step && part > 0 && part < 1 + 1e-9) azimuth(wrapped(a), x - 4 + 4 * part, h - 8);
      before = now;
    }
  };

  const drawTiles = (ctx, e, p, w) => {
    p.tiles.forEach(([azimuth, altitude, spare], i) => {
      const points = edge(e, w, { ...p.frame, azimuth, altitude });
      if (points.some((q) => !q)) return;
      ctx.beginPath();
      outline(ctx, points);
      ctx.strokeStyle = spare ? tint(...QUIET, 0.8) : tint(...EMBER, 0.9);
      ctx.setLineDash(spare ? [3, 4] : []);
      ctx.lineWidth = 1.2;
      ctx.stroke();
      ctx.setLineDash([]);
      const q = screen(e, w, direction(azimuth, altitude));
      if (q) label(ctx, String(i + 1), q.x, q.y, spare ? QUIET : EMBER, "center", 14);
    });
  };

  let lastSky = { cols: 1, cell: 1 };
  // The canvas as large as its place; its pixels as dense as wanted.
  const room = (el, dense) => {
    const box = el.getBoundingClientRect();
    const w = Math.max(200, Math.round(box.width)), h = Math.max(160, Math.round(box.height));
    if (el.width !== w * dense || el.height !== h * dense) {
      el.width = w * dense;
      el.height = h * dense;
    }
    const ctx = el.getContext("2d");
    ctx.setTransform(dense, 0, 0, dense, 0, 0);
    return { ctx, w, h };
  };
  const dense = () => Math.min(2, window.devicePixelRatio || 1);
  // A night that has to be computed first, or comes over a slow way: black alone would look like a night without stars.
  const waiting = (el) => {
    const { ctx, w, h } = room(el, dense());
    ctx.clearRect(0, 0, w, h);
    label(ctx, "Drawing the sky …", w / 2, h / 2, QUIET, "center", 14);
  };
  const draw = (el, s, p, quick) => {
    const start = performance.now();
    const { ctx, w, h } = room(el, quick ? 1 : dense());
    const how = { quick, bare: false, around: 1.1, scale: field() ? 1.4 : 1 };
    const steps = painting(ctx, s, p, w, h, how);
    const own = ++job;
    if (quick) {
      while (!steps.next().done);
      el.dataset.milliseconds = (performance.now() - start).toFixed(2);
      return;
    }
    // What is drawn in full is drawn in slices: a finger is answered in between, and a newer picture takes its place.
    const slice = () => {
      if (own !== job) return;
      const until = performance.now() + SLICE;
      while (performance.now() < until) {
        if (steps.next().done) {
          el.dataset.milliseconds = (performance.now() - start).toFixed(2);
          return;
        }
      }
      setTimeout(slice);
    };
    slice();
  };
  let job = 0;
  const SLICE = 7;
  const paint = (...all) => {
    const steps = painting(...all);
    while (!steps.next().done);
  };
  const painting = function* (ctx, s, p, w, h, how) {
    worded = [];
    const m = moment(s, p.at);
    const e = eyeFor(p, w, h, how.around);
    const grid = skyGrid(s, p.at);
    const cell = how.quick ? 9 : how.bare ? 3 : 2;
    yield* fillSky(s, e, grid, w, h, cell);
    ctx.fillStyle = tint(5, 7, 11);
    ctx.fillRect(0, 0, w, h);
    lastSky = drawSky(ctx, cell);
    yield;
    if (p.shown.trails) drawTrails(ctx, s, e, p, w, h, how.quick);
    else yield* drawStars(ctx, s, e, w, h, lastSky, how.bare ? w / 900 : 1);
    yield;
    drawBodies(ctx, s, e, how.bare ? { ...p, shown: {} } : p, w, h, m, how.scale);
    if (!how.bare) {
      drawLines(ctx, s, e, p, w, h);
      yield;
      if (p.shown.names) drawWays(ctx, s, e, p, w, h, m, how.scale);
    }
    yield;
    drawGround(ctx, s, e, how.bare ? { ...p, shown: {} } : p, w, h, how.scale);
    if (how.bare) return;
    const points = p.shown.overview ? edge(e, w, p.frame) : box(e, w, p.frame);
    if (points.every(Boolean)) {
      ctx.beginPath();
      ctx.rect(-1, -1, w + 2, h + 2);
      outline(ctx, points);
      ctx.fillStyle = tint(INK[0], INK[1], INK[2], p.tiles.length > 0 || p.shown.overview ? 0.18 : 0.55);
      ctx.fill("evenodd");
      ctx.beginPath();
      outline(ctx, points);
      ctx.strokeStyle = tint(...TEXT);
      ctx.lineWidth = 1.3;
      ctx.stroke();
    }
    drawTiles(ctx, e, p, w);
    drawRulers(ctx, s, e, p, w, h, how.scale);
  };

  // ---- The page.
  const current = { el: null, sheet: null, picture: null };
  const canvas = () => document.querySelector("canvas[data-frame]");
  const show = (quick) => current.sheet && current.el && draw(current.el, current.sheet, current.picture, quick);
  let later = 0;
  const soon = (quick) => {
    if (later) return;
    later = requestAnimationFrame(() => {
      later = 0;
      show(quick);
    });
  };
  let settle = 0;
  const moving = () => {
    soon(true);
    clearTimeout(settle);
    settle = setTimeout(() => soon(false), 160);
  };
  const restore = (el) => {
    el.closest("figure").querySelectorAll("[data-frame-show]").forEach((b) => {
      const kept = sessionStorage.getItem("frame-" + b.dataset.frameShow + (b.dataset.frameFor || ""));
      if (kept !== null) b.setAttribute("aria-pressed", kept);
    });
  };
  const begin = async () => {
    const el = canvas();
    if (!el) {
      current.el = null;
      return;
    }
    restore(el);
    current.el = el;
    current.picture = picture(el);
    el.removeAttribute("data-drawn");
    const slow = setTimeout(() => canvas() === el && waiting(el), 250);
    try {
      await document.fonts.load('12px "Atkinson Hyperlegible Next"');
      current.sheet = await sheetOf(el.dataset.frame);
      clearTimeout(slow);
      if (canvas() !== el) return;
      current.picture = picture(el);
      // Roughly at once, then in full.
      show(true);
      await new Promise((go) => setTimeout(go));
      if (canvas() !== el) return;
      show(false);
      el.dataset.drawn = "true";
    } catch (e) {
      clearTimeout(slow);
      const { ctx, w, h } = room(el, dense());
      ctx.clearRect(0, 0, w, h);
      const note = el.closest("figure").querySelector("[data-frame-note]");
      note.hidden = false;
      note.textContent = "The picture cannot be drawn: " + e.message + ". The figures beside it hold.";
    }
  };
  if (document.readyState === "loading") document.addEventListener("DOMContentLoaded", begin);
  else begin();
  document.addEventListener("htmx:after:swap", begin);
  window.addEventListener("resize", () => soon(false));
  document.addEventListener("playhead", (event) => {
    if (!current.picture || !canvas()) return;
    current.picture.at = event.detail;
    moving();
  });

  const form = () => document.querySelector("form[data-aim]");
  const written = (v) => (Math.round(v * 10) / 10).toString();
  const write = () => {
    const f = form(), frame = current.picture.frame;
    f.querySelector("[name=azimuth]").value = written(rounded(frame.azimuth, 10));
    f.querySelector("[name=altitude]").value = written(frame.altitude);
    f.querySelector("[name=roll]").value = written(frame.roll);
  };
  const pointerAt = (el, event) => {
    const box = el.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top, w: box.width, h: box.height };
  };
  const under = (p, at) => {
    const e = eyeFor(p, at.w, at.h, 1.1);
    return unproject(e, (at.x - at.w / 2) / e.perMm, (e.mid - at.y) / e.perMm);
  };
  let grab = null;
  document.addEventListener("pointerdown", (event) => {
    const el = event.target.closest && event.target.closest("canvas[data-frame]");
    if (!el || event.button !== 0 || !current.sheet) return;
    event.preventDefault();
    el.focus({ preventScroll: true });
    el.setPointerCapture(event.pointerId);
    const at = pointerAt(el, event);
    grab = { el, at, azimuth: current.picture.frame.azimuth, altitude: current.picture.frame.altitude, turn: current.picture.turn ?? middle(current.picture), moved: false, off: hold.off };
  });
  const readOut = (el, event) => {
    const out = el.closest("figure").querySelector("[data-frame-under]");
    const v = under(current.picture, pointerAt(el, event));
    const at = pointerAt(el, event);
    const mag = raster && raster.mags[Math.floor(at.y / lastSky.cell) * lastSky.cols + Math.floor(at.x / lastSky.cell)];
    out.textContent = "Azimuth " + rounded(azimuthOf(v), 10).toFixed(1) + "°, altitude " + altitudeOf(v).toFixed(1) + "°" + (mag ? ", sky " + mag.toFixed(1) + " mag/arcsec²" : "");
  };
  document.addEventListener("pointermove", (event) => {
    const el = event.target.closest && event.target.closest("canvas[data-frame]");
    if (el && current.sheet && !grab) readOut(el, event);
    if (!grab) return;
    const p = current.picture, now = pointerAt(grab.el, event);
    if (Math.hypot(now.x - grab.at.x, now.y - grab.at.y) > 3) grab.moved = true;
    if (!grab.moved) return;
    // What was under the pointer stays there.
    const held = { ...p, turn: grab.turn, frame: { ...p.frame, azimuth: grab.azimuth, altitude: grab.altitude } };
    const from = under(held, grab.at), to = under(held, now);
    const turn = shortWay(azimuthOf(from) - azimuthOf(to));
    if (p.shown.overview) p.turn = grab.turn + turn;
    else if (hold.on && hold.heard) {
      hold.off = grab.off + clamp(turn, -90, 90);
      hold.aim();
    } else {
      p.frame.altitude = clamp(grab.altitude + altitudeOf(from) - altitudeOf(to), -30, 90);
      p.frame.azimuth = grab.azimuth + clamp(turn, -90, 90);
      write();
    }
    moving();
  });
  document.addEventListener("pointerup", () => {
    const g = grab;
    grab = null;
    if (g && g.moved && !current.picture.shown.overview && !hold.on) form().requestSubmit();
  });
  // ---- Held up to the sky: the phone's compass and tilt turn the picture; nothing is saved until it is taken.
  const hold = {
    on: false, heard: false, off: 0, planned: null, ahead: null, patience: 0,
    parts: () => {
      const figure = canvas().closest("figure");
      return { button: figure.querySelector("[data-frame-hold]"), box: figure.querySelector("[data-frame-held]"), text: figure.querySelector("[data-frame-held-text]") };
    },
    say: (text) => (hold.parts().text.textContent = text),
    async begin() {
      const { button, box } = hold.parts();
      box.hidden = false;
      if (!("DeviceOrientationEvent" in window)) return hold.say("This browser gives no compass and no tilt. Drag the sky instead.");
      if (!window.isSecureContext) return hold.say("Browsers give compass and tilt to safe addresses alone: Settings, From a phone, tells how to reach this by https. Drag the sky instead.");
      if (typeof DeviceOrientationEvent.requestPermission === "function") {
        const answer = await DeviceOrientationEvent.requestPermission().catch(() => "denied");
        if (answer !== "granted") return hold.say("The phone was told not to give its compass. Its browser's settings can allow it again; drag the sky instead.");
      }
      hold.on = true;
      hold.heard = false;
      hold.off = 0;
      hold.ahead = null;
      hold.planned = { ...current.picture.frame };
      button.setAttribute("aria-pressed", "true");
      hold.say("Waiting for the phone's compass …");
      window.addEventListener("deviceorientationabsolute", hold.turned);
      window.addEventListener("deviceorientation", hold.turned);
      hold.patience = setTimeout(() => hold.on && !hold.heard && hold.say("No compass answers: this device has none, or does not give it. Drag the sky instead."), 3000);
    },
    end(back) {
      const { button, box } = hold.parts();
      window.removeEventListener("deviceorientationabsolute", hold.turned);
      window.removeEventListener("deviceorientation", hold.turned);
      clearTimeout(hold.patience);
      if (back && hold.planned) {
        Object.assign(current.picture.frame, hold.planned);
        soon(false);
      }
      hold.on = false;
      box.hidden = true;
      button.setAttribute("aria-pressed", "false");
    },
    // Where the lens on the phone's back looks (east, north, up): turned about the vertical, then about its width, then about its length.
    lens(alpha, beta, gamma) {
      const a = alpha * RAD, b = beta * RAD, g = gamma * RAD;
      const ca = Math.cos(a), sa = Math.sin(a), sb = Math.sin(b), cg = Math.cos(g), sg = Math.sin(g);
      return [-(ca * sg + sa * sb * cg), -(sa * sg - ca * sb * cg), -(Math.cos(b) * cg)];
    },
    turned(event) {
      const absolute = event.absolute || event.type === "deviceorientationabsolute";
      const heading = event.webkitCompassHeading;
      if (!hold.on || event.beta === null || (!absolute && heading === undefined)) return;
      if (!hold.heard) {
        hold.heard = true;
        hold.say("The picture turns as the phone turns, by its compass and its tilt, declination counted.");
      }
      // A heading is measured along the phone's upper edge, clockwise; alpha against the clock.
      const ahead = hold.lens(heading === undefined ? event.alpha : 360 - heading, event.beta, event.gamma);
      hold.ahead = hold.ahead ? hold.ahead.map((v, i) => v + 0.25 * (ahead[i] - v)) : ahead;
      hold.aim();
    },
    aim() {
      const f = current.picture.frame;
      const [e, n, u] = hold.ahead.map((v) => v / Math.hypot(...hold.ahead));
      const azimuth = Math.atan2(e, n) / RAD + Number(current.el.dataset.declination || 0) + hold.off;
      f.azimuth = wrapped(azimuth);
      f.altitude = clamp(Math.asin(clamp(u, -1, 1)) / RAD, -30, 90);
      moving();
      const whole = (v) => String(Math.round(v) || 0).replace("-", "\u2212");
      hold.say("Azimuth " + whole(rounded(f.azimuth, 1)) + "°, " + whole(f.altitude) + "° up, declination counted" + (hold.off ? ", set right by " + whole(hold.off) + "°" : "") + ".");
    },
  };
  document.addEventListener("click", (event) => {
    if (!event.target.closest || !current.sheet) return;
    if (event.target.closest("[data-frame-hold]")) hold.on ? hold.end(true) : hold.begin();
    if (event.target.closest("[data-frame-let]")) hold.end(true);
    if (event.target.closest("[data-frame-take]")) {
      const heard = hold.heard;
      hold.end(false);
      if (!heard) return;
      write();
      form().requestSubmit();
    }
  });

  let zoomed = 0;
  const zoom = (mm) => {
    const frame = current.picture.frame;
    const set = clamp(mm, frame.shortest, frame.longest);
    frame.focal = set * frame.factor;
    document.querySelectorAll("[name=FOCAL]").forEach((i) => (i.value = written(set)));
    moving();
  };
  document.addEventListener("wheel", (event) => {
    const el = event.target.closest && event.target.closest("canvas[data-frame]");
    if (!el || !current.sheet) return;
    const frame = current.picture.frame;
    if (frame.longest <= frame.shortest) return;
    event.preventDefault();
    zoom((frame.focal / frame.factor) * Math.pow(1.04, -Math.sign(event.deltaY)));
    clearTimeout(zoomed);
    zoomed = setTimeout(() => document.querySelector("form[data-focal]").requestSubmit(), 600);
  }, { passive: false });
  document.addEventListener("input", (event) => {
    if (event.target.matches("[data-frame-minutes]") && current.picture) {
      current.picture.trails.minutes = Number(event.target.value);
      soon(false);
    }
    if (event.target.matches("[data-focal-slide]") && current.sheet) zoom(Number(event.target.value));
  });
  document.addEventListener("keydown", (event) => {
    if (event.key !== "r" || event.ctrlKey || event.metaKey || event.altKey || event.target.closest("input, textarea, select")) return;
    if (document.documentElement.dataset.keys === "off" || !canvas() || !current.sheet) return;
    const frame = current.picture.frame;
    frame.roll = Math.abs(frame.roll) > 45 ? 0 : 90;
    write();
    show(true);
    form().requestSubmit();
  });
  document.addEventListener("click", (event) => {
    const toggle = event.target.closest("[data-frame-show]");
    if (toggle && current.picture) {
      const on = toggle.getAttribute("aria-pressed") !== "true";
      toggle.setAttribute("aria-pressed", String(on));
      sessionStorage.setItem("frame-" + toggle.dataset.frameShow + (toggle.dataset.frameFor || ""), String(on));
      current.picture.shown = shownOf(current.el);
      soon(false);
    }
    if (event.target.closest("[data-frame-png]") && current.sheet) still();
  });
  // The frame alone, as the camera would hold it.
  const still = () => {
    const r = reach(current.picture.frame), long = 1800 / Math.max(r.x, r.y) / 2;
    const out = document.createElement("canvas");
    out.width = Math.round(2 * r.x * long);
    out.height = Math.round(2 * r.y * long);
    const p = { ...current.picture, shown: { trails: current.picture.shown.trails } };
    paint(out.getContext("2d"), current.sheet, p, out.width, out.height, { quick: false, bare: true, around: 1, scale: 1 });
    out.toBlob((blob) => {
      const link = document.createElement("a");
      link.href = URL.createObjectURL(blob);
      link.download = current.el.dataset.file;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 10000);
      show(false);
    }, "image/png");
  };

  window.halfDusk = { eyeOf, project: (e, azimuth, altitude) => (project(e, ...direction(azimuth, altitude)) ? { ...spot } : null), unproject, azimuthOf, altitudeOf };
})();
