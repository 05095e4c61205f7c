-- What kind of piece a try was made on, and one coupon may be run with rods of two families.
ALTER TABLE evidence
  ADD COLUMN work VARCHAR(10) NOT NULL DEFAULT 'plate' AFTER class_day,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (student_id, coupon_id, element, rod_family);
