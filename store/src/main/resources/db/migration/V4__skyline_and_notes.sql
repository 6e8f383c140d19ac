-- What a place has more: land about it, a compass that errs, notes by kind, objects with positions of their own.
ALTER TABLE place ADD COLUMN compass REAL NOT NULL DEFAULT 0;
ALTER TABLE place ADD COLUMN hazards TEXT NOT NULL DEFAULT '';
ALTER TABLE place ADD COLUMN tide TEXT NOT NULL DEFAULT '';
ALTER TABLE place ADD COLUMN permission TEXT NOT NULL DEFAULT '';
ALTER TABLE place ADD COLUMN parking TEXT NOT NULL DEFAULT '';

ALTER TABLE foreground_object ADD COLUMN latitude REAL;
ALTER TABLE foreground_object ADD COLUMN longitude REAL;
ALTER TABLE foreground_object ADD COLUMN elevation_m REAL;

CREATE TABLE skyline_point (
  place_id INTEGER NOT NULL REFERENCES place (id) ON DELETE CASCADE,
  azimuth REAL NOT NULL CHECK (azimuth >= 0 AND azimuth < 360),
  altitude REAL NOT NULL,
  PRIMARY KEY (place_id, azimuth)
) STRICT;

-- Ways a person brought in to see on the map: a line a text row, longitude and latitude in degrees, points by spaces.
CREATE TABLE track (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE track_line (
  track_id INTEGER NOT NULL REFERENCES track (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  points TEXT NOT NULL,
  PRIMARY KEY (track_id, position)
) STRICT;
