-- What a person wishes of a shoot's subject: by the field's name, in its one written form; absent means its initial value.
CREATE TABLE shoot_wish (
  shoot_id INTEGER NOT NULL REFERENCES shoot (id) ON DELETE CASCADE,
  name TEXT NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (shoot_id, name)
) STRICT;
