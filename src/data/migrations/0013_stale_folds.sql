-- Planned movements with records that their fold does not tell yet: a tap only names its movement here, and whoever
-- reads next folds it, or the pages' process when it has nothing else to do.
CREATE TABLE stale_fold (
  item_id   TEXT PRIMARY KEY REFERENCES session_item (id),
  client_id TEXT NOT NULL,
  -- Goes up with every record that came since: a fold that was begun before is not the last one.
  n         INTEGER NOT NULL
) STRICT;
CREATE INDEX stale_fold_by_client ON stale_fold (client_id, item_id, n);
