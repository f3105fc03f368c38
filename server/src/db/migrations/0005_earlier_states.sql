CREATE TABLE `earlier_states` (
	`id` text PRIMARY KEY NOT NULL,
	`noun` text NOT NULL,
	`thing_id` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `earlier_states_thing` ON `earlier_states` (`noun`,`thing_id`,`at`);