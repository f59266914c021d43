-- Goods that stand in pages of other sites, and feeds that other services fetch: what each is, as JSON.
CREATE TABLE embed (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  body TEXT NOT NULL
) STRICT;

CREATE TABLE feed (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  body TEXT NOT NULL
) STRICT;

-- The part of the address of a feed that nobody guesses. It is no part of the history: what was replaced stays replaced.
CREATE TABLE feed_secret (
  feed_id TEXT PRIMARY KEY,
  secret TEXT NOT NULL,
  -- when it was fetched last, and how often
  fetched TEXT,
  fetches INTEGER NOT NULL DEFAULT 0
) STRICT;

-- Keys with which programs read what the shop holds: only what is derived from each is kept.
CREATE TABLE api_key (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  hash TEXT NOT NULL UNIQUE,
  -- its first letters, by which people tell it apart
  begins TEXT NOT NULL,
  scopes TEXT NOT NULL,
  created TEXT NOT NULL,
  used TEXT
) STRICT;

-- Columns that a seller takes out together, by name.
CREATE TABLE column_set (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  body TEXT NOT NULL
) STRICT;

-- How columns of files are taken, by name.
CREATE TABLE column_mapping (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  body TEXT NOT NULL
) STRICT;
