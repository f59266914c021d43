-- Who may do everything, and who may do all but let others in and open or close the shop.
ALTER TABLE user ADD COLUMN role TEXT NOT NULL DEFAULT 'owner' CHECK (role IN ('owner', 'helper'));

-- Somebody who left keeps their name in the history, and cannot sign in any more.
ALTER TABLE user ADD COLUMN gone INTEGER NOT NULL DEFAULT 0;

-- Links with which somebody makes an account of their own; each works once.
CREATE TABLE invite (
  id TEXT PRIMARY KEY,
  token_hash TEXT NOT NULL UNIQUE,
  email TEXT NOT NULL,
  role TEXT NOT NULL CHECK (role IN ('owner', 'helper')),
  invited_by TEXT NOT NULL REFERENCES user (id) ON DELETE CASCADE,
  expires TEXT NOT NULL
) STRICT;

-- Steps of setting the shop up that the seller leaves as they are.
CREATE TABLE set_up_skipped (step TEXT PRIMARY KEY) STRICT, WITHOUT ROWID;

-- Products that came as examples, and go in one step. One that was given another title since is the seller's own.
CREATE TABLE example_product (product_id TEXT PRIMARY KEY, title TEXT NOT NULL) STRICT, WITHOUT ROWID;

-- Who a letter came from, as it was when it was written; empty for those from before.
ALTER TABLE outbox ADD COLUMN sender TEXT NOT NULL DEFAULT '';
