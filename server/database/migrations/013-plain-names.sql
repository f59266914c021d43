-- Columns are called as the trade calls what is in them. Rules and the journal, which name them too, follow.
ALTER TABLE product RENAME COLUMN standing TO status;
ALTER TABLE product RENAME COLUMN package_sort TO package_type;
ALTER TABLE product RENAME COLUMN left_out TO excluded_combinations;
ALTER TABLE variant RENAME COLUMN package_sort TO package_type;
ALTER TABLE category RENAME COLUMN standing TO status;
ALTER TABLE collection RENAME COLUMN standing TO status;
ALTER TABLE media RENAME COLUMN ground TO background;

UPDATE collection SET rule = replace(rule, '"field":"standing"', '"field":"status"');
UPDATE view SET rule = replace(rule, '"field":"standing"', '"field":"status"');
UPDATE product SET
  goes_with = replace(goes_with, '"field":"standing"', '"field":"status"'),
  step_up = replace(step_up, '"field":"standing"', '"field":"status"'),
  similar = replace(similar, '"field":"standing"', '"field":"status"'),
  bundle = replace(bundle, '"field":"standing"', '"field":"status"');

-- A quotation mark inside a value is escaped, so that only names of columns are met.
UPDATE journal SET
  before = replace(replace(before, '"standing":', '"status":'), '\"field\":\"standing\"', '\"field\":\"status\"'),
  after = replace(replace(after, '"standing":', '"status":'), '\"field\":\"standing\"', '\"field\":\"status\"')
WHERE table_name IN ('product', 'category', 'collection', 'view');
UPDATE journal SET
  before = replace(before, '"package_sort":', '"package_type":'),
  after = replace(after, '"package_sort":', '"package_type":')
WHERE table_name IN ('product', 'variant');
UPDATE journal SET
  before = replace(before, '"left_out":', '"excluded_combinations":'),
  after = replace(after, '"left_out":', '"excluded_combinations":')
WHERE table_name = 'product';
