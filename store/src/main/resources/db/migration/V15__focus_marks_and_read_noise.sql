-- Where a lens was in focus on the stars, as a person marked it, and how cold it was.
CREATE TABLE focus_mark (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  lens_id INTEGER NOT NULL REFERENCES lens (id),
  focal_mm REAL NOT NULL,
  celsius REAL,
  mark TEXT NOT NULL,
  noted_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE INDEX focus_mark_of_lens ON focus_mark (lens_id);

-- How a sensor's noise of reading goes with ISO, by class.
ALTER TABLE camera ADD COLUMN read_noise TEXT NOT NULL DEFAULT 'STEADY' CHECK (read_noise IN ('STEADY', 'TWO_GAINS', 'NOISY_BEHIND'));
