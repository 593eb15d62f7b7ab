-- What programs are known by: a token acts as the account that made it, as far as its scopes reach.
CREATE TABLE api_token (
  id          TEXT PRIMARY KEY,
  account_id  TEXT NOT NULL REFERENCES account (id),
  name        TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  token_hash  TEXT NOT NULL UNIQUE,
  scopes      TEXT NOT NULL CHECK (json_valid(scopes)),
  made_at_ms  INTEGER NOT NULL,
  used_at_ms  INTEGER,
  ended_at_ms INTEGER
) STRICT;
CREATE INDEX api_token_by_account ON api_token (account_id, made_at_ms);
