-- Sets that were begun and not ended are asked for every time the floor is shown.
CREATE INDEX set_fold_open ON set_fold (started_at_ms) WHERE ended_at_ms IS NULL;

-- How many sets a planned movement has, beside it: a list of clients counts theirs without reading them.
ALTER TABLE item_fold ADD COLUMN sets INTEGER NOT NULL DEFAULT 0;
CREATE INDEX item_fold_sets ON item_fold (client_id, sets);
