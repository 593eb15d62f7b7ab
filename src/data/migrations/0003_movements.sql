-- Lower border of the client's chest, degrees below level: the line of a fly for the lower chest.
ALTER TABLE client ADD COLUMN chest_line_deg REAL CHECK (chest_line_deg IS NULL OR chest_line_deg BETWEEN 0 AND 80);

-- A trainer's own way of doing a movement of the book; spec holds its choices.
CREATE TABLE movement_variant (
  id       TEXT PRIMARY KEY,
  movement TEXT NOT NULL,
  name     TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  cue      TEXT NOT NULL CHECK (length(cue) <= 60),
  options  TEXT NOT NULL CHECK (json_valid(options)),
  kept_at_ms INTEGER NOT NULL
) STRICT;
CREATE INDEX variant_by_movement ON movement_variant (movement, kept_at_ms);

-- Movements without a cable need no column: planned kit is what they hang on or are held by, if anything.
CREATE TABLE session_item_next (
  id            TEXT PRIMARY KEY,
  session_id    TEXT NOT NULL REFERENCES session (id),
  position      INTEGER NOT NULL,
  movement      TEXT NOT NULL,
  variant_id    TEXT REFERENCES movement_variant (id),
  side          TEXT NOT NULL CHECK (side IN ('left', 'right', 'both')),
  station_id    TEXT REFERENCES kit_piece (id),
  attachment_id TEXT REFERENCES kit_piece (id),
  sets          INTEGER NOT NULL CHECK (sets BETWEEN 1 AND 12),
  reps          INTEGER NOT NULL CHECK (reps BETWEEN 1 AND 60),
  tempo         TEXT NOT NULL,
  load_g        INTEGER NOT NULL CHECK (load_g BETWEEN 0 AND 500000),
  CHECK (attachment_id IS NULL OR station_id IS NOT NULL),
  UNIQUE (session_id, position)
) STRICT;
INSERT INTO session_item_next (id, session_id, position, movement, side, station_id, attachment_id, sets, reps, tempo, load_g)
SELECT id, session_id, position, movement, side, station_id, attachment_id, sets, reps, tempo, load_g FROM session_item;
DROP TABLE session_item;
ALTER TABLE session_item_next RENAME TO session_item;
