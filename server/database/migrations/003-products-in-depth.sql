-- What a product page holds beyond words, pictures, options and prices. Defaults are those of core/catalog/product.ts.

CREATE TABLE spec_sheet (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  -- list of attributes as JSON, in order
  attributes TEXT NOT NULL DEFAULT '[]'
) STRICT;

ALTER TABLE product ADD COLUMN sale_from TEXT;
ALTER TABLE product ADD COLUMN sale_until TEXT;
ALTER TABLE product ADD COLUMN quantity_prices TEXT NOT NULL DEFAULT '[]';
ALTER TABLE product ADD COLUMN unit_pricing TEXT;
ALTER TABLE product ADD COLUMN tax_class TEXT NOT NULL DEFAULT 'standard';
ALTER TABLE product ADD COLUMN price_on_request INTEGER NOT NULL DEFAULT 0;
ALTER TABLE product ADD COLUMN hide_price_when_sold_out INTEGER NOT NULL DEFAULT 0;
ALTER TABLE product ADD COLUMN when_sold_out TEXT NOT NULL DEFAULT 'keep';
ALTER TABLE product ADD COLUMN order_delay TEXT NOT NULL DEFAULT '';
ALTER TABLE product ADD COLUMN weight INTEGER;
ALTER TABLE product ADD COLUMN size TEXT;
ALTER TABLE product ADD COLUMN package_sort TEXT NOT NULL DEFAULT '';
ALTER TABLE product ADD COLUMN dispatch_days INTEGER;
ALTER TABLE product ADD COLUMN supplier TEXT NOT NULL DEFAULT '';
ALTER TABLE product ADD COLUMN meta_title TEXT NOT NULL DEFAULT '';
ALTER TABLE product ADD COLUMN meta_description TEXT NOT NULL DEFAULT '';
ALTER TABLE product ADD COLUMN noindex INTEGER NOT NULL DEFAULT 0;
ALTER TABLE product ADD COLUMN live_from TEXT;
ALTER TABLE product ADD COLUMN live_until TEXT;
ALTER TABLE product ADD COLUMN spec_sheet_id TEXT REFERENCES spec_sheet (id) ON DELETE SET NULL;
ALTER TABLE product ADD COLUMN specs TEXT NOT NULL DEFAULT '{}';
ALTER TABLE product ADD COLUMN custom_fields TEXT NOT NULL DEFAULT '[]';
ALTER TABLE product ADD COLUMN goes_with TEXT NOT NULL DEFAULT '{"how":"none"}';
ALTER TABLE product ADD COLUMN step_up TEXT NOT NULL DEFAULT '{"how":"none"}';
ALTER TABLE product ADD COLUMN similar TEXT NOT NULL DEFAULT '{"how":"sameCategory"}';
CREATE INDEX product_spec_sheet ON product (spec_sheet_id);

ALTER TABLE variant ADD COLUMN barcode TEXT NOT NULL DEFAULT '';
ALTER TABLE variant ADD COLUMN supplier_number TEXT NOT NULL DEFAULT '';
ALTER TABLE variant ADD COLUMN warn_at INTEGER;
ALTER TABLE variant ADD COLUMN content INTEGER;
ALTER TABLE variant ADD COLUMN weight INTEGER;

-- Prices of variants as shoppers met them, from each edition on that changed them: for the lowest price of the last 30 days.
CREATE TABLE price_span (
  variant_id TEXT NOT NULL,
  -- seconds since 1970
  since INTEGER NOT NULL,
  price INTEGER NOT NULL,
  sale_price INTEGER,
  sale_from TEXT,
  sale_until TEXT,
  PRIMARY KEY (variant_id, since)
) STRICT, WITHOUT ROWID;

CREATE INDEX variant_sku ON variant (sku) WHERE sku <> '';
CREATE INDEX variant_barcode ON variant (barcode) WHERE barcode <> '';
