CREATE TABLE `drawings` (
	`id` text PRIMARY KEY NOT NULL,
	`text` text NOT NULL,
	`at` text NOT NULL
);
