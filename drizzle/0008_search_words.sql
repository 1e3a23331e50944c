-- What the record is searched by, word for word: a run's name, its lessons, its pieces' notes and defects.
CREATE TABLE `search_words` (
  `id` integer PRIMARY KEY NOT NULL,
  `kind` text NOT NULL,
  `key` text NOT NULL,
  `run_id` text NOT NULL,
  `words` text NOT NULL,
  UNIQUE(`kind`, `key`)
);--> statement-breakpoint
CREATE VIRTUAL TABLE `search_index` USING fts5(words, content='search_words', content_rowid='id', tokenize='trigram');--> statement-breakpoint
CREATE TRIGGER `search_words_in` AFTER INSERT ON `search_words` BEGIN
  INSERT INTO search_index(rowid, words) VALUES (new.id, new.words);
END;--> statement-breakpoint
CREATE TRIGGER `search_words_out` AFTER DELETE ON `search_words` BEGIN
  INSERT INTO search_index(search_index, rowid, words) VALUES ('delete', old.id, old.words);
END;--> statement-breakpoint
CREATE TRIGGER `runs_said` AFTER INSERT ON `runs` BEGIN
  INSERT INTO search_words(kind, key, run_id, words) VALUES ('run', new.id, new.id, new.name);
END;--> statement-breakpoint
CREATE TRIGGER `runs_renamed` AFTER UPDATE OF `name` ON `runs` BEGIN
  DELETE FROM search_words WHERE kind = 'run' AND key = old.id;
  INSERT INTO search_words(kind, key, run_id, words) VALUES ('run', new.id, new.id, new.name);
END;--> statement-breakpoint
CREATE TRIGGER `runs_gone` AFTER DELETE ON `runs` BEGIN
  DELETE FROM search_words WHERE kind = 'run' AND key = old.id;
END;--> statement-breakpoint
CREATE TRIGGER `lessons_said` AFTER INSERT ON `lessons` BEGIN
  INSERT INTO search_words(kind, key, run_id, words) VALUES ('lesson', new.id, new.run_id, new.text);
END;--> statement-breakpoint
CREATE TRIGGER `lessons_changed` AFTER UPDATE OF `text` ON `lessons` BEGIN
  DELETE FROM search_words WHERE kind = 'lesson' AND key = old.id;
  INSERT INTO search_words(kind, key, run_id, words) VALUES ('lesson', new.id, new.run_id, new.text);
END;--> statement-breakpoint
CREATE TRIGGER `lessons_gone` AFTER DELETE ON `lessons` BEGIN
  DELETE FROM search_words WHERE kind = 'lesson' AND key = old.id;
END;--> statement-breakpoint
CREATE TRIGGER `pieces_said` AFTER INSERT ON `pieces` BEGIN
  INSERT INTO search_words(kind, key, run_id, words)
    SELECT 'piece', new.id, new.run_id, trim(coalesce(json_extract(new.report, '$.note'), '') || char(10) ||
      coalesce((SELECT group_concat(d.value, ' ') FROM json_each(new.report, '$.faces') f, json_each(f.value, '$.defects') d), ''))
    WHERE json_valid(new.report);
END;--> statement-breakpoint
CREATE TRIGGER `pieces_changed_words` AFTER UPDATE OF `report` ON `pieces` BEGIN
  DELETE FROM search_words WHERE kind = 'piece' AND key = old.id;
  INSERT INTO search_words(kind, key, run_id, words)
    SELECT 'piece', new.id, new.run_id, trim(coalesce(json_extract(new.report, '$.note'), '') || char(10) ||
      coalesce((SELECT group_concat(d.value, ' ') FROM json_each(new.report, '$.faces') f, json_each(f.value, '$.defects') d), ''))
    WHERE json_valid(new.report);
END;--> statement-breakpoint
CREATE TRIGGER `pieces_gone` AFTER DELETE ON `pieces` BEGIN
  DELETE FROM search_words WHERE kind = 'piece' AND key = old.id;
END;--> statement-breakpoint
INSERT INTO search_words(kind, key, run_id, words) SELECT 'run', id, id, name FROM runs;--> statement-breakpoint
INSERT INTO search_words(kind, key, run_id, words) SELECT 'lesson', id, run_id, text FROM lessons;--> statement-breakpoint
INSERT INTO search_words(kind, key, run_id, words)
  SELECT 'piece', p.id, p.run_id, trim(coalesce(json_extract(p.report, '$.note'), '') || char(10) ||
    coalesce((SELECT group_concat(d.value, ' ') FROM json_each(p.report, '$.faces') f, json_each(f.value, '$.defects') d), ''))
  FROM pieces p WHERE json_valid(p.report);
