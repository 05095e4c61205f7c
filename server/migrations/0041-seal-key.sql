-- What an account leaves unsent in a shared browser is sealed by this: given to whoever signs in as that account.
ALTER TABLE account ADD COLUMN IF NOT EXISTS seal_key CHAR(44) NULL;
