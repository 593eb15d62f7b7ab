-- Two sessions of two clients who train together have the same id here; each keeps its own movements and loads.
ALTER TABLE session ADD COLUMN together_id TEXT CHECK (length(together_id) BETWEEN 1 AND 64);
CREATE INDEX session_together ON session (together_id) WHERE together_id IS NOT NULL;
