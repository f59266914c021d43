-- What only services and only gift cards have.

-- minutes
ALTER TABLE product ADD COLUMN duration INTEGER;
-- lowest and highest value that a shopper may choose, as JSON; NULL when only the values of the variants are sold
ALTER TABLE product ADD COLUMN own_value TEXT;
