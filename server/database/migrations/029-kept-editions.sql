-- Which old editions are kept; no row: all of them.
CREATE TABLE edition_rule (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  days INTEGER NOT NULL,
  then_one TEXT NOT NULL CHECK (then_one IN ('week', 'month'))
) STRICT;
