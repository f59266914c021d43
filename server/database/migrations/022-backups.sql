-- When backups are made by themselves, and how the last one went.
CREATE TABLE backup_plan (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  nightly INTEGER NOT NULL CHECK (nightly IN (0, 1)),
  hour INTEGER NOT NULL CHECK (hour BETWEEN 0 AND 23),
  keep INTEGER NOT NULL CHECK (keep BETWEEN 1 AND 60),
  -- the last one by plan that was begun, and why it came to nothing
  begun TEXT,
  problem TEXT NOT NULL DEFAULT ''
) STRICT;
