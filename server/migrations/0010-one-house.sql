-- A coupon is counted for the rung that its ticket names by id: a rung that is renamed keeps its coupons.
ALTER TABLE coupon
  ADD COLUMN IF NOT EXISTS rung_id VARCHAR(64) AS (JSON_VALUE(document, '$.ticket.rungId')) PERSISTENT;

-- By which house rules a student's progress was computed: other rules, other half-life.
ALTER TABLE student_progress ADD COLUMN IF NOT EXISTS rules INT UNSIGNED NULL;

-- Why a test was saved over, as with coupons.
ALTER TABLE test_revision ADD COLUMN IF NOT EXISTS why VARCHAR(400) NOT NULL DEFAULT '';

-- Where the school's days begin and end; empty is where its server stands.
ALTER TABLE school ADD COLUMN IF NOT EXISTS time_zone VARCHAR(64) NOT NULL DEFAULT '';

-- Tries that failed, one row for each account, code, tablet or address, and when its next is free.
CREATE TABLE IF NOT EXISTS sign_in_turn (
  subject VARCHAR(120) NOT NULL PRIMARY KEY,
  failures INT UNSIGNED NOT NULL,
  last_at DATETIME(3) NOT NULL,
  free_at DATETIME(3) NOT NULL
);
DROP TABLE IF EXISTS sign_in_failure;

-- A session holds the number it was begun under; it ends when the number is raised.
ALTER TABLE account ADD COLUMN IF NOT EXISTS session_number INT UNSIGNED NOT NULL DEFAULT 1;
ALTER TABLE student ADD COLUMN IF NOT EXISTS session_number INT UNSIGNED NOT NULL DEFAULT 1;

-- How little the model had thought of a cause that was said: by so much it teaches something.
ALTER TABLE cause_said ADD COLUMN IF NOT EXISTS surprise DOUBLE NOT NULL DEFAULT 0.5;

-- What is looked up by time has an index.
ALTER TABLE blind_reading ADD INDEX IF NOT EXISTS reading_by_kind (reader_kind, made_at);
ALTER TABLE cause_said ADD INDEX IF NOT EXISTS cause_by_time (said_at);

-- Three of the steps before this one were changed after schools had been made by them. What follows brings every
-- earlier state to the same tables, and does nothing where they are so already.
ALTER TABLE evidence DROP FOREIGN KEY IF EXISTS evidence_ibfk_1;
ALTER TABLE evidence DROP INDEX IF EXISTS coupon_id;
ALTER TABLE flaw DROP FOREIGN KEY IF EXISTS flaw_ibfk_1;
ALTER TABLE flaw DROP INDEX IF EXISTS coupon_id;
CREATE TABLE IF NOT EXISTS next_pin (
  student_id UUID NOT NULL PRIMARY KEY REFERENCES student (id),
  rung_id VARCHAR(64) NOT NULL,
  over_rung VARCHAR(80) NOT NULL,
  pinned_by VARCHAR(80) NOT NULL,
  pinned_at DATETIME(3) NOT NULL
);
ALTER TABLE cause_said ADD INDEX IF NOT EXISTS cause_by_student (student_id);
ALTER TABLE test_record
  ADD COLUMN IF NOT EXISTS book_id VARCHAR(64) NOT NULL DEFAULT 'structural' AFTER student_id,
  ADD COLUMN IF NOT EXISTS book_version INT UNSIGNED NOT NULL DEFAULT 0 AFTER book_id,
  ADD COLUMN IF NOT EXISTS classification VARCHAR(20) NOT NULL DEFAULT 'E7018' AFTER piece_name,
  ADD COLUMN IF NOT EXISTS processes VARCHAR(20) NOT NULL DEFAULT 'SMAW' AFTER classification,
  ADD COLUMN IF NOT EXISTS retest_of UUID NULL AFTER odds,
  ADD COLUMN IF NOT EXISTS retest_pieces TINYINT UNSIGNED NULL AFTER retest_of,
  ADD COLUMN IF NOT EXISTS bent SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER retest_pieces,
  ADD COLUMN IF NOT EXISTS opened SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER bent,
  DROP COLUMN IF EXISTS family;
ALTER TABLE process_use
  ADD COLUMN IF NOT EXISTS process ENUM('SMAW', 'GTAW') NOT NULL DEFAULT 'SMAW' AFTER student_id,
  ADD COLUMN IF NOT EXISTS kind ENUM('used', 'confirmed') NOT NULL DEFAULT 'used' AFTER process;
CREATE TABLE IF NOT EXISTS code_book (
  id UUID NOT NULL,
  version INT UNSIGNED NOT NULL,
  book JSON NOT NULL,
  retired BOOLEAN NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL,
  PRIMARY KEY (id, version)
);
