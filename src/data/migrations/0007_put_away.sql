-- A mass that nobody measured is reckoned from the stature and said to be an estimate.
ALTER TABLE client ADD COLUMN mass_estimated INTEGER NOT NULL DEFAULT 0 CHECK (mass_estimated IN (0, 1));

-- What is no longer in use is put away and can be taken back; whatever was recorded with it stays.
ALTER TABLE client ADD COLUMN put_away_at_ms INTEGER;
ALTER TABLE kit_piece ADD COLUMN put_away_at_ms INTEGER;
ALTER TABLE gym ADD COLUMN put_away_at_ms INTEGER;
