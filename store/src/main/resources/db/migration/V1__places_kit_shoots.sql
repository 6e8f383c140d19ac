-- Times are text in ISO 8601 UTC; nights are the evening's civil date; angles in degrees, lengths as named.

CREATE TABLE place (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  latitude REAL NOT NULL CHECK (latitude BETWEEN -90 AND 90),
  longitude REAL NOT NULL CHECK (longitude BETWEEN -180 AND 180),
  elevation_m REAL NOT NULL,
  zone TEXT NOT NULL,
  sky_brightness REAL NOT NULL,
  notes TEXT NOT NULL DEFAULT '',
  deleted_at TEXT
) STRICT;

CREATE TABLE foreground_object (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  place_id INTEGER NOT NULL REFERENCES place (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  height_m REAL NOT NULL,
  width_m REAL NOT NULL,
  azimuth REAL NOT NULL,
  distance_m REAL NOT NULL,
  base_m REAL NOT NULL,
  UNIQUE (place_id, position)
) STRICT;

CREATE TABLE camera (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  sensor_width_mm REAL NOT NULL,
  sensor_height_mm REAL NOT NULL,
  pixels_across INTEGER NOT NULL,
  pixels_down INTEGER NOT NULL,
  lowest_iso INTEGER NOT NULL,
  highest_iso INTEGER NOT NULL,
  shortest_s REAL NOT NULL,
  longest_timed_s REAL NOT NULL,
  bulb INTEGER NOT NULL CHECK (bulb IN (0, 1)),
  raw_mb REAL NOT NULL,
  jpeg_mb REAL NOT NULL,
  buffer_frames INTEGER NOT NULL,
  write_mb_per_s REAL NOT NULL,
  battery_frames INTEGER NOT NULL,
  battery_minutes INTEGER NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE lens (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  shortest_mm REAL NOT NULL,
  longest_mm REAL NOT NULL,
  widest_at_shortest REAL NOT NULL,
  widest_at_longest REAL NOT NULL,
  smallest_aperture REAL NOT NULL,
  sharpest_aperture REAL NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE converter (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  factor REAL NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE shoot (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  subject TEXT NOT NULL,
  place_id INTEGER NOT NULL REFERENCES place (id),
  night TEXT NOT NULL,
  title TEXT NOT NULL,
  notes TEXT NOT NULL DEFAULT '',
  created_at TEXT NOT NULL,
  saved_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX shoot_night ON shoot (night) WHERE deleted_at IS NULL;

CREATE TABLE shoot_rig (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  camera_id INTEGER NOT NULL REFERENCES camera (id),
  lens_id INTEGER NOT NULL REFERENCES lens (id),
  converter_id INTEGER REFERENCES converter (id),
  focal_mm REAL NOT NULL,
  aim_azimuth REAL,
  aim_altitude REAL,
  roll REAL,
  budget_px REAL NOT NULL,
  iso_school TEXT NOT NULL,
  pinned_s REAL,
  pinned_aperture REAL,
  pinned_iso INTEGER,
  UNIQUE (shoot_id, position),
  CHECK ((aim_azimuth IS NULL) = (aim_altitude IS NULL) AND (aim_azimuth IS NULL) = (roll IS NULL))
) STRICT;

-- What was changed, so that it can be taken back: one batch a save, one row a field.
CREATE TABLE shoot_change (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  batch INTEGER NOT NULL,
  field TEXT NOT NULL,
  before_value TEXT NOT NULL,
  after_value TEXT NOT NULL,
  changed_at TEXT NOT NULL
) STRICT;

CREATE INDEX shoot_change_batch ON shoot_change (shoot_id, batch);

-- Small facts about the file itself: that the demo world was sown, say.
CREATE TABLE fact (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
