-- Odds by stage are kept as the coupons alone say them, before tests of the school move them: what a test was planned
-- with until now stands for that.
ALTER TABLE test_record
  CHANGE COLUMN IF EXISTS said_visual coupons_visual DOUBLE NULL,
  CHANGE COLUMN IF EXISTS said_bends coupons_bends DOUBLE NULL;
