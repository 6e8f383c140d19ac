-- Lenses that are fisheyes; what else a person has chosen of one rig of a shoot, by the field's name.
ALTER TABLE lens ADD COLUMN fisheye INTEGER NOT NULL DEFAULT 0 CHECK (fisheye IN (0, 1));

CREATE TABLE shoot_rig_choice (
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (shoot_id, position, name)
) STRICT;
