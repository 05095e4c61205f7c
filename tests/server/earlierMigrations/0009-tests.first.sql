-- A test, whole, in one row; what can be counted stands beside it.
CREATE TABLE test_record (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  family VARCHAR(12) NOT NULL,
  position VARCHAR(4) NOT NULL,
  piece_name VARCHAR(80) NOT NULL,
  test_day DATE NOT NULL,
  state VARCHAR(14) NOT NULL,
  odds DOUBLE NULL,
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

-- The process used under a witness: a qualification stands six months from the last.
CREATE TABLE process_use (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  used_on DATE NOT NULL,
  witness VARCHAR(80) NOT NULL,
  noted_by VARCHAR(80) NOT NULL,
  noted_at DATETIME(3) NOT NULL,
  INDEX use_by_student (student_id, used_on)
);
