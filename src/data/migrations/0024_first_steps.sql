-- First steps of a new gym that were skipped; whether one is done is seen from the records themselves.
CREATE TABLE first_step (
  step          TEXT PRIMARY KEY,
  skipped_at_ms INTEGER NOT NULL,
  actor_id      TEXT NOT NULL
) STRICT;

-- A piece whose sizes are what such a piece usually has, until somebody measured it.
ALTER TABLE kit_piece ADD COLUMN as_usual INTEGER NOT NULL DEFAULT 0 CHECK (as_usual IN (0, 1));
