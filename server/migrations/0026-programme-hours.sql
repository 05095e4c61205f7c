-- Hours that the school's programme asks for, of a position or of all work; NULL where it asks for none.
ALTER TABLE school ADD COLUMN IF NOT EXISTS programme JSON NULL;
