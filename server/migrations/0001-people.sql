CREATE TABLE school (
  id TINYINT UNSIGNED NOT NULL PRIMARY KEY DEFAULT 1 CHECK (id = 1),
  name VARCHAR(80) NOT NULL
);

CREATE TABLE section (
  id UUID NOT NULL PRIMARY KEY,
  name VARCHAR(80) NOT NULL UNIQUE,
  meetings JSON NOT NULL,
  term_from DATE NOT NULL,
  term_to DATE NOT NULL
);

CREATE TABLE student (
  id UUID NOT NULL PRIMARY KEY,
  name VARCHAR(80) NOT NULL,
  hand ENUM('right', 'left') NOT NULL,
  section_id UUID NOT NULL REFERENCES section (id),
  start_date DATE NOT NULL,
  booth SMALLINT UNSIGNED NULL,
  active BOOLEAN NOT NULL DEFAULT TRUE,
  INDEX student_by_section (section_id, active, name)
);

CREATE TABLE account (
  id UUID NOT NULL PRIMARY KEY,
  name VARCHAR(80) NOT NULL,
  username VARCHAR(40) NOT NULL UNIQUE,
  role ENUM('lead', 'instructor', 'student') NOT NULL,
  student_id UUID NULL REFERENCES student (id),
  password_hash VARCHAR(255) NOT NULL,
  active BOOLEAN NOT NULL DEFAULT TRUE,
  CHECK ((role = 'student') = (student_id IS NOT NULL))
);

CREATE TABLE sign_in_failure (
  subject VARCHAR(120) NOT NULL,
  at DATETIME(3) NOT NULL,
  INDEX sign_in_failure_by_subject (subject, at)
);
