-- What a page says of itself beside its sections.
ALTER TABLE page ADD COLUMN shows_title INTEGER NOT NULL DEFAULT 0;
ALTER TABLE page ADD COLUMN seen_from TEXT;
ALTER TABLE page ADD COLUMN seen_until TEXT;
ALTER TABLE page ADD COLUMN meta_title TEXT NOT NULL DEFAULT '';
ALTER TABLE page ADD COLUMN meta_description TEXT NOT NULL DEFAULT '';
ALTER TABLE page ADD COLUMN noindex INTEGER NOT NULL DEFAULT 0;
-- groups on whose listings it stands, as JSON
ALTER TABLE page ADD COLUMN stands_on TEXT NOT NULL DEFAULT '[]';

-- Who asked to be written to. Shoppers write here, so it is no part of the journal.
CREATE TABLE subscriber (
  email TEXT PRIMARY KEY,
  at TEXT NOT NULL,
  page TEXT NOT NULL
);
