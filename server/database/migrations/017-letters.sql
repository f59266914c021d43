-- What shoppers write to the shop, and what the shop writes to them. Shoppers write here, so it is no part of the journal.
CREATE TABLE question (
  id TEXT PRIMARY KEY,
  at TEXT NOT NULL,
  product_id TEXT NOT NULL,
  -- null where it is about the product as a whole
  variant_id TEXT,
  -- what they were called when it was asked: either may change or be deleted
  about TEXT NOT NULL,
  email TEXT NOT NULL,
  text TEXT NOT NULL,
  answered TEXT
);
CREATE INDEX question_at ON question (at);

CREATE TABLE back_note (
  variant_id TEXT NOT NULL,
  product_id TEXT NOT NULL,
  email TEXT NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (variant_id, email)
) WITHOUT ROWID;

-- Nothing leaves this machine: letters are written here, and read in the desk.
CREATE TABLE outbox (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  recipient TEXT NOT NULL,
  subject TEXT NOT NULL,
  text TEXT NOT NULL
);
