-- The code with which a student reads at the shared tablet; null until an instructor gives one.
ALTER TABLE student ADD COLUMN code_hash VARCHAR(255) NULL;

-- A coupon as somebody read it without seeing the instructor's marks. A student may read before the coupon itself is kept.
CREATE TABLE blind_reading (
  id UUID NOT NULL PRIMARY KEY,
  coupon_id UUID NOT NULL,
  student_id UUID NOT NULL REFERENCES student (id),
  reader_kind ENUM('student', 'instructor') NOT NULL,
  reader_id UUID NOT NULL,
  stage ENUM('before chipping', 'after chipping') NOT NULL,
  class_day DATE NOT NULL,
  document JSON NOT NULL,
  made_at DATETIME(3) NOT NULL,
  UNIQUE KEY reading_once (coupon_id, reader_id, stage),
  INDEX reading_by_student (student_id, made_at)
);
