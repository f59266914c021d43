-- From where somebody is signed in, so that they can tell their devices apart.
ALTER TABLE session ADD COLUMN agent TEXT NOT NULL DEFAULT '';
ALTER TABLE session ADD COLUMN opened TEXT NOT NULL DEFAULT '';

-- A link for somebody who is here already: with it they choose another password.
ALTER TABLE invite ADD COLUMN user_id TEXT REFERENCES user (id) ON DELETE CASCADE;

-- Suppliers for whose goods a person may propose changes, as JSON, and nothing else; NULL for who may do all that their role may.
ALTER TABLE user ADD COLUMN suppliers TEXT;
ALTER TABLE invite ADD COLUMN suppliers TEXT;
