-- A document is noted with the editions it stands in, from `since` up to but not including `until`, instead of once for
-- each edition: putting 3 changed products live writes 3 rows, however many products there are.

CREATE TABLE edition_span (
  kind TEXT NOT NULL,
  key TEXT NOT NULL,
  since INTEGER NOT NULL REFERENCES edition (number),
  -- NULL while it stands in the newest edition
  until INTEGER REFERENCES edition (number),
  hash TEXT NOT NULL REFERENCES document (hash),
  PRIMARY KEY (kind, key, since)
) STRICT, WITHOUT ROWID;

INSERT INTO edition_span (kind, key, since, until, hash)
SELECT kind, key, min(edition), nullif(max(edition) + 1, (SELECT max(number) + 1 FROM edition)), hash
FROM (
  SELECT *, edition - row_number() OVER (PARTITION BY kind, key, hash ORDER BY edition) AS run
  FROM edition_document
)
GROUP BY kind, key, hash, run;

DROP TABLE edition_document;
CREATE INDEX edition_span_since ON edition_span (since);
CREATE INDEX edition_span_until ON edition_span (until);
