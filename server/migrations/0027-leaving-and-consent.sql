-- When a student left, from which on the school keeps the record for as long as it says.
ALTER TABLE student ADD COLUMN IF NOT EXISTS left_on DATE NULL;
UPDATE student SET left_on = COALESCE(
  (SELECT MAX(class_day) FROM coupon WHERE coupon.student_id = student.id), student.start_date)
WHERE NOT active AND erased_at IS NULL AND left_on IS NULL;
-- Months for which the record of a student who left is kept; NULL where the school has not said.
ALTER TABLE school ADD COLUMN IF NOT EXISTS keep_months SMALLINT UNSIGNED NULL;
-- A student who is under age, and whether a guardian has agreed to the record.
CREATE TABLE IF NOT EXISTS guardian_consent (
  student_id UUID NOT NULL PRIMARY KEY REFERENCES student (id),
  of_age_on DATE NOT NULL,
  given_on DATE NULL,
  given_by VARCHAR(80) NOT NULL,
  noted_by UUID NOT NULL REFERENCES account (id),
  noted_at DATETIME(3) NOT NULL
);
