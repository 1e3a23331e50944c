CREATE TABLE `lots` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`card` text NOT NULL,
	`changed_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `vessels` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`card` text NOT NULL,
	`changed_at` integer NOT NULL
);
