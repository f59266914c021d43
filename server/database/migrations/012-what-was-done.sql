-- A change holds what was done and with what; the words are made when it is read.
ALTER TABLE change RENAME COLUMN label TO done;
UPDATE change SET done = json_object('did', 'written', 'words', done);
