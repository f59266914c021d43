-- What shoppers looked at, by day (midnight UTC, seconds since 1970): how often, and how often as the first page of a visit.
-- Nothing of who they are.
CREATE TABLE page_view (
  day INTEGER NOT NULL,
  -- product, category, collection, brand, tag, page, search, or another part of the shop
  kind TEXT NOT NULL,
  -- '' where there is but one
  id TEXT NOT NULL,
  times INTEGER NOT NULL,
  entries INTEGER NOT NULL,
  PRIMARY KEY (day, kind, id)
) STRICT, WITHOUT ROWID;

-- Up to which change a person has looked at what others did.
ALTER TABLE user ADD COLUMN looked_at INTEGER NOT NULL DEFAULT 0;
