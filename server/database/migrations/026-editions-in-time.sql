-- Changes that the seller keeps out of the next edition, by what they are of.
CREATE TABLE held (
  kind TEXT NOT NULL,
  key TEXT NOT NULL,
  PRIMARY KEY (kind, key)
) STRICT, WITHOUT ROWID;

-- The change after which the working copy was as the document says: where it goes back to when a document is taken back.
ALTER TABLE edition_span ADD COLUMN change_id INTEGER;
UPDATE edition_span SET change_id = (SELECT change_id FROM edition WHERE number = since AND of_edition IS NULL);
UPDATE edition_span SET change_id = (
  SELECT max(same.change_id) FROM edition_span AS same
  WHERE same.kind = edition_span.kind AND same.key = edition_span.key AND same.hash = edition_span.hash
) WHERE change_id IS NULL;

ALTER TABLE edition ADD COLUMN note TEXT NOT NULL DEFAULT '';

-- Editions that go live by themselves at a moment to come.
CREATE TABLE planned_edition (
  id TEXT PRIMARY KEY,
  at TEXT NOT NULL,
  label TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  made_at TEXT NOT NULL,
  user_id TEXT REFERENCES user (id) ON DELETE SET NULL,
  change_id INTEGER NOT NULL
) STRICT;

-- What a planned edition puts in place of what is live then, as documents are written; NULL for what it takes away.
CREATE TABLE planned_document (
  planned_id TEXT NOT NULL REFERENCES planned_edition (id) ON DELETE CASCADE,
  kind TEXT NOT NULL,
  key TEXT NOT NULL,
  body TEXT,
  PRIMARY KEY (planned_id, kind, key)
) STRICT, WITHOUT ROWID;
