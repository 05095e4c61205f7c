-- What somebody said of a bead shown for practice. When each comes back follows from these alone.
CREATE TABLE bead_answer (
  id UUID NOT NULL PRIMARY KEY,
  reader_kind ENUM('student', 'instructor') NOT NULL,
  reader_id UUID NOT NULL,
  card VARCHAR(32) NOT NULL,
  said_cause VARCHAR(32) NOT NULL,
  said_change VARCHAR(32) NOT NULL,
  answered_at DATETIME(3) NOT NULL,
  INDEX bead_answer_by_reader (reader_id, answered_at)
);
