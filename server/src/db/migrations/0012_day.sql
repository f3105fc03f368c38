CREATE TABLE `day_sheets` (
	`id` text PRIMARY KEY NOT NULL,
	`sheet` text NOT NULL,
	`updated_at` text NOT NULL
);
