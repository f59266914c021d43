-- Pictures that came in one archive with a file, by the names of their files, as JSON.
ALTER TABLE import_file ADD COLUMN pictures TEXT NOT NULL DEFAULT '{}';
