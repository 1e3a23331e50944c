CREATE TABLE `card_photos` (
	`id` text PRIMARY KEY NOT NULL,
	`card_id` text NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`card_id`) REFERENCES `trialcards`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `trialcards` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`card` text NOT NULL,
	`changed_at` integer NOT NULL
);
