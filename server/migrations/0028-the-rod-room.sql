-- Rods by the maker's lot.
CREATE TABLE IF NOT EXISTS rod_lot (
  id UUID NOT NULL PRIMARY KEY,
  classification VARCHAR(20) NOT NULL,
  diameter_mm DECIMAL(5, 3) NOT NULL,
  makers_lot VARCHAR(40) NOT NULL,
  resistant BOOLEAN NOT NULL,
  received_on DATE NOT NULL,
  rods_in_box SMALLINT UNSIGNED NOT NULL,
  box_price_cents INT UNSIGNED NULL,
  place VARCHAR(60) NOT NULL,
  saved_by VARCHAR(80) NOT NULL,
  saved_at DATETIME(3) NOT NULL
);

-- The book of the rod room: what came, was drawn, came back, was re-dried, binned or counted. Lines are only added.
CREATE TABLE IF NOT EXISTS rod_movement (
  id UUID NOT NULL PRIMARY KEY,
  lot_id UUID NOT NULL REFERENCES rod_lot (id),
  kind VARCHAR(10) NOT NULL,
  rods SMALLINT NOT NULL,
  handful_id UUID NULL,
  student_id UUID NULL REFERENCES student (id),
  booth SMALLINT UNSIGNED NULL,
  stubs JSON NULL,
  why VARCHAR(200) NOT NULL,
  noted_by VARCHAR(80) NOT NULL,
  noted_at DATETIME(3) NOT NULL,
  INDEX rod_movement_by_lot (lot_id, noted_at),
  INDEX rod_movement_by_student (student_id, noted_at),
  INDEX rod_movement_by_time (noted_at)
);

-- Temperatures of the holding ovens, by hand or by the oven itself.
CREATE TABLE IF NOT EXISTS oven_reading (
  id UUID NOT NULL PRIMARY KEY,
  oven VARCHAR(40) NOT NULL,
  celsius DECIMAL(5, 1) NOT NULL,
  door_open BOOLEAN NOT NULL,
  read_by VARCHAR(80) NOT NULL,
  read_at DATETIME(3) NOT NULL,
  INDEX oven_reading_newest (oven, read_at)
);
