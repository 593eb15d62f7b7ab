-- What the sets of a planned movement are to be where they are not alike: blocks of sets, reps, reps kept and load.
ALTER TABLE session_item ADD COLUMN aims TEXT CHECK (json_valid(aims));
