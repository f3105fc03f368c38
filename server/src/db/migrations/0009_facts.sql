CREATE TABLE `log_facts` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`entry_id` text NOT NULL,
	`version` integer NOT NULL,
	`logged_at` text NOT NULL,
	`name` text NOT NULL,
	`customer` text NOT NULL,
	`kind` text NOT NULL,
	`fabric_id` text NOT NULL,
	`method` text NOT NULL,
	`outcome` text NOT NULL,
	`who` text NOT NULL,
	`rank` integer,
	`stack` text,
	`needle` text,
	`learned` text,
	FOREIGN KEY (`entry_id`) REFERENCES `log_entries`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `log_facts_entryId_unique` ON `log_facts` (`entry_id`);--> statement-breakpoint
CREATE INDEX `log_facts_version` ON `log_facts` (`version`);--> statement-breakpoint
CREATE TABLE `searches` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`filter` text NOT NULL
);
--> statement-breakpoint
CREATE VIRTUAL TABLE `log_words` USING fts5(`words`, content='', contentless_delete=1, tokenize='unicode61 remove_diacritics 2', prefix='2 3');
--> statement-breakpoint
INSERT INTO `log_facts` (`entry_id`, `version`, `logged_at`, `name`, `customer`, `kind`, `fabric_id`, `method`, `outcome`, `who`)
SELECT `id`, 0, `logged_at`, coalesce(json_extract(`summary`, '$.name'), ''), coalesce(json_extract(`summary`, '$.customer'), ''), `kind`, `fabric_id`, `method`, `outcome`, ''
FROM `log_entries` WHERE `deleted_at` IS NULL AND json_valid(`summary`) ORDER BY `logged_at`, `id`;
--> statement-breakpoint
INSERT INTO `log_words` (`rowid`, `words`)
SELECT `f`.`seq`, `f`.`name` || ' ' || `f`.`customer` || ' ' || coalesce(json_extract(`e`.`summary`, '$.note'), '')
FROM `log_facts` AS `f` JOIN `log_entries` AS `e` ON `e`.`id` = `f`.`entry_id`;
