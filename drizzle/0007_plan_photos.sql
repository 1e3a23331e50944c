CREATE TABLE `plan_photos` (
	`id` text PRIMARY KEY NOT NULL,
	`plan_id` text,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE set null
);
