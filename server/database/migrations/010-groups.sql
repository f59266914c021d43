-- Groups with pages of their own, orders, pins and days; what was sold on which day.

ALTER TABLE category ADD COLUMN picture TEXT;
ALTER TABLE category ADD COLUMN meta_title TEXT NOT NULL DEFAULT '';
ALTER TABLE category ADD COLUMN meta_description TEXT NOT NULL DEFAULT '';
ALTER TABLE category ADD COLUMN noindex INTEGER NOT NULL DEFAULT 0;
ALTER TABLE category ADD COLUMN standing TEXT NOT NULL DEFAULT 'live' CHECK (standing IN ('live', 'off'));
ALTER TABLE category ADD COLUMN spec_sheet_id TEXT REFERENCES spec_sheet (id) ON DELETE SET NULL;
-- product ids in order, as JSON
ALTER TABLE category ADD COLUMN pins TEXT NOT NULL DEFAULT '[]';
-- name of an order, or an order as JSON
ALTER TABLE category ADD COLUMN sort TEXT NOT NULL DEFAULT 'featured';

ALTER TABLE collection ADD COLUMN picture TEXT;
ALTER TABLE collection ADD COLUMN meta_title TEXT NOT NULL DEFAULT '';
ALTER TABLE collection ADD COLUMN meta_description TEXT NOT NULL DEFAULT '';
ALTER TABLE collection ADD COLUMN noindex INTEGER NOT NULL DEFAULT 0;
ALTER TABLE collection ADD COLUMN standing TEXT NOT NULL DEFAULT 'live' CHECK (standing IN ('live', 'off'));
ALTER TABLE collection ADD COLUMN live_from TEXT;
ALTER TABLE collection ADD COLUMN live_until TEXT;
ALTER TABLE collection ADD COLUMN pins TEXT NOT NULL DEFAULT '[]';
ALTER TABLE collection ADD COLUMN left_out TEXT NOT NULL DEFAULT '[]';
ALTER TABLE collection ADD COLUMN fewest INTEGER;
ALTER TABLE collection ADD COLUMN most INTEGER;

ALTER TABLE brand ADD COLUMN text TEXT NOT NULL DEFAULT '';
ALTER TABLE brand ADD COLUMN picture TEXT;
ALTER TABLE brand ADD COLUMN meta_title TEXT NOT NULL DEFAULT '';
ALTER TABLE brand ADD COLUMN meta_description TEXT NOT NULL DEFAULT '';
ALTER TABLE brand ADD COLUMN noindex INTEGER NOT NULL DEFAULT 0;
ALTER TABLE brand ADD COLUMN listed INTEGER NOT NULL DEFAULT 0;

ALTER TABLE tag ADD COLUMN text TEXT NOT NULL DEFAULT '';
ALTER TABLE tag ADD COLUMN picture TEXT;
ALTER TABLE tag ADD COLUMN meta_title TEXT NOT NULL DEFAULT '';
ALTER TABLE tag ADD COLUMN meta_description TEXT NOT NULL DEFAULT '';
ALTER TABLE tag ADD COLUMN noindex INTEGER NOT NULL DEFAULT 0;
ALTER TABLE tag ADD COLUMN listed INTEGER NOT NULL DEFAULT 0;

-- Pieces sold, by day. A ledger, like what shoppers do with stock: not part of an edition, and not undone.
CREATE TABLE sale (
  product_id TEXT NOT NULL,
  -- midnight UTC, seconds since 1970
  day INTEGER NOT NULL,
  pieces INTEGER NOT NULL CHECK (pieces > 0),
  PRIMARY KEY (product_id, day)
) STRICT, WITHOUT ROWID;
