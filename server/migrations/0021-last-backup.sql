-- When the last good backup was made: the House says so.
ALTER TABLE school ADD COLUMN IF NOT EXISTS last_backup_at DATETIME(3) NULL;
