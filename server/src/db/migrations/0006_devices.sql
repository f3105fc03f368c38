CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`token_hash` text NOT NULL,
	`paired_at` text NOT NULL,
	`seen_at` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `devices_tokenHash_unique` ON `devices` (`token_hash`);