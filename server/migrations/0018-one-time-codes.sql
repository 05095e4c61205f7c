-- A second factor by one-time codes (RFC 6238); the last step that was used is not used again.
ALTER TABLE account ADD COLUMN IF NOT EXISTS code_secret VARCHAR(64) NULL AFTER password_given;
ALTER TABLE account ADD COLUMN IF NOT EXISTS code_step INT UNSIGNED NOT NULL DEFAULT 0 AFTER code_secret;
ALTER TABLE school ADD COLUMN IF NOT EXISTS staff_codes BOOLEAN NOT NULL DEFAULT FALSE;

CREATE TABLE IF NOT EXISTS recovery_code (
  account_id UUID NOT NULL REFERENCES account (id),
  hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (account_id, hash)
);
