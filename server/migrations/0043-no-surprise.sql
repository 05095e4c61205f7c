-- What is expected took its place.
ALTER TABLE cause_said DROP COLUMN IF EXISTS surprise;
ALTER TABLE cause_tally DROP COLUMN IF EXISTS surprise;
