-- Files that goods come in with. They are looked at and mended before anything is done, so they are no part of the journal;
-- what is done with them is a change like any other.
CREATE TABLE import_file (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  at TEXT NOT NULL,
  user_id TEXT,
  -- as it arrived
  content BLOB NOT NULL,
  -- how it is read, and what is to be done with it
  settings TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('open', 'done')),
  outcome TEXT NOT NULL DEFAULT ''
) STRICT;

-- What columns were taken for, by their headings: the next file with them needs no telling.
CREATE TABLE import_heading (
  heading TEXT PRIMARY KEY,
  key TEXT NOT NULL
) STRICT, WITHOUT ROWID;
