-- A password that a lead gave is one that somebody else knows: it is changed at the first sign-in.
ALTER TABLE account ADD COLUMN IF NOT EXISTS password_given BOOLEAN NOT NULL DEFAULT FALSE AFTER password_hash;
