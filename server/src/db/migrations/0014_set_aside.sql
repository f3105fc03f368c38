ALTER TABLE `customers` ADD `deleted_at` text;--> statement-breakpoint
ALTER TABLE `day_sheets` ADD `deleted_at` text;--> statement-breakpoint
ALTER TABLE `house_rules` ADD `deleted_at` text;--> statement-breakpoint
ALTER TABLE `searches` ADD `deleted_at` text;