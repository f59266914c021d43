-- Views of the goods that were kept, and an order among featured products.

CREATE TABLE view (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  text TEXT NOT NULL,
  -- as JSON
  rule TEXT NOT NULL,
  sort TEXT NOT NULL
) STRICT;

-- lower stands further in front, among those that are featured
ALTER TABLE product ADD COLUMN featured_place INTEGER NOT NULL DEFAULT 0;
