-- Bundles, files, option lists, pictures as swatches, and delivery facts that differ by variant.

-- slots and pricing as JSON; NULL for what is not a bundle
ALTER TABLE product ADD COLUMN bundle TEXT;
-- downloads, samples and manuals as JSON, in order; their content lies in the folder "files" under its hash
ALTER TABLE product ADD COLUMN files TEXT NOT NULL DEFAULT '[]';
ALTER TABLE product ADD COLUMN download_limit INTEGER;
ALTER TABLE product ADD COLUMN download_days INTEGER;

ALTER TABLE variant ADD COLUMN size TEXT;
ALTER TABLE variant ADD COLUMN package_sort TEXT NOT NULL DEFAULT '';
ALTER TABLE variant ADD COLUMN dispatch_days INTEGER;

CREATE TABLE option_list (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  -- names and swatches as JSON, in order
  choices TEXT NOT NULL DEFAULT '[]'
) STRICT;
ALTER TABLE option ADD COLUMN list_id TEXT REFERENCES option_list (id) ON DELETE SET NULL;
ALTER TABLE option_value ADD COLUMN picture_id TEXT REFERENCES picture (id) ON DELETE SET NULL;
