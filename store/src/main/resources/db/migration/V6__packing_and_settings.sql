-- What was ticked on a shoot's packing list, and what a person added to it.
CREATE TABLE pack_tick (
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  item TEXT NOT NULL,
  PRIMARY KEY (shoot_id, item)
) STRICT;

CREATE TABLE pack_own (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  name TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

-- What a person has settled once for all; absent means the usual.
CREATE TABLE setting (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
