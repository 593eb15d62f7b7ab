-- Two movements of a session whose sets take turns have the same pair; what is pinned keeps its place in its order.
ALTER TABLE session_item ADD COLUMN pair_id TEXT CHECK (length(pair_id) BETWEEN 1 AND 64);
ALTER TABLE session_item ADD COLUMN pinned INTEGER NOT NULL DEFAULT 0 CHECK (pinned IN (0, 1));

-- Regions that a client trains for, which sessions are proposed by.
CREATE TABLE client_goal (
  client_id TEXT NOT NULL REFERENCES client (id),
  region    TEXT NOT NULL,
  PRIMARY KEY (client_id, region)
) STRICT;
