-- The hour on the school's wall at which a class day begins: past midnight where classes go on past it.
ALTER TABLE school ADD COLUMN IF NOT EXISTS day_turns_at TINYINT UNSIGNED NOT NULL DEFAULT 0;
