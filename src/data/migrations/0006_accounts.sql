-- Who this database is, so that a tablet does not deliver its taps to another one.
CREATE TABLE identity (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  id  TEXT NOT NULL
) STRICT;
INSERT INTO identity (one, id) VALUES (1, lower(hex(randomblob(16))));

-- Who may sign in. Never deleted, since records carry their ids: ended.
CREATE TABLE account (
  id              TEXT PRIMARY KEY,
  name            TEXT NOT NULL UNIQUE COLLATE NOCASE CHECK (length(name) BETWEEN 1 AND 80),
  role            TEXT NOT NULL CHECK (role IN ('owner', 'trainer')),
  -- Argon2id; null where nobody signs in with a passphrase (the demo's accounts).
  passphrase_hash TEXT,
  ended_at_ms     INTEGER
) STRICT;

-- One device that is signed in. Of its token only a digest is kept.
CREATE TABLE account_session (
  id            TEXT PRIMARY KEY,
  account_id    TEXT NOT NULL REFERENCES account (id),
  token_hash    TEXT NOT NULL UNIQUE,
  previous_hash TEXT UNIQUE,
  device        TEXT NOT NULL CHECK (length(device) BETWEEN 1 AND 80),
  begun_at_ms   INTEGER NOT NULL,
  rotated_at_ms INTEGER NOT NULL,
  seen_at_ms    INTEGER NOT NULL,
  ended_at_ms   INTEGER,
  pin_hash      TEXT,
  pin_tries     INTEGER NOT NULL DEFAULT 0
) STRICT;
CREATE INDEX session_by_account ON account_session (account_id, begun_at_ms);

-- Failed tries to sign in, by the name tried and by where from; old ones are dropped.
CREATE TABLE sign_in_try (
  id    INTEGER PRIMARY KEY,
  name  TEXT NOT NULL COLLATE NOCASE,
  place TEXT NOT NULL,
  at_ms INTEGER NOT NULL
) STRICT;
CREATE INDEX sign_in_try_by_time ON sign_in_try (at_ms);

-- Whose client this is; null: nobody's yet, seen by the owner alone.
ALTER TABLE client ADD COLUMN trainer_id TEXT;

-- Another trainer stands in for a while; who let them is in the changes. Days count from 1970 as the gym's clock has them; the last day counts.
CREATE TABLE client_cover (
  id            TEXT PRIMARY KEY,
  client_id     TEXT NOT NULL REFERENCES client (id),
  account_id    TEXT NOT NULL REFERENCES account (id),
  from_day      INTEGER NOT NULL,
  until_day     INTEGER NOT NULL CHECK (until_day >= from_day),
  ended_at_ms   INTEGER
) STRICT;
CREATE INDEX cover_by_client ON client_cover (client_id);

-- Who changed what, when, from what to what: appended, never changed.
CREATE TABLE change (
  id         INTEGER PRIMARY KEY,
  at_ms      INTEGER NOT NULL,
  actor_id   TEXT NOT NULL,
  subject    TEXT NOT NULL CHECK (subject IN ('client', 'screening', 'plan', 'kit', 'gym', 'variant', 'setup', 'care', 'account', 'records')),
  subject_id TEXT NOT NULL,
  client_id  TEXT,
  -- Keys from the outside in, as a JSON list; empty for the whole of it.
  path       TEXT NOT NULL CHECK (json_valid(path)),
  before     TEXT CHECK (before IS NULL OR json_valid(before)),
  after      TEXT CHECK (after IS NULL OR json_valid(after))
) STRICT;
CREATE INDEX change_by_client ON change (client_id, id);
CREATE TRIGGER change_stays BEFORE UPDATE ON change
BEGIN SELECT RAISE(ABORT, 'change is append-only'); END;
CREATE TRIGGER change_is_kept BEFORE DELETE ON change
BEGIN SELECT RAISE(ABORT, 'change is append-only'); END;
