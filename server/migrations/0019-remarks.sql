-- What is to be remembered next time, of a student, of a booth, or of the section; ticked off, it stays with who and when.
CREATE TABLE IF NOT EXISTS remark (
  id UUID NOT NULL PRIMARY KEY,
  section_id UUID NOT NULL REFERENCES section (id),
  student_id UUID NULL REFERENCES student (id),
  booth SMALLINT UNSIGNED NULL,
  says VARCHAR(200) NOT NULL,
  left_by VARCHAR(80) NOT NULL,
  left_at DATETIME(3) NOT NULL,
  ticked_by VARCHAR(80) NULL,
  ticked_at DATETIME(3) NULL,
  INDEX remark_by_section (section_id, ticked_at, left_at),
  CHECK (student_id IS NULL OR booth IS NULL)
);
