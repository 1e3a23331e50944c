CREATE TABLE `run_facets` (
	`run_id` text NOT NULL,
	`kind` text NOT NULL,
	`value` text NOT NULL,
	PRIMARY KEY(`run_id`, `kind`, `value`),
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `run_facets_value` ON `run_facets` (`kind`,`value`,`run_id`);