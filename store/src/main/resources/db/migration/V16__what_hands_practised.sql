-- Frames of practice shows: when the shutter was opened and closed, and what came of it. The picture is computed anew from these.
CREATE TABLE practice_frame (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  at TEXT NOT NULL,
  seed INTEGER NOT NULL,
  typed TEXT NOT NULL,
  smoke TEXT NOT NULL,
  finale INTEGER NOT NULL,
  metres REAL NOT NULL,
  opened REAL NOT NULL,
  closed REAL NOT NULL,
  verdict TEXT NOT NULL,
  after_launch REAL,
  after_thump REAL,
  before_break REAL,
  before_dark REAL
) STRICT;

CREATE INDEX practice_frame_of_shoot ON practice_frame (shoot_id, id);
