CREATE TABLE `customers` (
	`id` text PRIMARY KEY NOT NULL,
	`customer` text NOT NULL,
	`name` text NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `customers_name` ON `customers` (`name`,`id`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` text PRIMARY KEY NOT NULL,
	`order` text NOT NULL,
	`name` text NOT NULL,
	`due` text DEFAULT '9999' NOT NULL,
	`state` text NOT NULL,
	`customer_id` text,
	`updated_at` text NOT NULL,
	`deleted_at` text
);
--> statement-breakpoint
CREATE INDEX `orders_book` ON `orders` (`deleted_at`,`due`,`id`);--> statement-breakpoint
CREATE INDEX `orders_customer` ON `orders` (`customer_id`);--> statement-breakpoint
ALTER TABLE `tickets` ADD `order_id` text;--> statement-breakpoint
ALTER TABLE `tickets` ADD `pieces` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX `tickets_order` ON `tickets` (`order_id`);