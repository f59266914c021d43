-- Combinations of option values that are not sold, each a list of value ids, as JSON.
ALTER TABLE product ADD COLUMN left_out TEXT NOT NULL DEFAULT '[]';
