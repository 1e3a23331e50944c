CREATE TABLE `changes` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`revision` integer NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `present` (
	`run_id` text NOT NULL,
	`device` text NOT NULL,
	`server` text NOT NULL,
	`seen_at` integer NOT NULL,
	PRIMARY KEY(`run_id`, `device`, `server`)
);
