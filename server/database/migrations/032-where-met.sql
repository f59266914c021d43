-- From where goods were opened, by day (midnight UTC, seconds since 1970). Nothing of who opened them.
CREATE TABLE met (
  day INTEGER NOT NULL,
  product_id TEXT NOT NULL,
  -- category, collection, brand, tag, page, product, search, outside, or another part of the shop
  kind TEXT NOT NULL,
  -- '' where there is but one
  id TEXT NOT NULL,
  times INTEGER NOT NULL,
  PRIMARY KEY (day, product_id, kind, id)
) STRICT, WITHOUT ROWID;
