-- What the model gave the cause that was told, and the changes that were made found by index: those that helped are
-- evidence of their cause.
ALTER TABLE coupon ADD COLUMN IF NOT EXISTS told_odds DOUBLE NULL AFTER told_cause;
ALTER TABLE sign_course ADD INDEX IF NOT EXISTS course_by_done (done, student_id);
