-- Cameras and lenses by more figures, what goes with them, and rigs that stand together.
ALTER TABLE camera ADD COLUMN mirror INTEGER NOT NULL DEFAULT 0 CHECK (mirror IN (0, 1));
ALTER TABLE camera ADD COLUMN stabiliser_stops REAL NOT NULL DEFAULT 0;
ALTER TABLE camera ADD COLUMN film_exponent REAL;
ALTER TABLE camera ADD COLUMN cold_loss REAL NOT NULL DEFAULT 0.01;
ALTER TABLE camera ADD COLUMN heat_loss REAL NOT NULL DEFAULT 0.01;
ALTER TABLE lens ADD COLUMN electronic_aperture INTEGER NOT NULL DEFAULT 1 CHECK (electronic_aperture IN (0, 1));
ALTER TABLE lens ADD COLUMN coma TEXT NOT NULL DEFAULT '';

CREATE TABLE accessory (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  kind TEXT NOT NULL CHECK (kind IN ('FILTER', 'SUPPORT', 'CARD', 'BATTERY')),
  name TEXT NOT NULL,
  filter_use TEXT,
  density REAL,
  rates TEXT,
  alignment_arcmin REAL,
  gigabytes REAL,
  write_mb_per_s REAL,
  frames INTEGER,
  minutes INTEGER,
  pieces INTEGER,
  deleted_at TEXT,
  CHECK (kind <> 'FILTER' OR (filter_use IS NOT NULL AND density IS NOT NULL)),
  CHECK (kind <> 'SUPPORT' OR (rates IS NOT NULL AND alignment_arcmin IS NOT NULL)),
  CHECK (kind <> 'CARD' OR (gigabytes IS NOT NULL AND write_mb_per_s IS NOT NULL AND pieces IS NOT NULL)),
  CHECK (kind <> 'BATTERY' OR (frames IS NOT NULL AND minutes IS NOT NULL AND pieces IS NOT NULL))
) STRICT;

CREATE TABLE rig (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  camera_id INTEGER NOT NULL REFERENCES camera (id),
  lens_id INTEGER NOT NULL REFERENCES lens (id),
  converter_id INTEGER REFERENCES converter (id),
  focal_mm REAL NOT NULL,
  filter_id INTEGER REFERENCES accessory (id),
  support_id INTEGER REFERENCES accessory (id),
  card_id INTEGER REFERENCES accessory (id),
  battery_id INTEGER REFERENCES accessory (id),
  deleted_at TEXT
) STRICT;
