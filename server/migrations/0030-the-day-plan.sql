-- Who runs what in which booth on a section's class day, in versions.
CREATE TABLE IF NOT EXISTS day_plan (
  section_id UUID NOT NULL REFERENCES section (id),
  class_day DATE NOT NULL,
  version INT UNSIGNED NOT NULL,
  plan JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL,
  PRIMARY KEY (section_id, class_day, version)
);
