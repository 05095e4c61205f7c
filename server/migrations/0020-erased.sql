-- A person who was erased: what was counted stays, without a name. By whom and why is kept.
ALTER TABLE student ADD COLUMN IF NOT EXISTS erased_at DATETIME(3) NULL;
ALTER TABLE student ADD COLUMN IF NOT EXISTS erased_by VARCHAR(80) NULL;
ALTER TABLE student ADD COLUMN IF NOT EXISTS erased_why VARCHAR(400) NULL;
