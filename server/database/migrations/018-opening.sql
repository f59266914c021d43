-- Whether shoppers come in at all. It holds at once, whatever edition is live, so it is no part of one, nor of the journal.
CREATE TABLE opening (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  closed INTEGER NOT NULL,
  message TEXT NOT NULL,
  -- derived from the password with which visitors come in all the same; null where there is none
  password TEXT,
  -- with which the cookies of those visitors are signed
  key TEXT NOT NULL
);
