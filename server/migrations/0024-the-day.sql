-- What was noted of a student's day; the newest note stands, those before it keep who noted what.
CREATE TABLE IF NOT EXISTS attendance_note (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  class_day DATE NOT NULL,
  came TIME NULL,
  left_at TIME NULL,
  absent BOOLEAN NOT NULL,
  why VARCHAR(120) NOT NULL,
  noted_by VARCHAR(80) NOT NULL,
  noted_at DATETIME(3) NOT NULL,
  INDEX attendance_by_student (student_id, class_day, noted_at)
);

-- What was shown to a section, and to how many.
CREATE TABLE IF NOT EXISTS demonstration (
  id UUID NOT NULL PRIMARY KEY,
  section_id UUID NOT NULL REFERENCES section (id),
  class_day DATE NOT NULL,
  topic VARCHAR(200) NOT NULL,
  minutes SMALLINT UNSIGNED NOT NULL,
  students SMALLINT UNSIGNED NOT NULL,
  given_by VARCHAR(80) NOT NULL,
  given_at DATETIME(3) NOT NULL,
  INDEX demonstration_by_section (section_id, class_day)
);
