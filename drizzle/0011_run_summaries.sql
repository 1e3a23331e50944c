ALTER TABLE `tellings` RENAME TO `run_summaries`;
