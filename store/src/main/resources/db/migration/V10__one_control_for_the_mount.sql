-- What the camera turns with was asked twice of an eclipse: as a wish of the subject and as a choice of the rig. The choice stays.
INSERT OR REPLACE INTO shoot_rig_choice (shoot_id, position, name, value)
  SELECT w.shoot_id, r.position, 'MOUNT', CASE w.value WHEN 'LUNAR_RATE' THEN 'LUNAR' ELSE 'SOLAR' END
  FROM shoot_wish w JOIN shoot_rig r ON r.shoot_id = w.shoot_id
  WHERE (w.name = 'LUNAR_MOUNT' AND w.value = 'LUNAR_RATE') OR (w.name = 'SOLAR_MOUNT' AND w.value = 'SOLAR_RATE');
DELETE FROM shoot_wish WHERE name IN ('LUNAR_MOUNT', 'SOLAR_MOUNT');
DELETE FROM shoot_change WHERE field IN ('LUNAR_MOUNT', 'SOLAR_MOUNT') OR field LIKE '%:LUNAR_MOUNT' OR field LIKE '%:SOLAR_MOUNT';
