-- The day on which a lot's first box was opened: until then its rods are dry in their sealed boxes.
ALTER TABLE rod_lot ADD COLUMN IF NOT EXISTS opened_on DATE NULL;

-- Of lots that were drawn from before anybody asked, it is the day of the first drawing.
UPDATE rod_lot SET opened_on = (
  SELECT DATE(MIN(noted_at)) FROM rod_movement WHERE lot_id = rod_lot.id AND kind = 'issued')
WHERE opened_on IS NULL;
