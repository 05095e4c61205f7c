-- Marks of a row that a test would reject, by the criteria that reject them.
ALTER TABLE evidence ADD COLUMN IF NOT EXISTS rejected JSON NULL;

-- What the whole school had wrong when its curves were fitted.
ALTER TABLE school_curve ADD COLUMN IF NOT EXISTS wrong JSON NULL;

-- What was said of a test's stages on the day it was planned, and whether its visual was passed.
ALTER TABLE test_record
  ADD COLUMN IF NOT EXISTS said_visual DOUBLE NULL AFTER odds,
  ADD COLUMN IF NOT EXISTS said_bends DOUBLE NULL AFTER said_visual,
  ADD COLUMN IF NOT EXISTS visual_passed BOOLEAN NULL AFTER said_bends;
