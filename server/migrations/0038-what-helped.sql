-- What the model gave the cause that was told. Changes that were made are found by index, and what went by itself is
-- counted in one: those that helped are evidence of their cause.
ALTER TABLE coupon ADD COLUMN IF NOT EXISTS told_odds DOUBLE NULL AFTER told_cause;
ALTER TABLE sign_course
  ADD INDEX IF NOT EXISTS course_by_done (done, student_id),
  ADD INDEX IF NOT EXISTS course_alone (cause, sign, gone);
