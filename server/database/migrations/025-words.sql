-- Texts in other languages, each with the text that it was made from: one row for each text of each thing.
CREATE TABLE wording (
  locale TEXT NOT NULL,
  -- sort of thing, such as product
  kind TEXT NOT NULL,
  target_id TEXT NOT NULL,
  -- where in the thing the text stands, such as sections.s_1.title
  path TEXT NOT NULL,
  text TEXT NOT NULL,
  source TEXT NOT NULL,
  PRIMARY KEY (locale, kind, target_id, path)
) STRICT, WITHOUT ROWID;

-- The same, made by the drafting helper and looked at by nobody yet: no part of any edition.
CREATE TABLE wording_draft (
  locale TEXT NOT NULL,
  kind TEXT NOT NULL,
  target_id TEXT NOT NULL,
  path TEXT NOT NULL,
  text TEXT NOT NULL,
  source TEXT NOT NULL,
  PRIMARY KEY (locale, kind, target_id, path)
) STRICT, WITHOUT ROWID;

-- Paths of the shop at which nothing stands: where each leads, as JSON, or null for what is gone for good.
CREATE TABLE forward (
  path TEXT PRIMARY KEY,
  target TEXT,
  by TEXT NOT NULL CHECK (by IN ('hand', 'import', 'renamed'))
) STRICT;

-- In which language shoppers wrote, so that they are answered in it; empty for the main one.
ALTER TABLE question ADD COLUMN locale TEXT NOT NULL DEFAULT '';
ALTER TABLE back_note ADD COLUMN locale TEXT NOT NULL DEFAULT '';

-- What was translated of a thing goes with it, and comes back with it.
CREATE TRIGGER product_words_gone AFTER DELETE ON product BEGIN
  DELETE FROM wording WHERE kind = 'product' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'product' AND target_id = OLD.id;
END;
CREATE TRIGGER category_words_gone AFTER DELETE ON category BEGIN
  DELETE FROM wording WHERE kind = 'category' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'category' AND target_id = OLD.id;
END;
CREATE TRIGGER collection_words_gone AFTER DELETE ON collection BEGIN
  DELETE FROM wording WHERE kind = 'collection' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'collection' AND target_id = OLD.id;
END;
CREATE TRIGGER brand_words_gone AFTER DELETE ON brand BEGIN
  DELETE FROM wording WHERE kind = 'brand' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'brand' AND target_id = OLD.id;
END;
CREATE TRIGGER tag_words_gone AFTER DELETE ON tag BEGIN
  DELETE FROM wording WHERE kind = 'tag' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'tag' AND target_id = OLD.id;
END;
CREATE TRIGGER spec_sheet_words_gone AFTER DELETE ON spec_sheet BEGIN
  DELETE FROM wording WHERE kind = 'specSheet' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'specSheet' AND target_id = OLD.id;
END;
CREATE TRIGGER page_words_gone AFTER DELETE ON page BEGIN
  DELETE FROM wording WHERE kind = 'page' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'page' AND target_id = OLD.id;
END;
CREATE TRIGGER offer_words_gone AFTER DELETE ON offer BEGIN
  DELETE FROM wording WHERE kind = 'offer' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'offer' AND target_id = OLD.id;
END;
CREATE TRIGGER embed_words_gone AFTER DELETE ON embed BEGIN
  DELETE FROM wording WHERE kind = 'embed' AND target_id = OLD.id;
  DELETE FROM wording_draft WHERE kind = 'embed' AND target_id = OLD.id;
END;

-- Languages that a person may translate into, as JSON, and nothing else; NULL for who may do all that their role may.
ALTER TABLE user ADD COLUMN languages TEXT;
ALTER TABLE invite ADD COLUMN languages TEXT;

-- What shoppers searched, by day, language and words, and the goods that they opened from there. Nobody's name is in it.
CREATE TABLE searched (
  -- midnight UTC, seconds since 1970
  day INTEGER NOT NULL,
  locale TEXT NOT NULL,
  words TEXT NOT NULL,
  times INTEGER NOT NULL,
  -- goods that were found the last time
  found INTEGER NOT NULL,
  PRIMARY KEY (day, locale, words)
) STRICT, WITHOUT ROWID;
CREATE TABLE search_opened (
  locale TEXT NOT NULL,
  words TEXT NOT NULL,
  product_id TEXT NOT NULL,
  times INTEGER NOT NULL,
  PRIMARY KEY (locale, words, product_id)
) STRICT, WITHOUT ROWID;

-- Paths that were asked for, and at which nothing stands.
CREATE TABLE missed_path (
  path TEXT PRIMARY KEY,
  times INTEGER NOT NULL,
  last TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- Listings narrowed by filters that stand at an address of their own: what each is, as JSON.
CREATE TABLE chosen_listing (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  body TEXT NOT NULL
) STRICT;
