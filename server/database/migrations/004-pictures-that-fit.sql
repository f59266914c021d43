-- A picture fills the shop's frame, or fits into it on a ground of the colour of its edge.

ALTER TABLE media ADD COLUMN ground TEXT NOT NULL DEFAULT '#ffffff';
ALTER TABLE picture ADD COLUMN fit TEXT NOT NULL DEFAULT 'fills' CHECK (fit IN ('fills', 'fits'));
