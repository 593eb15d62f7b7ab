-- Sides taken once where practitioners differ: of a client, or of a trainer for all clients of theirs.
CREATE TABLE practice_choice (
  client_id  TEXT REFERENCES client (id),
  account_id TEXT REFERENCES account (id),
  question   TEXT NOT NULL,
  side       TEXT NOT NULL,
  since_ms   INTEGER NOT NULL,
  CHECK ((client_id IS NULL) <> (account_id IS NULL))
) STRICT;
CREATE UNIQUE INDEX practice_choice_of_client ON practice_choice (client_id, question) WHERE client_id IS NOT NULL;
CREATE UNIQUE INDEX practice_choice_of_account ON practice_choice (account_id, question) WHERE account_id IS NOT NULL;
