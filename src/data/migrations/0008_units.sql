-- How lengths and body masses are said: in a gym, and by a client where that differs (null: as in the gym).
ALTER TABLE gym ADD COLUMN said_in TEXT NOT NULL DEFAULT 'metric' CHECK (said_in IN ('metric', 'feet-pounds'));
ALTER TABLE client ADD COLUMN said_in TEXT CHECK (said_in IN ('metric', 'feet-pounds'));
