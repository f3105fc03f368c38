CREATE TABLE `drill_cards` (
	`key` text PRIMARY KEY NOT NULL,
	`card` text NOT NULL
);
