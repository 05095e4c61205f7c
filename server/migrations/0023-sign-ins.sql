-- Where an account is signed in: each sealed session names its row, and ends with it.
CREATE TABLE IF NOT EXISTS sign_in (
  id UUID NOT NULL PRIMARY KEY,
  account_id UUID NOT NULL REFERENCES account (id),
  session_number INT UNSIGNED NOT NULL,
  device VARCHAR(80) NOT NULL,
  began_at DATETIME(3) NOT NULL,
  seen_at DATETIME(3) NOT NULL,
  KEY sign_in_account (account_id)
);

-- Minutes after which a screen that nobody touches is signed out; null for never.
ALTER TABLE school ADD COLUMN IF NOT EXISTS idle_minutes SMALLINT UNSIGNED NULL;
