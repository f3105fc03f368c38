CREATE TABLE `movements` (
	`id` text PRIMARY KEY NOT NULL,
	`item_id` text NOT NULL,
	`figure` text NOT NULL,
	`amount` real NOT NULL,
	`kind` text NOT NULL,
	`entry_id` text,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `movements_item` ON `movements` (`item_id`,`figure`);--> statement-breakpoint
CREATE INDEX `movements_entry` ON `movements` (`entry_id`);--> statement-breakpoint
CREATE TABLE `sendings` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `sendings_at` ON `sendings` (`at`);--> statement-breakpoint
ALTER TABLE `tickets` DROP COLUMN `taken`;--> statement-breakpoint
-- What is on the shelf now is the first movement of each amount. A row that cannot be read has none.
WITH `items` AS (
  SELECT `id`, `noun`, CASE WHEN json_valid(`item`) THEN `item` ELSE '{}' END AS `item` FROM `shelf_items`
), `figures` AS (
  SELECT `id`, 'metresLeft' AS `figure`, json_extract(`item`, '$.metresLeft') AS `amount` FROM `items`
    WHERE `noun` IN ('materials', 'threads')
  UNION ALL
  SELECT `id`, 'left', json_extract(`item`, '$.left') FROM `items` WHERE `noun` = 'supplies'
  UNION ALL
  SELECT `items`.`id`, 'hours ' || `needle`.`key`, json_extract(`needle`.`value`, '$.hours')
    FROM `items`, json_each(`items`.`item`, '$.fitted') AS `needle`
    WHERE `noun` = 'machines' AND `needle`.`type` = 'object'
  UNION ALL
  SELECT `items`.`id`,
      'loose ' || json_extract(`sheets`.`value`, '$.widthMm') || 'x' || json_extract(`sheets`.`value`, '$.heightMm'),
      json_extract(`sheets`.`value`, '$.count')
    FROM `items`, json_each(`items`.`item`, '$.loose') AS `sheets`
    WHERE `noun` = 'materials' AND `sheets`.`type` = 'object'
)
INSERT INTO `movements` (`id`, `item_id`, `figure`, `amount`, `kind`, `at`, `by`)
  SELECT 'opening ' || `id` || ' ' || `figure`, `id`, `figure`, total(`amount`), 'opening',
      strftime('%Y-%m-%dT%H:%M:%fZ', 'now'), ''
    FROM `figures` WHERE typeof(`amount`) IN ('integer', 'real') AND `figure` IS NOT NULL
    GROUP BY `id`, `figure` HAVING total(`amount`) <> 0;
