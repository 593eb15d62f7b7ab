-- What the records of a planned movement tell, kept beside them: one row a set, one a fault, one a correction, one a
-- stop for pain and one a set-up. The records stay the truth: whatever arrives, in any order, its movement is folded
-- again and its rows are replaced in the same transaction. A fold of an older version is made anew when it is read.
CREATE TABLE item_fold (
  item_id    TEXT PRIMARY KEY REFERENCES session_item (id),
  client_id  TEXT NOT NULL REFERENCES client (id),
  movement   TEXT NOT NULL,
  -- Its earliest record.
  at_ms      INTEGER NOT NULL,
  version    INTEGER NOT NULL,
  unreadable TEXT NOT NULL CHECK (json_valid(unreadable))
) STRICT;
CREATE INDEX item_fold_by_client ON item_fold (client_id, movement, at_ms);

CREATE TABLE setup_fold (
  item_id    TEXT NOT NULL REFERENCES item_fold (item_id) ON DELETE CASCADE,
  id         TEXT NOT NULL,
  at_ms      INTEGER NOT NULL,
  station_id TEXT,
  body       TEXT NOT NULL CHECK (json_valid(body)),
  PRIMARY KEY (item_id, id)
) STRICT;

CREATE TABLE set_fold (
  item_id       TEXT NOT NULL REFERENCES item_fold (item_id) ON DELETE CASCADE,
  set_id        TEXT NOT NULL,
  set_no        INTEGER NOT NULL,
  started_at_ms INTEGER NOT NULL,
  ended_at_ms   INTEGER,
  load_g        INTEGER NOT NULL,
  band_id       TEXT,
  reps          INTEGER NOT NULL,
  target_reps   INTEGER NOT NULL,
  tempo         TEXT NOT NULL,
  scheme        TEXT NOT NULL,
  choices       TEXT NOT NULL CHECK (json_valid(choices)),
  parts         TEXT NOT NULL CHECK (json_valid(parts)),
  clean_to      INTEGER NOT NULL,
  note          TEXT NOT NULL,
  confirmed     INTEGER NOT NULL CHECK (confirmed IN (0, 1)),
  setup_id      TEXT,
  PRIMARY KEY (item_id, set_id)
) STRICT;

CREATE TABLE fault_fold (
  item_id  TEXT NOT NULL REFERENCES item_fold (item_id) ON DELETE CASCADE,
  set_id   TEXT NOT NULL,
  position INTEGER NOT NULL,
  id       TEXT NOT NULL,
  rep      INTEGER NOT NULL,
  fault    TEXT NOT NULL,
  side     TEXT NOT NULL,
  severity INTEGER NOT NULL,
  PRIMARY KEY (item_id, set_id, position)
) STRICT;

CREATE TABLE correction_fold (
  item_id        TEXT NOT NULL REFERENCES item_fold (item_id) ON DELETE CASCADE,
  set_id         TEXT NOT NULL,
  position       INTEGER NOT NULL,
  id             TEXT NOT NULL,
  fault          TEXT NOT NULL,
  correction     TEXT NOT NULL,
  cause          TEXT NOT NULL,
  outcome        TEXT,
  outcome_id     TEXT,
  outcome_set_id TEXT,
  PRIMARY KEY (item_id, set_id, position)
) STRICT;

CREATE TABLE pain_fold (
  item_id TEXT NOT NULL REFERENCES item_fold (item_id) ON DELETE CASCADE,
  id      TEXT NOT NULL,
  set_id  TEXT,
  at_ms   INTEGER NOT NULL,
  rep     INTEGER NOT NULL,
  note    TEXT NOT NULL,
  PRIMARY KEY (item_id, id)
) STRICT;

-- The records of a planned movement; what is said of a correction or taken back may be tapped in a later session.
CREATE INDEX floor_event_by_item ON floor_event (item_id);
CREATE INDEX floor_event_outcome ON floor_event (json_extract(body, '$.correctionId')) WHERE kind = 'outcome';
CREATE INDEX floor_event_undo ON floor_event (json_extract(body, '$.eventId')) WHERE kind = 'undo';
CREATE INDEX session_by_client ON session (client_id, starts_at_ms);

-- The version that every movement is folded in; none while records from before are still to be folded.
CREATE TABLE fold_state (only_row INTEGER PRIMARY KEY CHECK (only_row = 1), version INTEGER NOT NULL) STRICT;
INSERT INTO fold_state (only_row, version) SELECT 1, 1 WHERE NOT EXISTS (SELECT 1 FROM floor_event);
