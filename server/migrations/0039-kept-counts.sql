-- What every page asks for is kept as a count that a save moves: it takes no longer in a school of long standing.
-- What was said of causes since it last began to be counted anew, of each student; of the whole school under no id.
CREATE TABLE IF NOT EXISTS cause_tally (
  student_id CHAR(36) NOT NULL,
  cause VARCHAR(30) NOT NULL,
  said INT NOT NULL,
  surprise DECIMAL(22, 12) NOT NULL,
  PRIMARY KEY (student_id, cause)
);
INSERT INTO cause_tally (student_id, cause, said, surprise)
  SELECT student_id, cause, COUNT(*), SUM(ROUND(surprise, 12)) FROM cause_said
  WHERE said_at > COALESCE((SELECT MAX(reset_at) FROM cause_reset), '1970-01-01') GROUP BY student_id, cause
  ON DUPLICATE KEY UPDATE said = VALUES(said), surprise = VALUES(surprise);
INSERT INTO cause_tally (student_id, cause, said, surprise)
  SELECT '', cause, COUNT(*), SUM(ROUND(surprise, 12)) FROM cause_said
  WHERE said_at > COALESCE((SELECT MAX(reset_at) FROM cause_reset), '1970-01-01') GROUP BY cause
  ON DUPLICATE KEY UPDATE said = VALUES(said), surprise = VALUES(surprise);

-- How often each sign went, by the cause it was told for; under no cause where it was left alone.
CREATE TABLE IF NOT EXISTS sign_tally (
  sign VARCHAR(40) NOT NULL,
  cause VARCHAR(40) NOT NULL,
  seen INT NOT NULL,
  gone INT NOT NULL,
  PRIMARY KEY (sign, cause)
);
INSERT INTO sign_tally (sign, cause, seen, gone)
  SELECT sign, COALESCE(cause, ''), COUNT(*), SUM(gone) FROM sign_course GROUP BY sign, COALESCE(cause, '')
  ON DUPLICATE KEY UPDATE seen = VALUES(seen), gone = VALUES(gone);
ALTER TABLE sign_course ADD INDEX IF NOT EXISTS course_done_newest (done, coupon_id);

-- How many rods of a lot lie in the store.
ALTER TABLE rod_lot ADD COLUMN IF NOT EXISTS rods INT NOT NULL DEFAULT 0;
UPDATE rod_lot SET rods = COALESCE((SELECT SUM(rod_movement.rods) FROM rod_movement WHERE lot_id = rod_lot.id), 0);
ALTER TABLE rod_movement ADD INDEX IF NOT EXISTS rod_movement_by_kind (kind, noted_at);

-- The coupons of the last weeks are found by their day.
ALTER TABLE coupon ADD INDEX IF NOT EXISTS coupon_by_day (class_day);
