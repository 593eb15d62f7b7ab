CREATE TABLE gym (
  id   TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80)
) STRICT;

-- A twin cable column. Heights in metres come from the readings below.
CREATE TABLE station (
  id              TEXT PRIMARY KEY,
  gym_id          TEXT NOT NULL REFERENCES gym (id),
  name            TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  holes           INTEGER NOT NULL CHECK (holes BETWEEN 2 AND 60),
  numbered_from   TEXT NOT NULL CHECK (numbered_from IN ('bottom', 'top')),
  twin_spacing_m  REAL NOT NULL CHECK (twin_spacing_m BETWEEN 0.3 AND 8),
  pulley_ratio    REAL NOT NULL CHECK (pulley_ratio BETWEEN 0.25 AND 8),
  clearance_m     REAL NOT NULL CHECK (clearance_m BETWEEN 0 AND 0.5),
  travel_m        REAL NOT NULL CHECK (travel_m BETWEEN 0.3 AND 8),
  min_distance_m  REAL NOT NULL CHECK (min_distance_m BETWEEN -2 AND 2),
  max_distance_m  REAL NOT NULL CHECK (max_distance_m BETWEEN 0 AND 6 AND max_distance_m > min_distance_m),
  position        INTEGER NOT NULL
) STRICT;

CREATE TABLE station_reading (
  station_id TEXT NOT NULL REFERENCES station (id) ON DELETE CASCADE,
  hole       INTEGER NOT NULL CHECK (hole BETWEEN 1 AND 60),
  height_m   REAL NOT NULL CHECK (height_m BETWEEN 0 AND 4),
  PRIMARY KEY (station_id, hole)
) STRICT;

CREATE TABLE stack_step (
  station_id TEXT NOT NULL REFERENCES station (id) ON DELETE CASCADE,
  load_g     INTEGER NOT NULL CHECK (load_g BETWEEN 1 AND 500000),
  PRIMARY KEY (station_id, load_g)
) STRICT;

CREATE TABLE attachment (
  id       TEXT PRIMARY KEY,
  gym_id   TEXT NOT NULL REFERENCES gym (id),
  name     TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  length_m REAL NOT NULL CHECK (length_m BETWEEN 0 AND 1),
  position INTEGER NOT NULL
) STRICT;

CREATE TABLE client (
  id        TEXT PRIMARY KEY,
  name      TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  stature_m REAL NOT NULL CHECK (stature_m BETWEEN 1.2 AND 2.3),
  mass_kg   REAL NOT NULL CHECK (mass_kg BETWEEN 25 AND 300),
  note      TEXT NOT NULL CHECK (length(note) <= 400)
) STRICT;

CREATE TABLE client_measure (
  client_id TEXT NOT NULL REFERENCES client (id) ON DELETE CASCADE,
  measure   TEXT NOT NULL,
  value_m   REAL NOT NULL CHECK (value_m > 0 AND value_m <= 2.3),
  PRIMARY KEY (client_id, measure)
) STRICT;

CREATE TABLE client_range (
  client_id TEXT NOT NULL REFERENCES client (id) ON DELETE CASCADE,
  side      TEXT NOT NULL CHECK (side IN ('left', 'right')),
  motion    TEXT NOT NULL,
  value_deg REAL NOT NULL CHECK (value_deg BETWEEN 0 AND 160),
  PRIMARY KEY (client_id, side, motion)
) STRICT;

CREATE TABLE session (
  id            TEXT PRIMARY KEY,
  gym_id        TEXT NOT NULL REFERENCES gym (id),
  client_id     TEXT NOT NULL REFERENCES client (id),
  starts_at_ms  INTEGER NOT NULL,
  minutes       INTEGER NOT NULL CHECK (minutes BETWEEN 10 AND 240)
) STRICT;
CREATE INDEX session_by_start ON session (starts_at_ms);

-- One movement of a session, as planned.
CREATE TABLE session_item (
  id            TEXT PRIMARY KEY,
  session_id    TEXT NOT NULL REFERENCES session (id),
  position      INTEGER NOT NULL,
  movement      TEXT NOT NULL,
  side          TEXT NOT NULL CHECK (side IN ('left', 'right', 'both')),
  station_id    TEXT NOT NULL REFERENCES station (id),
  attachment_id TEXT NOT NULL REFERENCES attachment (id),
  sets          INTEGER NOT NULL CHECK (sets BETWEEN 1 AND 12),
  reps          INTEGER NOT NULL CHECK (reps BETWEEN 1 AND 60),
  tempo         TEXT NOT NULL,
  load_g        INTEGER NOT NULL CHECK (load_g BETWEEN 0 AND 500000),
  UNIQUE (session_id, position)
) STRICT;

-- What happened on the floor: appended, never changed. The id is made on the device that saw it.
CREATE TABLE floor_event (
  id             TEXT PRIMARY KEY,
  device_id      TEXT NOT NULL,
  seq            INTEGER NOT NULL,
  at_ms          INTEGER NOT NULL CHECK (at_ms > 0),
  received_at_ms INTEGER NOT NULL,
  client_id      TEXT NOT NULL REFERENCES client (id),
  item_id        TEXT NOT NULL REFERENCES session_item (id),
  movement       TEXT NOT NULL,
  kind           TEXT NOT NULL,
  body           TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
CREATE INDEX floor_event_by_client ON floor_event (client_id, movement, at_ms);

CREATE TRIGGER floor_event_stays BEFORE UPDATE ON floor_event
BEGIN SELECT RAISE(ABORT, 'floor_event is append-only'); END;
CREATE TRIGGER floor_event_is_kept BEFORE DELETE ON floor_event
BEGIN SELECT RAISE(ABORT, 'floor_event is append-only'); END;
