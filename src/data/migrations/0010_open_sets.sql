-- Sets that were begun and not ended are asked for every time the floor is shown.
CREATE INDEX set_fold_open ON set_fold (started_at_ms) WHERE ended_at_ms IS NULL;
