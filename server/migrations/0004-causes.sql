-- The cause of a coupon as its instructor said it, and when a school began to count anew.
CREATE TABLE cause_said (
  coupon_id UUID NOT NULL PRIMARY KEY,
  student_id UUID NOT NULL,
  cause VARCHAR(30) NOT NULL,
  said_at DATETIME(3) NOT NULL
);

CREATE TABLE cause_reset (
  reset_at DATETIME(3) NOT NULL PRIMARY KEY,
  reset_by VARCHAR(80) NOT NULL,
  why VARCHAR(400) NOT NULL
);
