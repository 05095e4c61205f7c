-- A school's own sets of criteria. A save keeps the ones before it: a test is judged by what was in force.
CREATE TABLE criteria_set (
  id UUID NOT NULL,
  version INT UNSIGNED NOT NULL,
  criteria JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL,
  PRIMARY KEY (id, version)
);
