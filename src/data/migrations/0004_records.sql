-- Who recorded or last changed a row, and which version of a record's JSON it holds. Rows from before were written by
-- the one trainer there was, in the first version.
ALTER TABLE floor_event ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';
ALTER TABLE floor_event ADD COLUMN body_version INTEGER NOT NULL DEFAULT 1 CHECK (body_version >= 1);
ALTER TABLE kit_piece ADD COLUMN spec_version INTEGER NOT NULL DEFAULT 1 CHECK (spec_version >= 1);
ALTER TABLE kit_piece ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';
ALTER TABLE movement_variant ADD COLUMN options_version INTEGER NOT NULL DEFAULT 1 CHECK (options_version >= 1);
ALTER TABLE movement_variant ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';
ALTER TABLE gym ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';
ALTER TABLE client ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';
ALTER TABLE screening ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';
ALTER TABLE session ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';
ALTER TABLE session_item ADD COLUMN actor_id TEXT NOT NULL DEFAULT 'trainer';

-- A limit on a load says what it holds for: until now they were all meant for the hand.
UPDATE client_limit SET subject = 'load-in-hand' WHERE subject = 'load';
