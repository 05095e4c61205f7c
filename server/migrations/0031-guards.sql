-- What only one may decide at a time, over rows that the decision itself does not write: whoever decides writes here.
CREATE TABLE IF NOT EXISTS guard (
  name VARCHAR(60) NOT NULL PRIMARY KEY,
  turn INT UNSIGNED NOT NULL
);
