-- Menus at the head and at the foot of the shop, with more to say of each item.
ALTER TABLE menu_item ADD COLUMN menu TEXT NOT NULL DEFAULT 'items';
ALTER TABLE menu_item ADD COLUMN with_children INTEGER NOT NULL DEFAULT 0;
ALTER TABLE menu_item ADD COLUMN hidden INTEGER NOT NULL DEFAULT 0;
ALTER TABLE menu_item ADD COLUMN seen_from TEXT;
ALTER TABLE menu_item ADD COLUMN seen_until TEXT;
ALTER TABLE menu_item ADD COLUMN picture TEXT;
