-- Every piece of kit in one table; what its kind has of its own is kept as typed (centimetres, degrees, kg or lb).
CREATE TABLE kit_piece (
  id           TEXT PRIMARY KEY,
  gym_id       TEXT NOT NULL REFERENCES gym (id),
  kind         TEXT NOT NULL CHECK (kind IN ('column', 'attachment', 'bench', 'preacher', 'machine', 'dumbbells', 'plates', 'bar', 'landmine', 'band', 'strap-anchor')),
  name         TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  out_of_order INTEGER NOT NULL DEFAULT 0 CHECK (out_of_order IN (0, 1)),
  position     INTEGER NOT NULL,
  spec         TEXT NOT NULL CHECK (json_valid(spec)),
  CHECK (kind <> 'column' OR (
    spec ->> 'holes' BETWEEN 2 AND 60 AND spec ->> 'pulleyRatio' BETWEEN 0.25 AND 8 AND spec ->> 'clearanceCm' BETWEEN 0 AND 50
    AND spec ->> 'travelCm' BETWEEN 30 AND 800 AND spec ->> 'maxDistanceCm' > spec ->> 'minDistanceCm' AND json_array_length(spec, '$.stack') > 0)),
  CHECK (kind <> 'attachment' OR spec ->> 'lengthCm' BETWEEN 0 AND 100)
) STRICT;
CREATE INDEX kit_by_gym ON kit_piece (gym_id, kind, position);

INSERT INTO kit_piece (id, gym_id, kind, name, position, spec)
SELECT s.id, s.gym_id, 'column', s.name, s.position, json_object(
  'columnKind', 'twin', 'holes', s.holes, 'numberedFrom', s.numbered_from,
  'readings', (SELECT json_group_array(json_object('hole', r.hole, 'heightCm', round(r.height_m * 100, 3))) FROM station_reading r WHERE r.station_id = s.id),
  'leftNumbering', 'same', 'leftNumberedFrom', 'bottom', 'leftReadings', json_array(),
  'twinSpacingCm', round(s.twin_spacing_m * 100, 3), 'swingDeg', 0, 'pulleyRatio', s.pulley_ratio,
  'clearanceCm', round(s.clearance_m * 100, 3), 'travelCm', round(s.travel_m * 100, 3),
  'minDistanceCm', round(s.min_distance_m * 100, 3), 'maxDistanceCm', round(s.max_distance_m * 100, 3),
  'stack', (SELECT json_group_array(k.load_g / 1000.0) FROM stack_step k WHERE k.station_id = s.id),
  'addOns', json_array(), 'stackUnit', 'kg')
FROM station s;

INSERT INTO kit_piece (id, gym_id, kind, name, position, spec)
SELECT id, gym_id, 'attachment', name, position, json_object('attachmentKind', 'd-handle', 'lengthCm', round(length_m * 100, 3), 'swivels', 'yes') FROM attachment;

CREATE TABLE session_item_next (
  id            TEXT PRIMARY KEY,
  session_id    TEXT NOT NULL REFERENCES session (id),
  position      INTEGER NOT NULL,
  movement      TEXT NOT NULL,
  side          TEXT NOT NULL CHECK (side IN ('left', 'right', 'both')),
  station_id    TEXT NOT NULL REFERENCES kit_piece (id),
  attachment_id TEXT NOT NULL REFERENCES kit_piece (id),
  sets          INTEGER NOT NULL CHECK (sets BETWEEN 1 AND 12),
  reps          INTEGER NOT NULL CHECK (reps BETWEEN 1 AND 60),
  tempo         TEXT NOT NULL,
  load_g        INTEGER NOT NULL CHECK (load_g BETWEEN 0 AND 500000),
  UNIQUE (session_id, position)
) STRICT;
INSERT INTO session_item_next SELECT * FROM session_item;
DROP TABLE session_item;
ALTER TABLE session_item_next RENAME TO session_item;
DROP TABLE stack_step;
DROP TABLE station_reading;
DROP TABLE station;
DROP TABLE attachment;

-- How long a gym takes a screening to stand, days.
ALTER TABLE gym ADD COLUMN screening_days INTEGER NOT NULL DEFAULT 365 CHECK (screening_days BETWEEN 1 AND 3650);

CREATE TABLE client_range_next (
  client_id TEXT NOT NULL REFERENCES client (id) ON DELETE CASCADE,
  side      TEXT NOT NULL CHECK (side IN ('left', 'right')),
  motion    TEXT NOT NULL,
  value_deg REAL NOT NULL CHECK (value_deg BETWEEN 0 AND 200),
  PRIMARY KEY (client_id, side, motion)
) STRICT;
INSERT INTO client_range_next SELECT * FROM client_range;
DROP TABLE client_range;
ALTER TABLE client_range_next RENAME TO client_range;

-- Observations that change defaults. `detail` names the region for does-not-feel.
CREATE TABLE client_note (
  client_id TEXT NOT NULL REFERENCES client (id) ON DELETE CASCADE,
  note      TEXT NOT NULL,
  detail    TEXT NOT NULL DEFAULT '',
  PRIMARY KEY (client_id, note, detail)
) STRICT;

-- Limits named by a clinician. Days count from 1970 (UTC); the last day counts.
CREATE TABLE client_limit (
  client_id TEXT NOT NULL REFERENCES client (id) ON DELETE CASCADE,
  position  INTEGER NOT NULL,
  subject   TEXT NOT NULL,
  side      TEXT NOT NULL CHECK (side IN ('left', 'right', 'both')),
  most      REAL NOT NULL CHECK (most BETWEEN 0 AND 500),
  set_by    TEXT NOT NULL CHECK (length(set_by) BETWEEN 1 AND 80),
  from_day  INTEGER NOT NULL,
  until_day INTEGER CHECK (until_day IS NULL OR until_day >= from_day),
  PRIMARY KEY (client_id, position)
) STRICT;

-- How far behind the body the elbow goes along an arm path, per side.
CREATE TABLE client_arm_path (
  client_id TEXT NOT NULL REFERENCES client (id) ON DELETE CASCADE,
  side      TEXT NOT NULL CHECK (side IN ('left', 'right')),
  below_deg REAL NOT NULL CHECK (below_deg BETWEEN -10 AND 60),
  behind_m  REAL NOT NULL CHECK (behind_m BETWEEN -0.3 AND 0.5),
  PRIMARY KEY (client_id, side, below_deg)
) STRICT;

-- That the facility's screening was done: appended, never changed.
CREATE TABLE screening (
  id             TEXT PRIMARY KEY,
  client_id      TEXT NOT NULL REFERENCES client (id),
  day            INTEGER NOT NULL,
  done_by        TEXT NOT NULL CHECK (length(done_by) BETWEEN 1 AND 80),
  procedure      TEXT NOT NULL CHECK (length(procedure) BETWEEN 1 AND 200),
  recorded_at_ms INTEGER NOT NULL
) STRICT;
CREATE INDEX screening_by_client ON screening (client_id, day);
CREATE TRIGGER screening_stays BEFORE UPDATE ON screening
BEGIN SELECT RAISE(ABORT, 'screening is append-only'); END;
CREATE TRIGGER screening_is_kept BEFORE DELETE ON screening
BEGIN SELECT RAISE(ABORT, 'screening is append-only'); END;
