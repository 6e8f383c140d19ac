-- A file of schema version 1, with data, as it was written then.
BEGIN TRANSACTION;
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
INSERT INTO "camera" VALUES(3,'full frame',35.9,23.9,7008,4672,100,25600,0.000125,30.0,1,34.0,11.0,90,160.0,530,190,NULL);
CREATE TABLE converter (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  factor REAL NOT NULL,
  deleted_at TEXT
) STRICT;
INSERT INTO "converter" VALUES(5,'1.4× converter',1.4,NULL);
CREATE TABLE fact (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
INSERT INTO "fact" VALUES('demo world sown','2027-05-24T18:00:00Z');
CREATE TABLE "flyway_schema_history" (
    "installed_rank" INT NOT NULL PRIMARY KEY,
    "version" VARCHAR(50),
    "description" VARCHAR(200) NOT NULL,
    "type" VARCHAR(20) NOT NULL,
    "script" VARCHAR(1000) NOT NULL,
    "checksum" INT,
    "installed_by" VARCHAR(100) NOT NULL,
    "installed_on" TEXT NOT NULL DEFAULT (strftime('%Y-%m-%d %H:%M:%f','now')),
    "execution_time" INT NOT NULL,
    "success" BOOLEAN NOT NULL
);
INSERT INTO "flyway_schema_history" VALUES(1,'1','places kit shoots','SQL','V1__places_kit_shoots.sql',1958183938,'','2027-05-24 18:00:00',1,1);
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
INSERT INTO "foreground_object" VALUES(1,7,0,'Watchtower',18.0,7.0,171.2,64.0,1.0);
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
INSERT INTO "lens" VALUES(4,'18 mm f/2',18.0,18.0,2.0,2.0,16.0,2.8,NULL);
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
INSERT INTO "place" VALUES(7,'Old Watchtower',35.952,-3.048,62.0,'Europe/Madrid',21.4,'south car park',NULL);
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
INSERT INTO "shoot" VALUES(9,'MILKY_WAY',7,'2027-06-04','Core over the tower','a note','2027-05-24T18:00:00Z','2027-05-24T18:00:00Z',NULL);
CREATE TABLE shoot_change (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  batch INTEGER NOT NULL,
  field TEXT NOT NULL,
  before_value TEXT NOT NULL,
  after_value TEXT NOT NULL,
  changed_at TEXT NOT NULL
) STRICT;
INSERT INTO "shoot_change" VALUES(1,9,1,'TITLE','Core','Core over the tower','2027-05-24T18:00:00Z');
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
INSERT INTO "shoot_rig" VALUES(1,9,0,3,4,NULL,18.0,171.5,24.0,90.0,2.6,'PROTECT_COLOURS',10.0,2.0,NULL);
CREATE INDEX "flyway_schema_history_s_idx" ON "flyway_schema_history" ("success");
CREATE INDEX shoot_night ON shoot (night) WHERE deleted_at IS NULL;
CREATE INDEX shoot_change_batch ON shoot_change (shoot_id, batch);
DELETE FROM "sqlite_sequence";
INSERT INTO "sqlite_sequence" VALUES('place',7);
INSERT INTO "sqlite_sequence" VALUES('foreground_object',1);
INSERT INTO "sqlite_sequence" VALUES('camera',3);
INSERT INTO "sqlite_sequence" VALUES('lens',4);
INSERT INTO "sqlite_sequence" VALUES('converter',5);
INSERT INTO "sqlite_sequence" VALUES('shoot',9);
INSERT INTO "sqlite_sequence" VALUES('shoot_rig',1);
INSERT INTO "sqlite_sequence" VALUES('shoot_change',1);
COMMIT;
