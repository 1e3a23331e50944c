CREATE INDEX `search_words_run` ON `search_words` (`run_id`);
