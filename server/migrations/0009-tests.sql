-- A test, whole, in one row; what can be counted stands beside it.
CREATE TABLE test_record (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  book_id VARCHAR(64) NOT NULL,
  book_version INT UNSIGNED NOT NULL,
  position VARCHAR(4) NOT NULL,
  piece_name VARCHAR(80) NOT NULL,
  classification VARCHAR(20) NOT NULL,
  processes VARCHAR(20) NOT NULL,
  test_day DATE NOT NULL,
  state VARCHAR(14) NOT NULL,
  odds DOUBLE NULL,
  retest_of UUID NULL,
  retest_pieces TINYINT UNSIGNED NULL,
  bent SMALLINT UNSIGNED NOT NULL,
  opened SMALLINT UNSIGNED NOT NULL,
  version INT UNSIGNED NOT NULL,
  document JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by UUID NOT NULL REFERENCES account (id),
  INDEX test_by_student (student_id, test_day),
  INDEX test_by_day (test_day)
);

CREATE TABLE test_revision (
  test_id UUID NOT NULL REFERENCES test_record (id),
  version INT UNSIGNED NOT NULL,
  document JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by UUID NOT NULL REFERENCES account (id),
  PRIMARY KEY (test_id, version)
);

-- The process used under a witness, or its use confirmed: a qualification stands so many months from the last.
CREATE TABLE process_use (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  process ENUM('SMAW', 'GTAW') NOT NULL,
  kind ENUM('used', 'confirmed') NOT NULL,
  used_on DATE NOT NULL,
  witness VARCHAR(80) NOT NULL,
  noted_by VARCHAR(80) NOT NULL,
  noted_at DATETIME(3) NOT NULL,
  INDEX use_by_student (student_id, used_on)
);

-- A school's own copies of code books, each version whole: a test names the version it was judged by.
CREATE TABLE code_book (
  id UUID NOT NULL,
  version INT UNSIGNED NOT NULL,
  book JSON NOT NULL,
  retired BOOLEAN NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL,
  PRIMARY KEY (id, version)
);
