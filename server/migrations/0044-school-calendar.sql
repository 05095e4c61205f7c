-- The days on which the school, or one of its sections, has no class, in versions.
CREATE TABLE IF NOT EXISTS school_calendar (
  version INT UNSIGNED NOT NULL PRIMARY KEY,
  calendar JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL
);
