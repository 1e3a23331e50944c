CREATE TABLE `tellings` (
	`run_id` text PRIMARY KEY NOT NULL,
	`rules` integer NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `pieces_changed` ON `pieces` (`changed_at`);--> statement-breakpoint
CREATE INDEX `pieces_grade` ON `pieces` (`run_id`,`grade`);