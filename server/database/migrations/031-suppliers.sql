-- Whom goods are ordered from: what is known of each, as JSON.
CREATE TABLE supplier (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  body TEXT NOT NULL
) STRICT;

-- What a supplier has of a variant: its number there, and what it costs from which day on, as JSON.
CREATE TABLE supply (
  supplier_id TEXT NOT NULL,
  variant_id TEXT NOT NULL,
  number TEXT NOT NULL,
  costs TEXT NOT NULL,
  PRIMARY KEY (supplier_id, variant_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX supply_of_variant ON supply (variant_id);

CREATE TRIGGER variant_supply_gone AFTER DELETE ON variant BEGIN
  DELETE FROM supply WHERE variant_id = OLD.id;
END;

-- What a maker would have other, or new: it waits until somebody of the shop takes or refuses it.
CREATE TABLE proposal (
  id TEXT PRIMARY KEY,
  supplier_id TEXT NOT NULL,
  user_id TEXT NOT NULL,
  -- NULL for a new product
  product_id TEXT,
  body TEXT NOT NULL,
  note TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('waiting', 'taken', 'refused', 'withdrawn')),
  -- what the maker is told
  reply TEXT NOT NULL,
  made_at TEXT NOT NULL,
  answered_at TEXT,
  answered_by TEXT
) STRICT;
CREATE INDEX proposal_by_state ON proposal (state, made_at);

-- The day up to which costs that were agreed with suppliers came into force.
CREATE TABLE costs_day (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  day TEXT NOT NULL
) STRICT;
