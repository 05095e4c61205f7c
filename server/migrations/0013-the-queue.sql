-- A coupon that is ready to be read. What is over keeps when and how it ended; a student waits once at a time.
CREATE TABLE IF NOT EXISTS waiting (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  since DATETIME(3) NOT NULL,
  said_by ENUM('student', 'instructor') NOT NULL,
  ended DATETIME(3) NULL,
  how ENUM('read', 'taken back') NULL,
  still UUID AS (IF(ended IS NULL, student_id, NULL)) PERSISTENT,
  UNIQUE KEY waits_once (still),
  INDEX waiting_by_student (student_id, since)
);

-- Who reads a student's coupon at this moment, so that two instructors do not take the same one.
CREATE TABLE IF NOT EXISTS reading_hold (
  student_id UUID NOT NULL PRIMARY KEY REFERENCES student (id),
  account_id UUID NOT NULL REFERENCES account (id),
  since DATETIME(3) NOT NULL
);

-- Raised by whatever changes a section's floor, in the same transaction: open screens look at it.
CREATE TABLE IF NOT EXISTS floor_serial (
  section_id UUID NOT NULL PRIMARY KEY REFERENCES section (id),
  serial BIGINT UNSIGNED NOT NULL
);
