-- The last change of the working copy that an edition holds: what was not touched since is as it was put live.
-- NULL for editions from before this was noted.
ALTER TABLE edition ADD COLUMN change_id INTEGER;
