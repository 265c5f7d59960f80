CREATE TABLE IF NOT EXISTS `series_slice` (
	`series_id` binary(16) NOT NULL,
	`position` int NOT NULL,
	`body_hash` binary(32) NOT NULL,
	`bytes` mediumblob NOT NULL,
	CONSTRAINT `series_slice_series_id_position_pk` PRIMARY KEY(`series_id`,`position`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `series_summary` (
	`series_id` binary(16) NOT NULL,
	`made_by` varchar(60) NOT NULL,
	`summary` longtext NOT NULL,
	CONSTRAINT `series_summary_series_id` PRIMARY KEY(`series_id`)
);
--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `feed_path_mm` double;--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `throat_mm` double;--> statement-breakpoint
ALTER TABLE `series` ADD COLUMN IF NOT EXISTS `name` varchar(120);--> statement-breakpoint
ALTER TABLE `series` ADD COLUMN IF NOT EXISTS `instrument_id` binary(16);--> statement-breakpoint
ALTER TABLE `series` ADD COLUMN IF NOT EXISTS `slices` int;