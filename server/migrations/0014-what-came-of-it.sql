-- The cause that a coupon's words would put right, and the newest before it of one kind is found by index.
ALTER TABLE coupon ADD COLUMN IF NOT EXISTS told_cause VARCHAR(40) NULL AFTER next_run;

-- What became of a sign from one coupon to the next of its kind, and whether a change was told for it.
CREATE TABLE IF NOT EXISTS sign_course (
  coupon_id UUID NOT NULL REFERENCES coupon (id),
  sign VARCHAR(40) NOT NULL,
  before_id UUID NOT NULL REFERENCES coupon (id),
  student_id UUID NOT NULL REFERENCES student (id),
  told_by UUID NOT NULL REFERENCES account (id),
  cause VARCHAR(40) NULL,
  done BOOLEAN NULL,
  gone BOOLEAN NOT NULL,
  PRIMARY KEY (coupon_id, sign),
  INDEX course_by_before (before_id),
  INDEX course_by_student (student_id, cause),
  INDEX course_by_cause (cause, sign)
);
