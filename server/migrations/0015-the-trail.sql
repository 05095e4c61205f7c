-- Who did what to whose record, and when. Rows are added and never changed; names are looked up when it is read.
CREATE TABLE IF NOT EXISTS trail (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  at DATETIME(3) NOT NULL,
  account_id UUID NULL REFERENCES account (id),
  student_reader_id UUID NULL,
  tablet_id UUID NULL,
  did VARCHAR(60) NOT NULL,
  subject_id UUID NULL,
  student_id UUID NULL,
  INDEX trail_by_student (student_id, id),
  INDEX trail_by_account (account_id, id)
);
