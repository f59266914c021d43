-- Loose ends that the seller put aside: why, and until when; NULL for good.
CREATE TABLE loose_aside (
  check_key TEXT NOT NULL,
  kind TEXT NOT NULL,
  key TEXT NOT NULL,
  reason TEXT NOT NULL,
  until TEXT,
  PRIMARY KEY (check_key, kind, key)
) STRICT, WITHOUT ROWID;
