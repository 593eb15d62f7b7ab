-- Traces are few among what was tapped, and asked for by the movement that they belong to.
CREATE INDEX floor_event_trace ON floor_event (item_id) WHERE kind = 'trace';
