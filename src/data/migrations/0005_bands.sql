-- The band that a movement from a bar is planned with.
ALTER TABLE session_item ADD COLUMN band_id TEXT REFERENCES kit_piece (id);
