-- What was told to calendars of each block, so that a second telling changes events instead of doubling them, and one that is gone is cancelled.
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
CREATE INDEX calendar_event_of_shoot ON calendar_event (shoot_id);
