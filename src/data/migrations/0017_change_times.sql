-- Seconds that a gym's changes between movements take, where somebody entered them.
CREATE TABLE change_time (
  gym_id  TEXT NOT NULL REFERENCES gym (id),
  change  TEXT NOT NULL CHECK (change IN ('side', 'hole', 'handle', 'station')),
  seconds INTEGER NOT NULL CHECK (seconds BETWEEN 0 AND 900),
  PRIMARY KEY (gym_id, change)
) STRICT;
