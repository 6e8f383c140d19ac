-- Forecasts that a person brought in: one around a point; its hours in the file's own steps.
CREATE TABLE forecast (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  source TEXT NOT NULL,
  latitude REAL NOT NULL CHECK (latitude BETWEEN -90 AND 90),
  longitude REAL NOT NULL CHECK (longitude BETWEEN -180 AND 180),
  issued_at TEXT NOT NULL
) STRICT;

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
