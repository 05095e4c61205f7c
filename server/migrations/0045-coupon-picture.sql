-- Pictures of coupons: what each shows and where the coupon lies on it. The picture itself is a file beside the
-- database, under the student's id, called by its own digest. A picture can come before its coupon is saved.
CREATE TABLE IF NOT EXISTS coupon_picture (
  id UUID NOT NULL PRIMARY KEY,
  coupon_id UUID NOT NULL,
  student_id UUID NOT NULL REFERENCES student (id),
  side VARCHAR(10) NOT NULL,
  state VARCHAR(10) NOT NULL,
  lies JSON NULL,
  width_px SMALLINT UNSIGNED NOT NULL,
  height_px SMALLINT UNSIGNED NOT NULL,
  digest CHAR(64) NOT NULL,
  taken_at DATETIME(3) NOT NULL,
  taken_by VARCHAR(80) NOT NULL,
  INDEX picture_of_coupon (coupon_id),
  INDEX picture_of_student (student_id, digest),
  INDEX picture_by_age (taken_at)
);
