-- The working catalog. Every table of this part is journaled: see journal.ts.

CREATE TABLE brand (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  slug TEXT NOT NULL UNIQUE
) STRICT;

CREATE TABLE tag (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  slug TEXT NOT NULL UNIQUE
) STRICT;

CREATE TABLE category (
  id TEXT PRIMARY KEY,
  parent_id TEXT REFERENCES category (id),
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  slug TEXT NOT NULL UNIQUE,
  text TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX category_parent ON category (parent_id);

CREATE TABLE product (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL,
  title TEXT NOT NULL,
  summary TEXT NOT NULL DEFAULT '',
  description TEXT NOT NULL DEFAULT '',
  slug TEXT NOT NULL UNIQUE,
  standing TEXT NOT NULL DEFAULT 'draft' CHECK (standing IN ('draft', 'live', 'off')),
  featured INTEGER NOT NULL DEFAULT 0,
  brand_id TEXT REFERENCES brand (id) ON DELETE SET NULL,
  created TEXT NOT NULL
) STRICT;
CREATE INDEX product_brand ON product (brand_id);

CREATE TABLE product_category (
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  category_id TEXT NOT NULL REFERENCES category (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  PRIMARY KEY (product_id, category_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX product_category_category ON product_category (category_id);

CREATE TABLE product_tag (
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  tag_id TEXT NOT NULL REFERENCES tag (id) ON DELETE CASCADE,
  PRIMARY KEY (product_id, tag_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX product_tag_tag ON product_tag (tag_id);

CREATE TABLE option (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL
) STRICT;
CREATE INDEX option_product ON option (product_id);

CREATE TABLE option_value (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  option_id TEXT NOT NULL REFERENCES option (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  swatch TEXT
) STRICT;
CREATE INDEX option_value_product ON option_value (product_id);
CREATE INDEX option_value_option ON option_value (option_id);

-- Files by content; rows are only ever added, so this table needs no journal.
CREATE TABLE media (
  hash TEXT PRIMARY KEY,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  bytes INTEGER NOT NULL,
  added TEXT NOT NULL
) STRICT;

CREATE TABLE picture (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  media_hash TEXT NOT NULL REFERENCES media (hash),
  alt TEXT NOT NULL DEFAULT '',
  focus_x REAL NOT NULL DEFAULT 0.5,
  focus_y REAL NOT NULL DEFAULT 0.5
) STRICT;
CREATE INDEX picture_product ON picture (product_id);

CREATE TABLE variant (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  -- one option value id per option, in the order of the options, as a JSON list
  value_ids TEXT NOT NULL,
  sku TEXT NOT NULL DEFAULT '',
  price INTEGER NOT NULL CHECK (price >= 0),
  sale_price INTEGER CHECK (sale_price >= 0),
  cost INTEGER CHECK (cost >= 0),
  picture_id TEXT REFERENCES picture (id) ON DELETE SET NULL
) STRICT;
CREATE INDEX variant_product ON variant (product_id);
CREATE INDEX variant_picture ON variant (picture_id);

-- Pieces left. Kept when a variant goes from the working copy, since the live edition may still sell it.
CREATE TABLE stock (
  variant_id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL,
  count INTEGER CHECK (count >= 0)
) STRICT;
CREATE INDEX stock_product ON stock (product_id);

CREATE TABLE collection (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  slug TEXT NOT NULL UNIQUE,
  text TEXT NOT NULL DEFAULT '',
  source TEXT NOT NULL CHECK (source IN ('picked', 'rule')),
  rule TEXT NOT NULL,
  sort TEXT NOT NULL DEFAULT 'newest'
) STRICT;

CREATE TABLE collection_product (
  collection_id TEXT NOT NULL REFERENCES collection (id) ON DELETE CASCADE,
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  PRIMARY KEY (collection_id, product_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX collection_product_product ON collection_product (product_id);

CREATE TABLE page (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  title TEXT NOT NULL,
  slug TEXT NOT NULL UNIQUE,
  home INTEGER NOT NULL DEFAULT 0
) STRICT;

CREATE TABLE section (
  id TEXT PRIMARY KEY,
  page_id TEXT NOT NULL REFERENCES page (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  -- what the section is and shows, as JSON
  body TEXT NOT NULL
) STRICT;
CREATE INDEX section_page ON section (page_id);

CREATE TABLE menu_item (
  id TEXT PRIMARY KEY,
  parent_id TEXT REFERENCES menu_item (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  label TEXT NOT NULL DEFAULT '',
  target_kind TEXT NOT NULL,
  target_id TEXT NOT NULL
) STRICT;
CREATE INDEX menu_item_parent ON menu_item (parent_id);

CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;

-- An address that something had before: it forwards to the address that the thing has now.
CREATE TABLE redirect (
  kind TEXT NOT NULL,
  slug TEXT NOT NULL,
  target_id TEXT NOT NULL,
  PRIMARY KEY (kind, slug)
) STRICT, WITHOUT ROWID;

-- The journal.

CREATE TABLE change (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  at TEXT NOT NULL,
  user_id TEXT,
  label TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('edit', 'undo', 'redo')),
  -- for undo and redo: the change taken back or done again
  of_change INTEGER REFERENCES change (id),
  undone INTEGER NOT NULL DEFAULT 0
) STRICT;
CREATE INDEX change_user ON change (user_id, kind, undone);

CREATE TABLE journal (
  seq INTEGER PRIMARY KEY,
  change_id INTEGER NOT NULL REFERENCES change (id),
  table_name TEXT NOT NULL,
  row_key TEXT NOT NULL,
  -- what the row is part of, such as product:p_1
  subject TEXT NOT NULL,
  before TEXT,
  after TEXT
) STRICT;
CREATE INDEX journal_change ON journal (change_id);
CREATE INDEX journal_subject ON journal (subject, change_id);

-- Holds the id of the change that is being written, only inside its transaction.
CREATE TABLE current_change (id INTEGER NOT NULL) STRICT;

-- What shoppers see.

CREATE TABLE document (
  hash TEXT PRIMARY KEY,
  kind TEXT NOT NULL,
  body TEXT NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TABLE edition (
  number INTEGER PRIMARY KEY,
  label TEXT NOT NULL,
  at TEXT NOT NULL,
  user_id TEXT,
  -- the edition that this one goes back to
  of_edition INTEGER REFERENCES edition (number)
) STRICT;

CREATE TABLE edition_document (
  edition INTEGER NOT NULL REFERENCES edition (number),
  kind TEXT NOT NULL,
  key TEXT NOT NULL,
  hash TEXT NOT NULL REFERENCES document (hash),
  PRIMARY KEY (edition, kind, key)
) STRICT, WITHOUT ROWID;

-- People.

CREATE TABLE user (
  id TEXT PRIMARY KEY,
  email TEXT NOT NULL UNIQUE,
  name TEXT NOT NULL,
  password TEXT NOT NULL
) STRICT;

CREATE TABLE session (
  token_hash TEXT PRIMARY KEY,
  user_id TEXT NOT NULL REFERENCES user (id) ON DELETE CASCADE,
  csrf TEXT NOT NULL,
  expires TEXT NOT NULL
) STRICT, WITHOUT ROWID;
