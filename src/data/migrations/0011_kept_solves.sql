-- What a case was solved to, by a hash of the case and of the code that solved it: nothing is solved a second time after
-- a restart. It follows from the rest and may be emptied at any time; what is older than a month is let go.
CREATE TABLE kept_solve (
  hash TEXT PRIMARY KEY,
  day  INTEGER NOT NULL,
  told TEXT NOT NULL CHECK (json_valid(told))
) STRICT;
CREATE INDEX kept_solve_by_day ON kept_solve (day);
