-- What a clamp meter read beside the panel of a booth's machine; the newest of a booth stands, the others are kept.
CREATE TABLE IF NOT EXISTS clamp_reading (
  id UUID NOT NULL PRIMARY KEY,
  booth SMALLINT UNSIGNED NOT NULL,
  panel_a SMALLINT UNSIGNED NOT NULL,
  clamp_a SMALLINT UNSIGNED NOT NULL,
  read_by VARCHAR(80) NOT NULL,
  read_at DATETIME(3) NOT NULL,
  INDEX clamp_reading_newest (booth, read_at)
);
