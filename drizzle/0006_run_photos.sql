CREATE TABLE `run_photos` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` blob NOT NULL,
	`taken_at` integer NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `run_photos_run` ON `run_photos` (`run_id`);