-- Which thing shoppers met last at an address, in any edition: what moved forwards, what is gone is known to have been there.
CREATE TABLE published_address (
  kind TEXT NOT NULL,
  slug TEXT NOT NULL,
  target_id TEXT NOT NULL,
  PRIMARY KEY (kind, slug)
) STRICT, WITHOUT ROWID;

INSERT INTO published_address (kind, slug, target_id)
SELECT span.kind, json_extract(body, '$.slug'), key
FROM edition_span AS span JOIN document USING (hash)
WHERE span.kind IN ('product', 'category', 'collection', 'brand', 'tag', 'page')
ORDER BY since
ON CONFLICT DO UPDATE SET target_id = excluded.target_id;

-- When somebody last did anything in a session: one that lies idle ends.
ALTER TABLE session ADD COLUMN used TEXT NOT NULL DEFAULT '';
