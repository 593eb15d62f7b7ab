-- A session is finished by hand, or called off; what was recorded in it stays and is read.
ALTER TABLE session ADD COLUMN finished_at_ms INTEGER;
ALTER TABLE session ADD COLUMN called_off_at_ms INTEGER;

-- A planned movement is skipped for a reason, or taken out of the plan; its records stay.
ALTER TABLE session_item ADD COLUMN skipped TEXT CHECK (length(skipped) BETWEEN 1 AND 200);
ALTER TABLE session_item ADD COLUMN taken_out_at_ms INTEGER;

-- Movements that are planned together again and again, for any client; of who made them, or everybody's.
CREATE TABLE plan_template (
  id         TEXT PRIMARY KEY,
  name       TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  account_id TEXT NOT NULL REFERENCES account (id),
  for_all    INTEGER NOT NULL CHECK (for_all IN (0, 1)),
  minutes    INTEGER NOT NULL CHECK (minutes BETWEEN 10 AND 240),
  movements  TEXT NOT NULL CHECK (json_valid(movements)),
  kept_at_ms INTEGER NOT NULL,
  dropped_at_ms INTEGER
) STRICT;
CREATE INDEX plan_template_by_name ON plan_template (name);
