-- Offers: what each is, as JSON.
CREATE TABLE offer (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  body TEXT NOT NULL
) STRICT;

-- Codes with which shoppers get an offer. They hold as soon as they are made; the offer itself has to be live.
CREATE TABLE offer_code (
  code TEXT PRIMARY KEY,
  offer_id TEXT NOT NULL,
  uses INTEGER CHECK (uses > 0),
  note TEXT NOT NULL DEFAULT '',
  created TEXT NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX offer_code_offer ON offer_code (offer_id);

-- What follows is what shoppers do. It is no part of the journal: it is not undone.

-- What shoppers were asked for a variant under offers, from a moment (seconds since 1970) on; null where no offer held.
CREATE TABLE asked_price (
  variant_id TEXT NOT NULL,
  since INTEGER NOT NULL,
  price INTEGER,
  PRIMARY KEY (variant_id, since)
) STRICT, WITHOUT ROWID;

-- Pieces that shoppers took. What is left of a variant is its count less these.
CREATE TABLE stock_taken (
  variant_id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL,
  pieces INTEGER NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX stock_taken_product ON stock_taken (product_id);

-- The same one by one: which order took pieces, or gave them back where they are below zero.
CREATE TABLE stock_move (
  id INTEGER PRIMARY KEY,
  product_id TEXT NOT NULL,
  variant_id TEXT NOT NULL,
  at TEXT NOT NULL,
  pieces INTEGER NOT NULL,
  order_id TEXT NOT NULL
) STRICT;
CREATE INDEX stock_move_product ON stock_move (product_id);

-- Baskets by a secret that the shopper's browser keeps; what is in them, as JSON.
CREATE TABLE basket (
  token_hash TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  changed TEXT NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX basket_changed ON basket (changed);

CREATE TABLE shop_order (
  id TEXT PRIMARY KEY,
  number INTEGER NOT NULL UNIQUE,
  -- secret in the shopper's link
  token TEXT NOT NULL UNIQUE,
  -- made once for each checkout page, so that a form sent twice makes one order
  attempt TEXT NOT NULL UNIQUE,
  at TEXT NOT NULL,
  shopper TEXT NOT NULL,
  name TEXT NOT NULL,
  status TEXT NOT NULL,
  total INTEGER NOT NULL,
  -- what was ordered, and what it cost then, as JSON
  body TEXT NOT NULL
) STRICT;
CREATE INDEX order_at ON shop_order (at);
CREATE INDEX order_shopper ON shop_order (shopper);
CREATE INDEX order_status ON shop_order (status);

-- What happened to an order, in order; what it is now follows from these.
CREATE TABLE order_event (
  id INTEGER PRIMARY KEY,
  order_id TEXT NOT NULL REFERENCES shop_order (id) ON DELETE CASCADE,
  at TEXT NOT NULL,
  user_id TEXT,
  body TEXT NOT NULL
) STRICT;
CREATE INDEX order_event_order ON order_event (order_id);

CREATE TABLE offer_use (
  id INTEGER PRIMARY KEY,
  offer_id TEXT NOT NULL,
  code TEXT,
  order_id TEXT NOT NULL REFERENCES shop_order (id) ON DELETE CASCADE,
  shopper TEXT NOT NULL,
  off INTEGER NOT NULL
) STRICT;
CREATE INDEX offer_use_offer ON offer_use (offer_id, shopper);
CREATE INDEX offer_use_code ON offer_use (code);
CREATE INDEX offer_use_order ON offer_use (order_id);

-- Gift cards that were sold, and what was spent of each, or given back.
CREATE TABLE gift_card (
  code TEXT PRIMARY KEY,
  order_id TEXT REFERENCES shop_order (id) ON DELETE SET NULL,
  worth INTEGER NOT NULL CHECK (worth > 0),
  at TEXT NOT NULL,
  is_off INTEGER NOT NULL DEFAULT 0
) STRICT, WITHOUT ROWID;

CREATE TABLE gift_card_move (
  id INTEGER PRIMARY KEY,
  code TEXT NOT NULL REFERENCES gift_card (code) ON DELETE CASCADE,
  order_id TEXT,
  at TEXT NOT NULL,
  -- below zero: spent
  amount INTEGER NOT NULL
) STRICT;
CREATE INDEX gift_card_move_code ON gift_card_move (code);

-- Files that were bought, and how often each was fetched.
CREATE TABLE download (
  token TEXT PRIMARY KEY,
  order_id TEXT NOT NULL REFERENCES shop_order (id) ON DELETE CASCADE,
  product_id TEXT NOT NULL,
  file_id TEXT NOT NULL,
  name TEXT NOT NULL,
  fetched INTEGER NOT NULL DEFAULT 0,
  -- null for no limit, and for no end
  most INTEGER,
  until TEXT
) STRICT, WITHOUT ROWID;
CREATE INDEX download_order ON download (order_id);
