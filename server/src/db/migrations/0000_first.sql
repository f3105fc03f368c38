CREATE TABLE `house_rules` (
	`id` text PRIMARY KEY NOT NULL,
	`rules` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `log_entries` (
	`id` text PRIMARY KEY NOT NULL,
	`ticket_id` text NOT NULL,
	`logged_at` text NOT NULL,
	`kind` text NOT NULL,
	`fabric_id` text NOT NULL,
	`method` text NOT NULL,
	`outcome` text NOT NULL,
	`summary` text NOT NULL,
	`ticket` text NOT NULL,
	`plan` text NOT NULL,
	`log` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`ticket_id`) REFERENCES `tickets`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `log_entries_logged_at` ON `log_entries` (`logged_at`);--> statement-breakpoint
CREATE INDEX `log_entries_ticket` ON `log_entries` (`ticket_id`);--> statement-breakpoint
CREATE TABLE `shelf_items` (
	`id` text PRIMARY KEY NOT NULL,
	`noun` text NOT NULL,
	`item` text NOT NULL,
	`deleted_at` text
);
--> statement-breakpoint
CREATE INDEX `shelf_items_noun` ON `shelf_items` (`noun`);--> statement-breakpoint
CREATE TABLE `tickets` (
	`id` text PRIMARY KEY NOT NULL,
	`ticket` text NOT NULL,
	`rev` integer NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text
);
