CREATE TABLE house_rules (
  version INT UNSIGNED NOT NULL PRIMARY KEY,
  rules JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL
);

CREATE TABLE coupon (
  id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL REFERENCES student (id),
  class_day DATE NOT NULL,
  position CHAR(3) NOT NULL,
  rod_family VARCHAR(20) NOT NULL,
  verdict ENUM('move on', 'run it again', 'start over') NOT NULL,
  score TINYINT UNSIGNED NOT NULL,
  next_run VARCHAR(400) NOT NULL,
  version INT UNSIGNED NOT NULL,
  document JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by UUID NOT NULL REFERENCES account (id),
  INDEX coupon_by_student (student_id, class_day, id)
);

CREATE TABLE coupon_revision (
  coupon_id UUID NOT NULL REFERENCES coupon (id),
  version INT UNSIGNED NOT NULL,
  document JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by UUID NOT NULL REFERENCES account (id),
  why VARCHAR(400) NOT NULL,
  PRIMARY KEY (coupon_id, version)
);

-- Clustered by student: a record reads one stretch of pages, however many coupons the school holds.
CREATE TABLE evidence (
  student_id UUID NOT NULL,
  coupon_id UUID NOT NULL REFERENCES coupon (id),
  element VARCHAR(20) NOT NULL,
  class_day DATE NOT NULL,
  position CHAR(3) NOT NULL,
  rod_family VARCHAR(20) NOT NULL,
  tried DOUBLE NOT NULL,
  sound DOUBLE NOT NULL,
  workable DOUBLE NOT NULL,
  PRIMARY KEY (student_id, coupon_id, element)
);

CREATE TABLE flaw (
  student_id UUID NOT NULL,
  coupon_id UUID NOT NULL REFERENCES coupon (id),
  flaw VARCHAR(60) NOT NULL,
  count SMALLINT UNSIGNED NOT NULL,
  length_mm DOUBLE NOT NULL,
  PRIMARY KEY (student_id, coupon_id, flaw)
);
