-- A mount's worm sways about its mean rate: from end to end in arcseconds, and how long a turn takes.
ALTER TABLE accessory ADD COLUMN periodic_arcsec REAL NOT NULL DEFAULT 0;
ALTER TABLE accessory ADD COLUMN period_s REAL NOT NULL DEFAULT 600;
