-- Which school this is: every answer is marked with it, so that a page knows its own server from whatever else answers.
CREATE TABLE IF NOT EXISTS school_mark (id TINYINT NOT NULL PRIMARY KEY, mark CHAR(36) NOT NULL);
INSERT IGNORE INTO school_mark (id, mark) VALUES (1, UUID());

-- Devices at which an account has signed in: they have turns of their own at the door.
CREATE TABLE IF NOT EXISTS known_device (
  id UUID NOT NULL,
  account_id UUID NOT NULL REFERENCES account (id),
  device VARCHAR(80) NOT NULL,
  last_at DATETIME(3) NOT NULL,
  PRIMARY KEY (id, account_id)
);

-- Tablets that were handed over to a section's students, and under which number somebody reads at one.
CREATE TABLE IF NOT EXISTS tablet (
  id UUID NOT NULL PRIMARY KEY,
  section_id UUID NOT NULL REFERENCES section (id),
  handed_by UUID NOT NULL REFERENCES account (id),
  device VARCHAR(80) NOT NULL,
  handed_at DATETIME(3) NOT NULL,
  seen_at DATETIME(3) NOT NULL,
  turn INT NOT NULL DEFAULT 0,
  ended_at DATETIME(3) NULL,
  INDEX tablet_of_section (section_id, ended_at)
);

-- A way in for one account, made at the server's own console: it is used once, and soon over.
CREATE TABLE IF NOT EXISTS way_in (
  account_id UUID NOT NULL PRIMARY KEY REFERENCES account (id),
  code_hash CHAR(64) NOT NULL,
  until DATETIME(3) NOT NULL
);

-- A browser that was not heard of for a while may say later what was done meanwhile, and from when on.
ALTER TABLE sign_in ADD COLUMN IF NOT EXISTS silent_from DATETIME(3) NULL;
ALTER TABLE tablet ADD COLUMN IF NOT EXISTS silent_from DATETIME(3) NULL;

-- A coupon is read when it is read, whenever that is sent.
ALTER TABLE coupon ADD COLUMN IF NOT EXISTS read_at DATETIME(3) NULL;

-- A student who has seen how a coupon was read reads it blind no more.
ALTER TABLE coupon ADD COLUMN IF NOT EXISTS student_saw_at DATETIME(3) NULL;

-- Schools that were made by one earlier program have an index more than they need.
ALTER TABLE coupon DROP INDEX IF EXISTS coupon_by_save;
