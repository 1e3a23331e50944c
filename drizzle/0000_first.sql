CREATE TABLE `bases` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`card` text NOT NULL,
	`changed_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `colourants` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`card` text NOT NULL,
	`changed_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `events` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`at` integer NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `events_run` ON `events` (`run_id`,`at`);--> statement-breakpoint
CREATE TABLE `lessons` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`text` text NOT NULL,
	`learned_at` integer NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `lessons_run` ON `lessons` (`run_id`);--> statement-breakpoint
CREATE TABLE `moulds` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`card` text NOT NULL,
	`changed_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` blob NOT NULL,
	`taken_at` integer NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `photos_piece` ON `photos` (`piece_id`);--> statement-breakpoint
CREATE TABLE `pieces` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`group_id` text NOT NULL,
	`number` integer NOT NULL,
	`grade` text NOT NULL,
	`report` text NOT NULL,
	`changed_at` integer NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pieces_place` ON `pieces` (`run_id`,`group_id`,`number`);--> statement-breakpoint
CREATE TABLE `plans` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`document` text NOT NULL,
	`changed_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `plans_changed` ON `plans` (`changed_at`);--> statement-breakpoint
CREATE TABLE `runs` (
	`id` text PRIMARY KEY NOT NULL,
	`plan_id` text,
	`name` text NOT NULL,
	`snapshot` text NOT NULL,
	`started_at` integer NOT NULL,
	`finished_at` integer,
	FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `runs_started` ON `runs` (`started_at`);--> statement-breakpoint
CREATE TABLE `scales` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`card` text NOT NULL,
	`changed_at` integer NOT NULL
);
