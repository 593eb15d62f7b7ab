-- Counters that go up with every change, so that what was read is read again only when it changed. Triggers keep them:
-- whatever writes, none is forgotten.
CREATE TABLE fold_stamp (
  client_id TEXT NOT NULL,
  movement  TEXT NOT NULL,
  n         INTEGER NOT NULL,
  PRIMARY KEY (client_id, movement)
) STRICT;
CREATE TRIGGER item_fold_told AFTER INSERT ON item_fold BEGIN
  INSERT INTO fold_stamp (client_id, movement, n) VALUES (NEW.client_id, NEW.movement, 1)
  ON CONFLICT (client_id, movement) DO UPDATE SET n = n + 1;
END;
CREATE TRIGGER item_fold_gone AFTER DELETE ON item_fold BEGIN
  INSERT INTO fold_stamp (client_id, movement, n) VALUES (OLD.client_id, OLD.movement, 1)
  ON CONFLICT (client_id, movement) DO UPDATE SET n = n + 1;
END;

CREATE TABLE kit_stamp (
  only_row INTEGER PRIMARY KEY CHECK (only_row = 1),
  n        INTEGER NOT NULL
) STRICT;
INSERT INTO kit_stamp (only_row, n) VALUES (1, 0);
CREATE TRIGGER kit_piece_added AFTER INSERT ON kit_piece BEGIN UPDATE kit_stamp SET n = n + 1; END;
CREATE TRIGGER kit_piece_changed AFTER UPDATE ON kit_piece BEGIN UPDATE kit_stamp SET n = n + 1; END;
CREATE TRIGGER kit_piece_gone AFTER DELETE ON kit_piece BEGIN UPDATE kit_stamp SET n = n + 1; END;
CREATE TRIGGER gym_added AFTER INSERT ON gym BEGIN UPDATE kit_stamp SET n = n + 1; END;
CREATE TRIGGER gym_changed AFTER UPDATE ON gym BEGIN UPDATE kit_stamp SET n = n + 1; END;
CREATE TRIGGER gym_gone AFTER DELETE ON gym BEGIN UPDATE kit_stamp SET n = n + 1; END;
