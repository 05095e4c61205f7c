-- A handful's lines are looked up by its number at every line that is written to the book of rods.
CREATE INDEX IF NOT EXISTS rod_movement_by_handful ON rod_movement (handful_id);
