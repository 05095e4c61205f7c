-- Beside a cause that was said stands what had been expected: of every cause, so that odds can fall as well as rise.
-- Of what was said before, only the odds of the cause itself are known, until all is derived again.
ALTER TABLE cause_said ADD COLUMN IF NOT EXISTS expected JSON NULL;
UPDATE cause_said SET expected = JSON_ARRAY(JSON_OBJECT('cause', cause, 'expected', ROUND(1 - surprise, 12)))
  WHERE expected IS NULL;
ALTER TABLE cause_tally ADD COLUMN IF NOT EXISTS expected DECIMAL(22, 12) NOT NULL DEFAULT 0;
UPDATE cause_tally SET expected = said - surprise;
