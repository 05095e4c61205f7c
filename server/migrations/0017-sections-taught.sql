-- Instructors may be tied to sections; one that is tied to none in particular teaches all, as before.
ALTER TABLE account ADD COLUMN IF NOT EXISTS tied BOOLEAN NOT NULL DEFAULT FALSE AFTER student_id;

CREATE TABLE IF NOT EXISTS account_section (
  account_id UUID NOT NULL REFERENCES account (id),
  section_id UUID NOT NULL REFERENCES section (id),
  PRIMARY KEY (account_id, section_id),
  INDEX account_section_by_section (section_id)
);
