-- What progress goes by, read off the document: it cannot differ from it.
ALTER TABLE coupon
  ADD COLUMN rung VARCHAR(200) AS (JSON_VALUE(document, '$.ticket.rung')) PERSISTENT,
  ADD COLUMN hand VARCHAR(5) AS (JSON_VALUE(document, '$.ticket.hand')) PERSISTENT,
  ADD COLUMN travel VARCHAR(13) AS (JSON_VALUE(document, '$.ticket.travel')) PERSISTENT,
  ADD COLUMN mock BOOLEAN AS (JSON_VALUE(document, '$.mock') IN ('1', 'true')) PERSISTENT;

-- What a student's coupons add up to. A save raises the serial; what was computed at another serial, or by other curves, is computed again when it is wanted.
CREATE TABLE student_progress (
  student_id UUID NOT NULL PRIMARY KEY REFERENCES student (id),
  serial INT UNSIGNED NOT NULL,
  computed INT UNSIGNED NULL,
  curves INT UNSIGNED NULL,
  kept JSON NULL
);

-- How sound work comes with practice in this school, fitted now and then over all its students.
CREATE TABLE school_curve (
  version INT UNSIGNED NOT NULL PRIMARY KEY,
  curves JSON NOT NULL,
  coupons INT UNSIGNED NOT NULL,
  fitted_at DATETIME(3) NOT NULL
);

CREATE TABLE ladder (
  version INT UNSIGNED NOT NULL PRIMARY KEY,
  ladder JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL
);

-- What an instructor wants a student to run next, whatever is proposed.
CREATE TABLE next_pin (
  student_id UUID NOT NULL PRIMARY KEY REFERENCES student (id),
  rung_id VARCHAR(64) NOT NULL,
  over_rung VARCHAR(80) NOT NULL,
  pinned_by VARCHAR(80) NOT NULL,
  pinned_at DATETIME(3) NOT NULL
);

-- A rung with an instructor's name on it. `live` is NULL once it was taken back: one live sign-off a rung.
CREATE TABLE sign_off (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  rung_id VARCHAR(64) NOT NULL,
  live TINYINT NULL,
  out_of_turn ENUM('early', 'late') NULL,
  stood VARCHAR(200) NOT NULL,
  why VARCHAR(400) NOT NULL,
  signed_by VARCHAR(80) NOT NULL,
  signed_at DATETIME(3) NOT NULL,
  taken_back_by VARCHAR(80) NULL,
  taken_back_at DATETIME(3) NULL,
  taken_back_why VARCHAR(400) NULL,
  UNIQUE KEY sign_off_once (student_id, rung_id, live)
);
