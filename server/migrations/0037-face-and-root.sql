-- What coupons said of a test's face and of its root, and what came of each by eye: null where nobody told them apart.
ALTER TABLE test_record
  ADD COLUMN IF NOT EXISTS coupons_face DOUBLE NULL AFTER coupons_visual,
  ADD COLUMN IF NOT EXISTS coupons_root DOUBLE NULL AFTER coupons_face,
  ADD COLUMN IF NOT EXISTS face_passed BOOLEAN NULL AFTER visual_passed,
  ADD COLUMN IF NOT EXISTS root_passed BOOLEAN NULL AFTER face_passed;
