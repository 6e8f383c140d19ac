-- What devices noted in a shoot's night; only ever added to, so that those of several devices merge by their identities.
CREATE TABLE run_entry (
  id TEXT NOT NULL,
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  at TEXT NOT NULL,
  rig INTEGER NOT NULL,
  kind TEXT NOT NULL,
  step TEXT NOT NULL,
  text TEXT NOT NULL,
  PRIMARY KEY (shoot_id, id)
) STRICT;

-- How far a camera's clock is off: what it shows less what is true.
CREATE TABLE camera_clock (
  camera_id INTEGER NOT NULL PRIMARY KEY REFERENCES camera (id) ON DELETE CASCADE,
  seconds REAL NOT NULL,
  at TEXT NOT NULL
) STRICT;
