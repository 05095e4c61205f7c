-- The shop as it is laid out, in versions.
CREATE TABLE IF NOT EXISTS shop_plan (
  version INT UNSIGNED NOT NULL PRIMARY KEY,
  plan JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL
);

-- What is broken in a booth: out of service until somebody clears it; cleared, it stays with who and when.
CREATE TABLE IF NOT EXISTS booth_fault (
  id UUID NOT NULL PRIMARY KEY,
  booth SMALLINT UNSIGNED NOT NULL,
  says VARCHAR(120) NOT NULL,
  noted_by VARCHAR(80) NOT NULL,
  noted_at DATETIME(3) NOT NULL,
  cleared_by VARCHAR(80) NULL,
  cleared_at DATETIME(3) NULL,
  INDEX booth_fault_open (cleared_at, booth)
);
