CREATE TABLE IF NOT EXISTS `training_run` (
	`id` binary(16) NOT NULL,
	`scorer` varchar(60) NOT NULL,
	`subject` varchar(24) NOT NULL,
	`seed` int NOT NULL,
	`pairs` longtext NOT NULL,
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `training_run_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `file_hash` varchar(64);--> statement-breakpoint
ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `mid_print` varchar(2000);--> statement-breakpoint
ALTER TABLE `protocol` ADD COLUMN IF NOT EXISTS `take_out_leniency` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `reading` ADD COLUMN IF NOT EXISTS `photo_id` binary(16);--> statement-breakpoint
ALTER TABLE `reading` ADD COLUMN IF NOT EXISTS `photo_corners` longtext;