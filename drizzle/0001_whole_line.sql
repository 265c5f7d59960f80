CREATE TABLE IF NOT EXISTS `drying_run` (
	`id` binary(16) NOT NULL,
	`dryer_id` binary(16) NOT NULL,
	`set_point_c` double NOT NULL,
	`started_at` bigint NOT NULL,
	`planned_end_at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `drying_run_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `drying_run_end` (
	`run_id` binary(16) NOT NULL,
	`ended_at` bigint NOT NULL,
	`outcome` varchar(16) NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `drying_run_end_run_id` PRIMARY KEY(`run_id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `drying_run_spool` (
	`run_id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	CONSTRAINT `drying_run_spool_run_id_spool_id_pk` PRIMARY KEY(`run_id`,`spool_id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `handbook_entry` (
	`id` binary(16) NOT NULL,
	`material` varchar(40) NOT NULL,
	`figures` longtext,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `handbook_entry_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `part` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`place` varchar(120),
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `part_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `part_state` (
	`id` binary(16) NOT NULL,
	`part_id` binary(16) NOT NULL,
	`state` varchar(16) NOT NULL,
	`note` varchar(2000),
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `part_state_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `specimen` MODIFY COLUMN `orientation` varchar(16) NOT NULL;--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `hot_end_max_c` double;--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `hardened_nozzle` boolean;--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `enclosed` boolean;--> statement-breakpoint
ALTER TABLE `protocol` ADD COLUMN IF NOT EXISTS `strength_high_n` double DEFAULT 400 NOT NULL;--> statement-breakpoint
ALTER TABLE `reading` ADD COLUMN IF NOT EXISTS `before` varchar(8);--> statement-breakpoint
ALTER TABLE `specimen` ADD COLUMN IF NOT EXISTS `shape` varchar(60) NOT NULL;--> statement-breakpoint
ALTER TABLE `specimen` ADD COLUMN IF NOT EXISTS `method` varchar(16) NOT NULL;--> statement-breakpoint
ALTER TABLE `trial_spool` ADD COLUMN IF NOT EXISTS `left_at` bigint;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `drying_run_spool_spool` ON `drying_run_spool` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `handbook_entry_material` ON `handbook_entry` (`material`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `part_spool` ON `part` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `part_state_part` ON `part_state` (`part_id`);