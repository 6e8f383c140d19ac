-- A file of schema version 11, with data, as it was written then.
BEGIN TRANSACTION;
CREATE TABLE accessory (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  kind TEXT NOT NULL CHECK (kind IN ('FILTER', 'SUPPORT', 'CARD', 'BATTERY')),
  name TEXT NOT NULL,
  filter_use TEXT,
  density REAL,
  rates TEXT,
  alignment_arcmin REAL,
  gigabytes REAL,
  write_mb_per_s REAL,
  frames INTEGER,
  minutes INTEGER,
  pieces INTEGER,
  deleted_at TEXT, periodic_arcsec REAL NOT NULL DEFAULT 0, period_s REAL NOT NULL DEFAULT 600,
  CHECK (kind <> 'FILTER' OR (filter_use IS NOT NULL AND density IS NOT NULL)),
  CHECK (kind <> 'SUPPORT' OR (rates IS NOT NULL AND alignment_arcmin IS NOT NULL)),
  CHECK (kind <> 'CARD' OR (gigabytes IS NOT NULL AND write_mb_per_s IS NOT NULL AND pieces IS NOT NULL)),
  CHECK (kind <> 'BATTERY' OR (frames IS NOT NULL AND minutes IS NOT NULL AND pieces IS NOT NULL))
) STRICT;
INSERT INTO "accessory" VALUES(6,'SUPPORT','Travel mount',NULL,NULL,'LUNAR SIDEREAL',12.0,NULL,NULL,NULL,NULL,NULL,NULL,0.0,600.0);
INSERT INTO "accessory" VALUES(8,'FILTER','Solar film','SOLAR',5.0,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,0.0,600.0);
CREATE TABLE calendar_event (
  uid text NOT NULL PRIMARY KEY,
  shoot_id integer NOT NULL REFERENCES shoot (id),
  sequence integer NOT NULL,
  title text NOT NULL,
  detail text NOT NULL,
  starts_at text NOT NULL,
  ends_at text NOT NULL,
  cancelled integer NOT NULL
);
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
, mirror INTEGER NOT NULL DEFAULT 0 CHECK (mirror IN (0, 1)), stabiliser_stops REAL NOT NULL DEFAULT 0, film_exponent REAL, cold_loss REAL NOT NULL DEFAULT 0.01, heat_loss REAL NOT NULL DEFAULT 0.01) STRICT;
INSERT INTO "camera" VALUES(3,'full frame',35.9,23.9,7008,4672,100,25600,0.000125,30.0,1,34.0,11.0,90,160.0,530,190,NULL,1,5.0,NULL,0.01,0.01);
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
INSERT INTO "flyway_schema_history" VALUES(2,'2','subject wishes','SQL','V2__subject_wishes.sql',205308433,'','2027-05-24 18:00:00',1,1);
INSERT INTO "flyway_schema_history" VALUES(3,'3','forecasts','SQL','V3__forecasts.sql',-1427378158,'','2027-05-24 18:00:00',1,1);
INSERT INTO "flyway_schema_history" VALUES(4,'4','skyline and notes','SQL','V4__skyline_and_notes.sql',-891090507,'','2027-05-24 18:00:00',1,1);
INSERT INTO "flyway_schema_history" VALUES(5,'5','accessories and rigs','SQL','V5__accessories_and_rigs.sql',-894638582,'','2027-05-24 18:00:00',1,1);
INSERT INTO "flyway_schema_history" VALUES(6,'6','packing and settings','SQL','V6__packing_and_settings.sql',-838087662,'','2027-05-24 18:00:00',1,1);
INSERT INTO "flyway_schema_history" VALUES(7,'7','several rigs','SQL','V7__several_rigs.sql',-1430067757,'','2027-05-24 18:00:00',1,1);
INSERT INTO "flyway_schema_history" VALUES(8,'8','fisheyes and choices','SQL','V8__fisheyes_and_choices.sql',801279916,'','2027-05-24 18:00:00',1,1);
INSERT INTO "flyway_schema_history" VALUES(9,'9','worm of a mount','SQL','V9__worm_of_a_mount.sql',477041177,'','2027-05-24 18:00:00',2,1);
INSERT INTO "flyway_schema_history" VALUES(10,'10','one control for the mount','SQL','V10__one_control_for_the_mount.sql',-1680166882,'','2027-05-24 18:00:00',2,1);
INSERT INTO "flyway_schema_history" VALUES(11,'11','what calendars were told','SQL','V11__what_calendars_were_told.sql',133906527,'','2026-11-29 12:52:24.925',0,1);
CREATE TABLE forecast (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  source TEXT NOT NULL,
  latitude REAL NOT NULL CHECK (latitude BETWEEN -90 AND 90),
  longitude REAL NOT NULL CHECK (longitude BETWEEN -180 AND 180),
  issued_at TEXT NOT NULL
) STRICT;
INSERT INTO "forecast" VALUES(1,'hours.csv',35.952,-3.048,'2027-06-03T12:00:00Z');
CREATE TABLE forecast_hour (
  forecast_id INTEGER NOT NULL REFERENCES forecast (id) ON DELETE CASCADE,
  at TEXT NOT NULL,
  low_cloud REAL NOT NULL,
  mid_cloud REAL NOT NULL,
  high_cloud REAL NOT NULL,
  wind_m_per_s REAL NOT NULL,
  wind_from REAL,
  celsius REAL NOT NULL,
  dew_point_celsius REAL NOT NULL,
  visibility_km REAL,
  turbulence_arcsec REAL,
  precipitation_mm REAL NOT NULL,
  PRIMARY KEY (forecast_id, at)
) STRICT;
INSERT INTO "forecast_hour" VALUES(1,'2027-06-04T22:00:00Z',0.1,0.0,0.2,3.5,270.0,14.0,9.0,30.0,NULL,0.0);
CREATE TABLE foreground_object (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  place_id INTEGER NOT NULL REFERENCES place (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  height_m REAL NOT NULL,
  width_m REAL NOT NULL,
  azimuth REAL NOT NULL,
  distance_m REAL NOT NULL,
  base_m REAL NOT NULL, latitude REAL, longitude REAL, elevation_m REAL,
  UNIQUE (place_id, position)
) STRICT;
INSERT INTO "foreground_object" VALUES(1,7,0,'Watchtower',18.0,7.0,171.2,64.0,1.0,NULL,NULL,NULL);
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
, electronic_aperture INTEGER NOT NULL DEFAULT 1 CHECK (electronic_aperture IN (0, 1)), coma TEXT NOT NULL DEFAULT '', fisheye INTEGER NOT NULL DEFAULT 0 CHECK (fisheye IN (0, 1))) STRICT;
INSERT INTO "lens" VALUES(4,'18 mm f/2',18.0,18.0,2.0,2.0,16.0,2.8,NULL,1,'wings',1);
CREATE TABLE pack_own (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  name TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
INSERT INTO "pack_own" VALUES(1,9,'thermos',NULL);
CREATE TABLE pack_tick (
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  item TEXT NOT NULL,
  PRIMARY KEY (shoot_id, item)
) STRICT;
INSERT INTO "pack_tick" VALUES(9,'own.1');
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
, compass REAL NOT NULL DEFAULT 0, hazards TEXT NOT NULL DEFAULT '', tide TEXT NOT NULL DEFAULT '', permission TEXT NOT NULL DEFAULT '', parking TEXT NOT NULL DEFAULT '') STRICT;
INSERT INTO "place" VALUES(7,'Old Watchtower',35.952,-3.048,62.0,'Europe/Madrid',21.4,'south car park',NULL,-1.5,'cliff','low at two','','');
CREATE TABLE rig (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  camera_id INTEGER NOT NULL REFERENCES camera (id),
  lens_id INTEGER NOT NULL REFERENCES lens (id),
  converter_id INTEGER REFERENCES converter (id),
  focal_mm REAL NOT NULL,
  filter_id INTEGER REFERENCES accessory (id),
  support_id INTEGER REFERENCES accessory (id),
  card_id INTEGER REFERENCES accessory (id),
  battery_id INTEGER REFERENCES accessory (id),
  deleted_at TEXT
) STRICT;
INSERT INTO "rig" VALUES(1,'Wide',3,4,NULL,18.0,8,6,NULL,NULL,NULL);
CREATE TABLE setting (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
INSERT INTO "setting" VALUES('feet','true');
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
  pinned_iso INTEGER, removed_at TEXT,
  UNIQUE (shoot_id, position),
  CHECK ((aim_azimuth IS NULL) = (aim_altitude IS NULL) AND (aim_azimuth IS NULL) = (roll IS NULL))
) STRICT;
INSERT INTO "shoot_rig" VALUES(1,9,0,3,4,NULL,18.0,171.5,24.0,90.0,2.6,'PROTECT_COLOURS',10.0,2.0,NULL,NULL);
INSERT INTO "shoot_rig" VALUES(2,9,1,3,4,5,18.0,NULL,NULL,NULL,5.0,'LIFT_AT_CAMERA',NULL,NULL,NULL,NULL);
CREATE TABLE shoot_rig_choice (
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (shoot_id, position, name)
) STRICT;
INSERT INTO "shoot_rig_choice" VALUES(9,0,'FILES','RAW_JPEG');
CREATE TABLE shoot_wish (
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  name TEXT NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (shoot_id, name)
) STRICT;
INSERT INTO "shoot_wish" VALUES(9,'CORE_LOWEST','12');
CREATE TABLE skyline_point (
  place_id INTEGER NOT NULL REFERENCES place (id) ON DELETE CASCADE,
  azimuth REAL NOT NULL CHECK (azimuth >= 0 AND azimuth < 360),
  altitude REAL NOT NULL,
  PRIMARY KEY (place_id, azimuth)
) STRICT;
INSERT INTO "skyline_point" VALUES(7,119.5,3.0);
CREATE TABLE track (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  name TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
INSERT INTO "track" VALUES(2,'Way up',NULL);
CREATE TABLE track_line (
  track_id INTEGER NOT NULL REFERENCES track (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  points TEXT NOT NULL,
  PRIMARY KEY (track_id, position)
) STRICT;
INSERT INTO "track_line" VALUES(2,0,'-3.05 35.95 -3.048 35.952');
CREATE INDEX "flyway_schema_history_s_idx" ON "flyway_schema_history" ("success");
CREATE INDEX shoot_night ON shoot (night) WHERE deleted_at IS NULL;
CREATE INDEX shoot_change_batch ON shoot_change (shoot_id, batch);
CREATE INDEX calendar_event_of_shoot ON calendar_event (shoot_id);
DELETE FROM "sqlite_sequence";
INSERT INTO "sqlite_sequence" VALUES('place',7);
INSERT INTO "sqlite_sequence" VALUES('foreground_object',1);
INSERT INTO "sqlite_sequence" VALUES('camera',3);
INSERT INTO "sqlite_sequence" VALUES('lens',4);
INSERT INTO "sqlite_sequence" VALUES('converter',5);
INSERT INTO "sqlite_sequence" VALUES('shoot',9);
INSERT INTO "sqlite_sequence" VALUES('shoot_rig',2);
INSERT INTO "sqlite_sequence" VALUES('shoot_change',1);
INSERT INTO "sqlite_sequence" VALUES('forecast',1);
INSERT INTO "sqlite_sequence" VALUES('track',2);
INSERT INTO "sqlite_sequence" VALUES('accessory',8);
INSERT INTO "sqlite_sequence" VALUES('rig',1);
INSERT INTO "sqlite_sequence" VALUES('pack_own',1);
COMMIT;
