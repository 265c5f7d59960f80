CREATE TABLE IF NOT EXISTS `ended_session` (
	`id` binary(16) NOT NULL,
	`ended_at` bigint NOT NULL,
	CONSTRAINT `ended_session_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `kept_listing` (
	`kind` varchar(16) NOT NULL,
	`id` binary(16) NOT NULL,
	`stamp` varchar(64) NOT NULL,
	`content` longtext NOT NULL,
	CONSTRAINT `kept_listing_kind_id_pk` PRIMARY KEY(`kind`,`id`)
);
--> statement-breakpoint
ALTER TABLE `amendment` ADD COLUMN IF NOT EXISTS `seq` bigint;--> statement-breakpoint
SET @n = (SELECT COALESCE(MAX(`seq`), 0) FROM `amendment`);--> statement-breakpoint
UPDATE `amendment` SET `seq` = (@n := @n + 1) WHERE `seq` IS NULL ORDER BY `at`, `id`;--> statement-breakpoint
ALTER TABLE `amendment` MODIFY COLUMN `seq` bigint NOT NULL AUTO_INCREMENT, ADD UNIQUE INDEX IF NOT EXISTS `amendment_seq_unique` (`seq`);--> statement-breakpoint
ALTER TABLE `claim` ADD COLUMN IF NOT EXISTS `seq` bigint;--> statement-breakpoint
SET @n = (SELECT COALESCE(MAX(`seq`), 0) FROM `claim`);--> statement-breakpoint
UPDATE `claim` SET `seq` = (@n := @n + 1) WHERE `seq` IS NULL ORDER BY `created_at`, `id`;--> statement-breakpoint
ALTER TABLE `claim` MODIFY COLUMN `seq` bigint NOT NULL AUTO_INCREMENT, ADD UNIQUE INDEX IF NOT EXISTS `claim_seq_unique` (`seq`);--> statement-breakpoint
ALTER TABLE `handbook_entry` ADD COLUMN IF NOT EXISTS `seq` bigint;--> statement-breakpoint
SET @n = (SELECT COALESCE(MAX(`seq`), 0) FROM `handbook_entry`);--> statement-breakpoint
UPDATE `handbook_entry` SET `seq` = (@n := @n + 1) WHERE `seq` IS NULL ORDER BY `created_at`, `id`;--> statement-breakpoint
ALTER TABLE `handbook_entry` MODIFY COLUMN `seq` bigint NOT NULL AUTO_INCREMENT, ADD UNIQUE INDEX IF NOT EXISTS `handbook_entry_seq_unique` (`seq`);--> statement-breakpoint
ALTER TABLE `house_spool` ADD COLUMN IF NOT EXISTS `seq` bigint;--> statement-breakpoint
SET @n = (SELECT COALESCE(MAX(`seq`), 0) FROM `house_spool`);--> statement-breakpoint
UPDATE `house_spool` SET `seq` = (@n := @n + 1) WHERE `seq` IS NULL ORDER BY `created_at`, `id`;--> statement-breakpoint
ALTER TABLE `house_spool` MODIFY COLUMN `seq` bigint NOT NULL AUTO_INCREMENT, ADD UNIQUE INDEX IF NOT EXISTS `house_spool_seq_unique` (`seq`);--> statement-breakpoint
ALTER TABLE `purchase` ADD COLUMN IF NOT EXISTS `seq` bigint;--> statement-breakpoint
SET @n = (SELECT COALESCE(MAX(`seq`), 0) FROM `purchase`);--> statement-breakpoint
UPDATE `purchase` SET `seq` = (@n := @n + 1) WHERE `seq` IS NULL ORDER BY `created_at`, `id`;--> statement-breakpoint
ALTER TABLE `purchase` MODIFY COLUMN `seq` bigint NOT NULL AUTO_INCREMENT, ADD UNIQUE INDEX IF NOT EXISTS `purchase_seq_unique` (`seq`);--> statement-breakpoint
ALTER TABLE `trial_prior_set` ADD COLUMN IF NOT EXISTS `seq` bigint;--> statement-breakpoint
SET @n = (SELECT COALESCE(MAX(`seq`), 0) FROM `trial_prior_set`);--> statement-breakpoint
UPDATE `trial_prior_set` SET `seq` = (@n := @n + 1) WHERE `seq` IS NULL ORDER BY `created_at`, `id`;--> statement-breakpoint
ALTER TABLE `trial_prior_set` MODIFY COLUMN `seq` bigint NOT NULL AUTO_INCREMENT, ADD UNIQUE INDEX IF NOT EXISTS `trial_prior_set_seq_unique` (`seq`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `write_log_at` ON `write_log` (`at`);
