DROP INDEX `log_entries_logged_at`;--> statement-breakpoint
CREATE INDEX `log_entries_lines` ON `log_entries` (`deleted_at`,`logged_at`,`id`);--> statement-breakpoint
CREATE INDEX `log_entries_counts` ON `log_entries` (`deleted_at`,`outcome`,`kind`,`fabric_id`,`method`);--> statement-breakpoint
ALTER TABLE `tickets` ADD `due` text DEFAULT '9999' NOT NULL;--> statement-breakpoint
ALTER TABLE `tickets` ADD `logged_as` text;--> statement-breakpoint
CREATE INDEX `tickets_bench` ON `tickets` (`deleted_at`,`logged_as`,`due`,`id`);--> statement-breakpoint
UPDATE `tickets` SET `due` = coalesce(CASE WHEN json_valid(`ticket`) THEN json_extract(`ticket`, '$.due') END, '9999');
--> statement-breakpoint
UPDATE `tickets` SET `logged_as` = (
  SELECT max(`id`) FROM `log_entries` WHERE `log_entries`.`ticket_id` = `tickets`.`id` AND `log_entries`.`deleted_at` IS NULL
);
