-- What a student said was read, in the words that were shown; a text that is changed is asked about again.
CREATE TABLE IF NOT EXISTS caution_read (
  student_id UUID NOT NULL REFERENCES student (id),
  text_sha BINARY(32) NOT NULL,
  says VARCHAR(400) NOT NULL,
  read_at DATETIME(3) NOT NULL,
  said_by VARCHAR(80) NOT NULL,
  PRIMARY KEY (student_id, text_sha)
);
