-- What trainers said of reps shown to them with a fault or right, appended and never changed. The id is made on the
-- device that showed them.
CREATE TABLE spotting_answer (
  id          TEXT PRIMARY KEY,
  account_id  TEXT NOT NULL REFERENCES account (id),
  at_ms       INTEGER NOT NULL CHECK (at_ms > 0),
  movement    TEXT NOT NULL,
  -- Fault that was there, with its size in the unit and sign of its kind; both null where the reps were right.
  shown_fault TEXT,
  shown_size  REAL,
  -- Fault that was said to be there; null: none.
  said_fault  TEXT,
  took_ms     INTEGER NOT NULL CHECK (took_ms BETWEEN 0 AND 3600000),
  CHECK ((shown_fault IS NULL) = (shown_size IS NULL))
) STRICT;
CREATE INDEX spotting_answer_by_account ON spotting_answer (account_id, at_ms);

CREATE TRIGGER spotting_answer_stays BEFORE UPDATE ON spotting_answer
BEGIN SELECT RAISE(ABORT, 'spotting_answer is append-only'); END;
CREATE TRIGGER spotting_answer_is_kept BEFORE DELETE ON spotting_answer
BEGIN SELECT RAISE(ABORT, 'spotting_answer is append-only'); END;
