-- Who an account is at the school's identity provider: the provider's own name for it, kept at the first sign-in.
ALTER TABLE account ADD COLUMN IF NOT EXISTS provider_subject VARCHAR(255) NULL;
ALTER TABLE account ADD UNIQUE INDEX IF NOT EXISTS account_by_provider (provider_subject);
