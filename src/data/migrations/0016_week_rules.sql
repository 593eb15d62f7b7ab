-- How a week's sets of a muscle are counted and judged, where it is not as the program begins with.
CREATE TABLE week_rule (
  muscle   TEXT PRIMARY KEY,
  indirect REAL NOT NULL CHECK (indirect BETWEEN 0 AND 1),
  least    INTEGER NOT NULL CHECK (least BETWEEN 0 AND 60),
  most     INTEGER NOT NULL CHECK (most BETWEEN least AND 60)
) STRICT;
