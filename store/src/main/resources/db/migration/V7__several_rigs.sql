-- A shoot may have several rigs; one that is taken off it can come back.
ALTER TABLE shoot_rig ADD COLUMN removed_at TEXT;
