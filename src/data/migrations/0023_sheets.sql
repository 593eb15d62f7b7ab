-- How the columns of a spreadsheet were read, by its headers: the next one with the same headers is read the same way.
CREATE TABLE sheet_reading (
  headers   TEXT PRIMARY KEY,
  reading   TEXT NOT NULL CHECK (json_valid(reading)),
  actor_id  TEXT NOT NULL,
  at_ms     INTEGER NOT NULL
) STRICT;

-- What a name in a spreadsheet stands for: a movement of the book, or a client.
CREATE TABLE sheet_name (
  said      TEXT NOT NULL COLLATE NOCASE,
  movement  TEXT,
  client_id TEXT REFERENCES client (id),
  actor_id  TEXT NOT NULL,
  at_ms     INTEGER NOT NULL,
  CHECK ((movement IS NULL) <> (client_id IS NULL))
) STRICT;
CREATE UNIQUE INDEX sheet_name_movement ON sheet_name (said) WHERE movement IS NOT NULL;
CREATE UNIQUE INDEX sheet_name_client ON sheet_name (said) WHERE client_id IS NOT NULL;
