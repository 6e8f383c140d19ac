-- Frames that were brought in: figures alone, never a picture. Without a shoot where one was only looked at.
CREATE TABLE frame (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  shoot_id INTEGER REFERENCES shoot (id) ON DELETE CASCADE,
  rig INTEGER NOT NULL,
  name TEXT NOT NULL,
  hash TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  taken TEXT,
  zone_offset TEXT,
  seconds REAL,
  aperture REAL,
  iso INTEGER,
  focal_mm REAL,
  pitch_microns REAL,
  reading TEXT NOT NULL,
  brought_at TEXT NOT NULL,
  choice TEXT NOT NULL,
  stars INTEGER NOT NULL,
  note TEXT NOT NULL
) STRICT;

CREATE INDEX frame_of_shoot ON frame (shoot_id, rig);

-- What a person said where a picture cannot tell.
CREATE TABLE review_answer (
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  rig INTEGER NOT NULL,
  cause TEXT NOT NULL,
  so INTEGER NOT NULL,
  PRIMARY KEY (shoot_id, rig, cause)
) STRICT;

-- What was noted of a shoot afterwards.
CREATE TABLE afterwards (
  shoot_id INTEGER NOT NULL PRIMARY KEY REFERENCES shoot (id) ON DELETE CASCADE,
  note TEXT NOT NULL,
  weather TEXT NOT NULL,
  focus_mark TEXT NOT NULL
) STRICT;

-- Figures of camera, lens, place and mount that a person took over from a shoot's frames.
CREATE TABLE learnt (
  figure TEXT NOT NULL,
  thing_id INTEGER NOT NULL,
  detail TEXT NOT NULL,
  shoot_id INTEGER NOT NULL,
  value REAL NOT NULL,
  spread REAL NOT NULL,
  frames INTEGER NOT NULL,
  taken_over TEXT NOT NULL,
  is_on INTEGER NOT NULL,
  PRIMARY KEY (figure, thing_id, detail, shoot_id)
) STRICT;
