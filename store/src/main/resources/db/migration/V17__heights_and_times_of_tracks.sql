-- What a track's points know beside their position: heights in metres and times in ISO 8601, in their order, parted by spaces, a
-- hyphen where one has none; nothing where none has.
ALTER TABLE track_line ADD COLUMN heights TEXT;
ALTER TABLE track_line ADD COLUMN times TEXT;
